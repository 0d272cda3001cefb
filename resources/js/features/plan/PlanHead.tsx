import { router, usePage } from '@inertiajs/react';
import { url } from '@/lib/url';
import type { PlanProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import type { useUndo } from '@/ui/useUndo';
import { say } from '@/words';

/** How far the plan is, taking an edit back, and the way on: use it, then go to Set. */
export function PlanHead({ undo, onUse }: { undo: ReturnType<typeof useUndo>; onUse: () => void }) {
    const { job, used, conductors, stops, plan } = usePage<PlanProps>().props;
    const closed = job.closed;
    const calls = plan?.proofs.filter((proof) => proof.call !== 'idle') ?? [];
    const proved = calls.filter((proof) => proof.proved).length;
    const blocking =
        plan?.findings.filter((finding) => finding.severity === 'stop' || finding.severity === 'error').length ?? 0;
    const landed = plan !== null && used && plan.moves.every((move) => move.done);
    return (
        <div className="head">
            <div>
                <h1 className="h-step">{say('plan.plan')}</h1>
                <p>
                    {conductors === 0
                        ? say('plan.the-survey-has-no-conductors-yet')
                        : plan
                          ? say('plan.of-calls-proved-by-simulation', { proved, calls: calls.length })
                          : say('plan.choose-a-thermostat-the-conductors-land')}
                </p>
            </div>
            {plan && !closed && (undo.past > 0 || undo.future > 0) && (
                <span className="ml-auto flex gap-3">
                    <button
                        className="link disabled:text-muted disabled:no-underline"
                        disabled={undo.past === 0}
                        onClick={undo.undo}
                        title={say('plan.ctrl-z')}
                    >
                        {say('plan.undo-edit')}
                    </button>
                    <button
                        className="link disabled:text-muted disabled:no-underline"
                        disabled={undo.future === 0}
                        onClick={undo.redo}
                        title={say('plan.ctrl-shift-z')}
                    >
                        {say('plan.redo')}
                    </button>
                </span>
            )}
            {plan && !closed && !used && (
                <button
                    className={`btn ${blocking > 0 || stops.length > 0 ? 'btn--off' : 'btn--go'}`}
                    aria-disabled={blocking > 0 || stops.length > 0}
                    onClick={() => onUse()}
                >
                    {say('plan.use-this-plan')}{' '}
                    {blocking + stops.length > 0 ? (
                        <span className="text-small">
                            {say('plan.to-correct', { blocking: blocking + stops.length })}
                        </span>
                    ) : (
                        <Glyph name="go" />
                    )}
                </button>
            )}
            {plan && used && !closed && (
                <button
                    className={`btn ${landed ? 'btn--go' : ''}`}
                    onClick={() => router.visit(url('job.set', { job: job.id }))}
                >
                    {say('plan.go-to-set')}{' '}
                    {landed ? (
                        <Glyph name="go" />
                    ) : (
                        <span className="text-small text-caution-ink">
                            {say('plan.moves-open', { moves: plan.moves.filter((move) => !move.done).length })}
                        </span>
                    )}
                </button>
            )}
        </div>
    );
}
