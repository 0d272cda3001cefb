import { router } from '@inertiajs/react';
import { WillBeReplaced } from '@/features/as-found/Head';
import { url } from '@/lib/url';
import type { ProveProps, StepView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';
import { say } from '@/words';

const PROVED: Record<string, string> = {
    voltage: say('prove.call-proved'),
    continuity: say('prove.thermostat-proved'),
    'pre-check': say('prove.ready-for-power'),
    'at-rest': say('prove.nothing-runs'),
};

/** Which call is proved, how many are, and where to go from here. */
export function ProveHead({
    step,
    next,
    onStep,
    page: { job, asFound, calls },
}: {
    step: StepView;
    /** The step after this one, by the school whose order this person goes by. */
    next: StepView | undefined;
    onStep: (key: string) => void;
    page: ProveProps;
}) {
    const wanted = calls.filter((call) => !call.optional);
    const asked = wanted.filter((call) => call.isCall);
    const proved = asked.filter((call) => call.proved).length;
    const through = wanted.every((call) => call.proved || call.waived !== null);
    const judged = step.state === 'passed' || step.state === 'failed';
    return (
        <div className="head">
            <div>
                <h1 className="h-step">
                    {asFound
                        ? say('prove.as-found-call', { callLabel: step.callLabel })
                        : say('prove.prove', { callLabel: step.callLabel })}
                </h1>
                <p>{say('prove.of-calls-proved', { proved, wanted: asked.length, shows: step.shows })}</p>
            </div>
            {!job.closed && through && (
                <button className="btn btn--go" onClick={() => router.visit(url('job.handover', { job: job.id }))}>
                    {say('prove.go-to-handover')} <Glyph name="go" />
                </button>
            )}
            {step.state === 'passed' && (
                <State glyph="pass" tone="verd">
                    {PROVED[step.method] ?? say('prove.equipment-proved')}
                </State>
            )}
            {!job.closed && !step.running && next && judged && (
                <button
                    className={`btn ${step.state === 'passed' && !through ? 'btn--go' : ''}`}
                    onClick={() => onStep(next.key)}
                >
                    {next.call === 'idle'
                        ? say('prove.next', { method: next.methodLabel.toLowerCase() })
                        : say('prove.next-2', { call: next.callLabel, method: next.methodLabel.toLowerCase() })}{' '}
                    <Glyph name="go" />
                </button>
            )}
            {asFound && !job.closed && <WillBeReplaced />}
        </div>
    );
}
