import { clsx } from 'clsx';
import { useEffect, useState } from 'react';
import { get, said } from '@/lib/write/api';
import { useDraft } from '@/lib/drafts';
import type { Edits } from '@/lib/write/edits';
import { url } from '@/lib/url';
import type { Candidate, Choice, Offers as Offered, Weights, PlanView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { mono } from '@/ui/marks';
import { list, rich, say } from '@/words';

const weighed: { key: keyof Weights; word: string }[] = [
    { key: 'capability', word: say('plan.capability-kept') },
    { key: 'parts', word: say('plan.parts') },
    { key: 'time', word: say('plan.minutes-and-trips') },
    { key: 'risk', word: say('plan.risk') },
];

/** The plans for this thermostat on this house: each proved by simulation, ranked with reasons; the refused beneath. */
export function Offers({
    jobId,
    profile,
    survey,
    choice,
    edits,
    closed,
    onTaken,
}: {
    jobId: string;
    profile: string;
    survey: string;
    choice: Choice | null;
    edits: Edits;
    closed: boolean;
    onTaken: (what: string, version: number) => void;
}) {
    const [offers, setOffers] = useState<Offered | null>(null);
    const [weights, setWeights] = useState<Weights | null>(null);
    const [bad, setBad] = useState('');
    const [note, setNote] = useDraft(`${jobId}/offer/note`, '');
    const [open, setOpen] = useState<string | null>(null);
    const [all, setAll] = useState(false);
    const asked =
        weights === null
            ? ''
            : `&${new URLSearchParams(Object.entries(weights).map(([key, value]) => [key, String(value)])).toString()}`;

    useEffect(() => {
        let current = true;
        void get<Offered>(`${url('job.offers', { job: jobId })}?profile=${encodeURIComponent(profile)}${asked}`).then(
            (answer) => {
                if (!current) return;
                if (answer.kind === 'ok') setOffers(answer.data);
                setBad(answer.kind === 'ok' ? '' : said(answer));
            },
        );
        return () => {
            current = false;
        };
    }, [jobId, profile, asked, survey]);

    const isTaken = (candidate: Candidate) => choice !== null && !choice.edited && choice.title === candidate.title;
    const one = offers?.offered.some(isTaken) === true;
    const take = async (candidate: Candidate) => {
        const answer = await edits.send('take', { key: candidate.key, note, ...(weights ? { weights } : {}) });
        if (answer.kind === 'ok') {
            setNote('');
            setAll(false);
            onTaken(say('plan.took', { title: candidate.title }), answer.data.version);
        }
    };
    if (bad !== '')
        return (
            <div className="px-5 py-2">
                <Bad>{bad}</Bad>
            </div>
        );
    if (!offers)
        return (
            <p className="px-5 py-3 text-muted" role="status">
                {say('plan.looking-for-plans')}
            </p>
        );
    return (
        <section aria-label={say('plan.plans')} className="border-t border-hair px-5 py-3">
            <div className="flex flex-wrap items-baseline justify-between gap-x-4">
                <h2 className="h-sec">
                    {offers.offered.length === 0
                        ? say('plan.no-plan-works-with-this-thermostat')
                        : offers.offered.length === 1
                          ? say('plan.one-plan-works')
                          : say('plan.plans-work-best-first', { offered: offers.offered.length })}
                </h2>
                <span className="flex flex-wrap items-center gap-x-5 text-note text-muted">
                    {say('plan.tried-every-call-of-each-simulated', { tried: offers.tried })}
                    {one && (offers.offered.length > 1 || offers.refused.length > 0) && (
                        <button className="link" aria-expanded={all} onClick={() => setAll(!all)}>
                            {all ? say('plan.show-the-taken-one') : say('plan.other-plans')}
                        </button>
                    )}
                </span>
            </div>
            {offers.ruledOut.map((why) => (
                <p key={why} className="text-small text-caution-ink">
                    {why}
                </p>
            ))}
            {offers.offered.map((candidate, index) => {
                const taken = isTaken(candidate);
                if (one && !all && !taken) return null;
                const full = open === candidate.key;
                return (
                    <div
                        key={candidate.key}
                        data-candidate={candidate.codes.join(',') || 'plain'}
                        data-taken={taken ? '' : undefined}
                        className={clsx(
                            'mt-2 border-[1.5px] border-rule bg-panel p-3 data-[taken]:border-copper',
                            'data-[taken]:shadow-[inset_5px_0_0_var(--copper)]',
                        )}
                    >
                        <div className="flex flex-wrap items-start justify-between gap-3">
                            <div className="min-w-0 flex-1 basis-72">
                                <b className="block font-lab text-head font-semibold leading-[22px]">
                                    <span className="mono mr-2 text-muted">{index + 1}</span>
                                    {candidate.title}{' '}
                                    {candidate.codes.length > 0 && (
                                        <span className="mono text-tiny font-normal text-muted">
                                            {candidate.codes.join(' ')}
                                        </span>
                                    )}
                                </b>
                                <span className="flex flex-wrap gap-x-4 gap-y-0.5 text-small">
                                    <State
                                        glyph={candidate.lost.length === 0 ? 'pass' : 'caution'}
                                        tone={candidate.lost.length === 0 ? 'verd' : 'caution'}
                                    >
                                        {say('plan.of-calls-proved', { proved: candidate.proved, of: candidate.of })}
                                    </State>
                                    <span>
                                        {say('plan.trips-plural-0-min-one-min', {
                                            minutes: candidate.minutes,
                                            trips: candidate.trips,
                                        })}
                                    </span>
                                    <span>
                                        {candidate.parts.length === 0
                                            ? say('plan.no-parts')
                                            : candidate.parts.join(', ')}
                                    </span>
                                </span>
                                {candidate.lost.length > 0 && (
                                    <span className="block text-small text-caution-ink">
                                        {candidate.lost.join('. ')}.
                                    </span>
                                )}
                                {candidate.unmet.length > 0 && (
                                    <span className="block text-small text-caution-ink">
                                        {say('plan.not-as-wished', { unmet: list(candidate.unmet) })}
                                    </span>
                                )}
                            </div>
                            {taken ? (
                                <State glyph="tick" tone="copper">
                                    {say('plan.taken')}
                                </State>
                            ) : (
                                !closed && (
                                    <button
                                        className="btn btn--small"
                                        disabled={edits.working}
                                        onClick={() => void take(candidate)}
                                    >
                                        {say('plan.take-it')}
                                    </button>
                                )
                            )}
                            <button
                                className="link -my-2 basis-full"
                                aria-expanded={full}
                                onClick={() => setOpen(full ? null : candidate.key)}
                            >
                                {full ? say('plan.less') : say('plan.why-and-what-to-tell-the')}
                            </button>
                        </div>
                        {full && (
                            <div className="grid gap-2 text-small sm:grid-cols-2 sm:gap-6">
                                <ul className="list-disc pl-5">
                                    {candidate.reasons.map((reason) => (
                                        <li key={reason}>{reason}</li>
                                    ))}
                                    <li>
                                        {rich('plan.points-fewer-is-better', {
                                            score: candidate.score,
                                            b: mono,
                                        })}
                                    </li>
                                </ul>
                                <blockquote className="border-l-4 border-copper pl-3">{candidate.customer}</blockquote>
                            </div>
                        )}
                    </div>
                );
            })}
            {!closed && offers.offered.length > 1 && (!one || all) && (
                <div className="mt-2 flex flex-wrap items-end gap-x-8 gap-y-2">
                    <label className="min-w-56 flex-1">
                        <span className="lab">{say('plan.your-reason-for-the-one-you')}</span>
                        <input
                            className="h-11 w-full border-b-2 border-rule bg-panel px-2"
                            maxLength={300}
                            value={note}
                            onChange={(event) => setNote(event.target.value)}
                        />
                    </label>
                    <details className="min-w-56">
                        <summary className="fold font-lab text-small font-semibold">
                            {say('plan.what-counts-for-you')}
                        </summary>
                        {weighed.map(({ key, word }) => (
                            <label key={key} className="flex min-h-11 items-center justify-between gap-3 text-small">
                                {word}
                                <input
                                    type="range"
                                    min={0}
                                    max={10}
                                    className="h-11 w-36 accent-[var(--copper)]"
                                    value={(weights ?? offers.weights)[key]}
                                    onChange={(event) =>
                                        setWeights({
                                            ...(weights ?? offers.weights),
                                            [key]: Number(event.target.value),
                                        })
                                    }
                                />
                            </label>
                        ))}
                    </details>
                </div>
            )}
            {offers.refused.length > 0 && (!one || all) && (
                <details className="mt-2">
                    <summary className="fold gap-2 font-lab text-body font-semibold">
                        <Glyph name="fault" style={{ color: 'var(--fault)' }} />{' '}
                        {say('plan.1-that-does-other-not-work', { refused: offers.refused.length })}
                    </summary>
                    <ul>
                        {offers.refused.map((candidate) => (
                            <li key={candidate.key} className="border-t border-hair py-2 text-small">
                                <b className="font-semibold">{candidate.title}</b>{' '}
                                <span className="mono text-tiny text-muted">{candidate.codes.join(' ')}</span>
                                {candidate.refusals.slice(0, 3).map((refusal) => (
                                    <span key={refusal} className="block text-fault-ink">
                                        {refusal}
                                    </span>
                                ))}
                            </li>
                        ))}
                    </ul>
                </details>
            )}
        </section>
    );
}

/** The offer taken, where there is more to say of it than its name: changed by hand since, or taken with a reason. */
export function Taken({ choice }: { choice: NonNullable<PlanView['choice']> }) {
    if (!choice.edited && choice.note === '') return null;
    return (
        <p className="px-5 pb-2 text-small">
            <b className="font-semibold">{say('plan.taken-2', { title: choice.title })}</b>
            {choice.edited && <span className="text-caution-ink">{say('plan.changed-by-hand-since')}</span>}
            {choice.note !== '' && <span>{say('plan.reason', { note: choice.note })}</span>}
        </p>
    );
}
