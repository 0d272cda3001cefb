import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/write/api';
import { useDraft } from '@/lib/drafts';
import type { Edits } from '@/lib/write/edits';
import type { Finding, SurveyProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, Findings } from '@/ui/State';
import { say } from '@/words';
import { Decides } from '@/ui/Decides';

/**
 * What screening says. A stop stands over everything; only where its rule allows it can it be gone past, with a
 * reason.
 */
export function Screening({
    findings,
    overrides,
    edits,
    closed,
}: {
    findings: Finding[];
    overrides: Record<string, string>;
    edits: Edits;
    closed: boolean;
}) {
    const stops = findings.filter((finding) => finding.severity === 'stop');
    const rest = findings.filter((finding) => finding.severity !== 'stop');
    return (
        <section
            id="screening"
            className="border-t-2 border-ink bg-panel px-5 pb-4 pt-2"
            aria-label={say('survey.screening')}
        >
            <h2 className="h-sec mb-1.5">{say('survey.screening')}</h2>
            {stops.map((stop) => (
                <Stop key={stop.code} stop={stop} edits={edits} closed={closed} />
            ))}
            <Findings findings={rest} empty={say('survey.nothing-to-screen-yet')} />
            {Object.entries(overrides).map(([code, reason]) => (
                <p key={code} className="mt-2 flex items-center gap-3 text-small">
                    {say('survey.gone-past', { code, reason })}
                    {!closed && (
                        <button className="link" onClick={() => void edits.send('override', { code, reason: '' })}>
                            {say('survey.let-it-stop-again')}
                        </button>
                    )}
                </p>
            ))}
        </section>
    );
}

function Stop({ stop, edits, closed }: { stop: Finding; edits: Edits; closed: boolean }) {
    const { job } = usePage<SurveyProps>().props;
    const [reason, setReason] = useDraft<string | null>(`${job.id}/past/${stop.code}`, null);
    const [bad, setBad] = useState('');
    const send = async () => {
        const answer = await edits.send('override', { code: stop.code, reason });
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') setReason(null);
    };
    return (
        <div className="mb-3 border-2 border-fault bg-fault-wash p-3" data-severity="stop">
            <p className="flex items-start gap-3">
                <span className="text-fault-ink">
                    <Glyph name="fault" size={24} />
                </span>
                <span>
                    <b className="block font-lab text-title font-bold leading-6 text-fault-ink">
                        {say('survey.stop', { title: stop.title })}
                    </b>
                    {stop.meaning} <b className="font-semibold">{stop.action}</b>{' '}
                    <span className="mono text-tiny">{stop.code}</span>
                </span>
            </p>
            {stop.overridable && !closed && reason === null && (
                <Decides>
                    <button className="link" onClick={() => setReason('')}>
                        {say('survey.go-on-in-spite-of-it')}
                    </button>
                </Decides>
            )}
            {reason !== null && (
                <form
                    className="mt-2 flex flex-wrap gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void send();
                    }}
                >
                    <input
                        autoFocus
                        aria-label={say('survey.reason-to-go-past', { code: stop.code })}
                        className="h-11 min-w-0 flex-1 border-b-2 border-rule bg-panel px-2"
                        maxLength={160}
                        required
                        placeholder={say('survey.what-you-saw-or-planned-it')}
                        value={reason}
                        onChange={(event) => setReason(event.target.value)}
                    />
                    <button className="btn btn--small">{say('survey.go-on')}</button>
                    <button type="button" className="link" onClick={() => setReason(null)}>
                        {say('survey.leave-it-stopped')}
                    </button>
                </form>
            )}
            <Bad>{bad}</Bad>
        </div>
    );
}
