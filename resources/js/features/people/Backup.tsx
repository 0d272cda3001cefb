import { useEffect, useState } from 'react';
import { get } from '@/lib/write/api';
import { useErrand } from '@/lib/write/errand';
import { clock, day } from '@/lib/format';
import { url } from '@/lib/url';
import { number } from '@/lib/numbers';
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
    const [made, setMade] = useState<Made | null>(null);
    const { begin, busy, far, bad } = useErrand<Made>(url('crew.backup'));
    useEffect(() => {
        void get<{ at: string | null; kept: number }>(url('crew.backup')).then(
            (answer) => answer.kind === 'ok' && setLast(answer.data),
        );
    }, [made]);
    const make = async () => {
        const done = await begin();
        if (done) setMade(done);
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
            <button className="btn btn--small mt-2" disabled={busy} onClick={() => void make()}>
                {say('people.backup-now')}
                {far && (
                    <span role="status" className="text-small">
                        {far}
                    </span>
                )}
            </button>
            {made && (
                <p role="status" className="mt-2">
                    <State glyph="pass" tone="verd">
                        {say('people.backup-made', { name: made.name, megabytes: number(made.bytes / 1e6, 1) })}
                    </State>
                </p>
            )}
            <Bad>{made && made.missing > 0 ? say('people.backup-missing', { missing: made.missing }) : bad}</Bad>
        </section>
    );
}
