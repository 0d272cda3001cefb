import { usePage } from '@inertiajs/react';
import { useCoverage } from '@/features/prove/worth/useCoverage';
import type { HandoverProps } from '@/types';
import { Bad } from '@/ui/State';
import { number } from '@/lib/numbers';
import { list, say } from '@/words';

/** What the proofs of this record are worth, and what nothing done would have shown. */
export function ProofsWorth() {
    const { job, lines } = usePage<HandoverProps>().props;
    const { answer, problem } = useCoverage(job.id, lines.map((line) => line.done).join());
    const coverage = answer?.coverage;
    return (
        <section data-testid="worth">
            <h3 className="h-sec mb-1 mt-5">{say('handover.what-the-proofs-are-worth')}</h3>
            <Bad>{problem}</Bad>
            {coverage ? (
                <>
                    <p className="text-body">
                        <b className="mono text-lead font-medium">{number(coverage.share, 1)} %</b>{' '}
                        {say('handover.of-what-can-be-wrong-here')}
                    </p>
                    {coverage.gaps.length > 0 && (
                        <p className="text-small text-muted">
                            {say('handover.not-shown-by-anything-done', {
                                faults: list(
                                    coverage.gaps.map((gap) =>
                                        say('handover.fault-at-places', {
                                            fault: gap.title,
                                            places: gap.places,
                                        }),
                                    ),
                                ),
                            })}
                        </p>
                    )}
                    {coverage.never.length > 0 && (
                        <p className="text-small text-muted">
                            {say('handover.no-safe-test-shows', { faults: list(coverage.never) })}
                        </p>
                    )}
                </>
            ) : (
                <p role="status" className="text-small text-muted">
                    {say('handover.working-it-out', { done: answer?.done ?? 0, of: answer?.of ?? 0 })}
                </p>
            )}
        </section>
    );
}
