import { useEffect, useRef, useState } from 'react';
import { get, newId, run, said } from '@/lib/api';
import { clock, day } from '@/lib/format';
import { url } from '@/lib/url';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';

interface Made {
    name: string;
    bytes: number;
    missing: number;
}

/** When the last backup was made, and one now. */
export function Backup() {
    const [last, setLast] = useState<{ at: string | null; kept: number } | null>(null);
    const [at, setAt] = useState<{ done: number; of: number } | null>(null);
    const [made, setMade] = useState<Made | null>(null);
    const [bad, setBad] = useState('');
    const id = useRef(newId());
    useEffect(() => {
        void get<{ at: string | null; kept: number }>(url('crew.backup')).then(
            (answer) => answer.kind === 'ok' && setLast(answer.data),
        );
    }, [made]);
    const make = async () => {
        setBad('');
        setAt({ done: 0, of: 0 });
        const answer = await run<Made>(url('crew.backup'), { id: id.current }, (done, of) => setAt({ done, of }));
        setAt(null);
        if (answer.kind !== 'ok') return setBad(said(answer));
        id.current = newId();
        setMade(answer.data);
    };
    return (
        <section aria-label={say('people.backup')} className="border-t-2 border-ink pt-3">
            <h2 className="h-sec">{say('people.backup')}</h2>
            <p className="text-small text-muted">{say('people.backup-says')}</p>
            {last && (
                <p className="mt-1">
                    {last.at
                        ? say('people.backup-last', { at: `${day(last.at)} ${clock(last.at)}`, kept: last.kept })
                        : say('people.backup-none')}
                </p>
            )}
            <button className="btn btn--small mt-2" disabled={at !== null} onClick={() => void make()}>
                {say('people.backup-now')}
                {at !== null && (
                    <span role="status" className="text-small">
                        {at.of > 0 ? say('shared.so-far', { done: at.done, of: at.of }) : say('shared.being-made')}
                    </span>
                )}
            </button>
            {made && (
                <p role="status" className="mt-2">
                    <State glyph="pass" tone="verd">
                        {say('people.backup-made', { name: made.name, megabytes: (made.bytes / 1e6).toFixed(1) })}
                    </State>
                </p>
            )}
            <Bad>{made && made.missing > 0 ? say('people.backup-missing', { missing: made.missing }) : bad}</Bad>
        </section>
    );
}
