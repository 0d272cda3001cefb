import { Link, usePage } from '@inertiajs/react';
import { said, type Answer } from '@/lib/write/api';
import { url } from '@/lib/url';
import type { PlanProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, Findings, State } from '@/ui/State';
import { list, say } from '@/words';

/** What stands before the plan: what stops it, what it assumes, photographs still to take, an edit refused. */
export function Notices({ problem }: { problem: Answer<unknown> | null }) {
    const { job, stops, assumes, photosMissing, plan } = usePage<PlanProps>().props;
    const closed = job.closed;
    return (
        <>
            {stops.length > 0 && (
                <div className="border-y border-fault bg-fault-wash px-5 py-3">
                    <Findings findings={stops} empty="" />
                </div>
            )}
            {plan && assumes.length > 0 && (
                <details className="border-y border-hair bg-caution-wash px-5 py-2">
                    <summary className="fold gap-2.5 font-lab text-lead font-semibold text-caution-ink">
                        <Glyph name="caution" />{' '}
                        {say('plan.provisional-it-assumes-one-thing-other', { assumes: assumes.length })}
                    </summary>
                    <ul className="list-disc pb-1 pl-7 text-small leading-5">
                        {assumes.map((item) => (
                            <li key={item}>{item}</li>
                        ))}
                    </ul>
                </details>
            )}
            {plan && !closed && photosMissing.length > 0 && (
                <p className="flex flex-wrap items-center gap-x-3 border-b border-hair px-5 text-small">
                    <State glyph="need" tone="copper">
                        {say('plan.before-the-first-move-photograph-the', {
                            photosMissing: list(
                                photosMissing.map((place) =>
                                    place === 'wall' ? say('plan.wall-plate') : say('plan.indoor-board'),
                                ),
                            ),
                        })}
                    </State>
                    <Link className="link" href={`${url('job.survey', { job: job.id })}#photos`}>
                        {say('plan.in-survey')}
                    </Link>
                </p>
            )}
            {problem && (
                <div className="px-5 pb-2">
                    <Bad>{said(problem)}</Bad>
                </div>
            )}
        </>
    );
}
