import { MethodSwitch } from '@/features/prove/StepStrip';
import type { ProveProps, StepView } from '@/types';
import { say } from '@/words';

/** The methods by which this call is proved, in the order of the school, and why one of them cannot be had. */
export function Methods({
    step,
    school,
    onStep,
    page: { steps, routes, noWallJumper, noContinuity },
}: {
    step: StepView;
    school: string;
    onStep: (key: string) => void;
    page: ProveProps;
}) {
    const order = routes[school]?.order ?? [];
    const mine = steps
        .filter((candidate) => candidate.call === step.call)
        .sort((a, b) => order.indexOf(a.method) - order.indexOf(b.method));
    const noJumper = noWallJumper[step.call];
    const missing = [
        ...(noJumper ? [{ word: say('prove.by-jumper'), why: noJumper }] : []),
        ...(noContinuity ? [{ word: say('prove.by-continuity'), why: noContinuity }] : []),
    ];
    return (
        <div className="flex flex-wrap items-center justify-between gap-3 border-b border-hair px-1.5">
            <MethodSwitch
                steps={mine}
                short={school === 'short' && !mine.some((candidate) => candidate.state === 'failed')}
                current={step.key}
                onStep={onStep}
                missing={step.call === 'idle' || step.call === 'defrost' ? [] : missing}
            />
        </div>
    );
}
