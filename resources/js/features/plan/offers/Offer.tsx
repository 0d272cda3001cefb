import { clsx } from 'clsx';
import { useState } from 'react';
import type { Candidate } from '@/types';
import { State } from '@/ui/State';
import { mono } from '@/ui/marks';
import { list, rich, say } from '@/words';
import { useChoosing } from './useOffers';

/** One plan: what it proves, costs and loses; why it stands where it stands, and what to tell the customer. */
export function Offer({ candidate, rank }: { candidate: Candidate; rank: number }) {
    const taken = useChoosing().isTaken(candidate);
    const [full, setFull] = useState(false);
    return (
        <div
            data-candidate={candidate.codes.join(',') || 'plain'}
            data-taken={taken ? '' : undefined}
            className={clsx(
                'mt-2 border-[1.5px] border-rule bg-panel p-3 data-[taken]:border-copper',
                'data-[taken]:shadow-[inset_5px_0_0_var(--copper)]',
            )}
        >
            <div className="flex flex-wrap items-start justify-between gap-3">
                <div className="min-w-0 flex-1 basis-72">
                    <OfferTitle candidate={candidate} rank={rank} />
                    <OfferCosts candidate={candidate} />
                </div>
                <Take candidate={candidate} />
                <button className="link -my-2 basis-full" aria-expanded={full} onClick={() => setFull(!full)}>
                    {full ? say('plan.less') : say('plan.why-and-what-to-tell-the')}
                </button>
            </div>
            {full && <OfferReasons candidate={candidate} />}
        </div>
    );
}

function OfferTitle({ candidate, rank }: { candidate: Candidate; rank: number }) {
    return (
        <b className="block font-lab text-head font-semibold leading-[22px]">
            <span className="mono mr-2 text-muted">{rank}</span>
            {candidate.title}{' '}
            {candidate.codes.length > 0 && (
                <span className="mono text-tiny font-normal text-muted">{candidate.codes.join(' ')}</span>
            )}
        </b>
    );
}

function OfferCosts({ candidate }: { candidate: Candidate }) {
    const whole = candidate.lost.length === 0;
    return (
        <>
            <span className="flex flex-wrap gap-x-4 gap-y-0.5 text-small">
                <State glyph={whole ? 'pass' : 'caution'} tone={whole ? 'verd' : 'caution'}>
                    {say('plan.of-calls-proved', { proved: candidate.proved, of: candidate.of })}
                </State>
                <span>
                    {say('plan.trips-plural-0-min-one-min', { minutes: candidate.minutes, trips: candidate.trips })}
                </span>
                <span>{candidate.parts.length === 0 ? say('plan.no-parts') : candidate.parts.join(', ')}</span>
            </span>
            {!whole && <span className="block text-small text-caution-ink">{candidate.lost.join('. ')}.</span>}
            {candidate.unmet.length > 0 && (
                <span className="block text-small text-caution-ink">
                    {say('plan.not-as-wished', { unmet: list(candidate.unmet) })}
                </span>
            )}
        </>
    );
}

function Take({ candidate }: { candidate: Candidate }) {
    const { isTaken, take, working, closed } = useChoosing();
    if (isTaken(candidate))
        return (
            <State glyph="tick" tone="copper">
                {say('plan.taken')}
            </State>
        );
    if (closed) return null;
    return (
        <button className="btn btn--small" disabled={working} onClick={() => void take(candidate)}>
            {say('plan.take-it')}
        </button>
    );
}

function OfferReasons({ candidate }: { candidate: Candidate }) {
    return (
        <div className="grid gap-2 text-small sm:grid-cols-2 sm:gap-6">
            <ul className="list-disc pl-5">
                {candidate.reasons.map((reason) => (
                    <li key={reason}>{reason}</li>
                ))}
                <li>{rich('plan.points-fewer-is-better', { score: candidate.score, b: mono })}</li>
            </ul>
            <blockquote className="border-l-4 border-copper pl-3">{candidate.customer}</blockquote>
        </div>
    );
}
