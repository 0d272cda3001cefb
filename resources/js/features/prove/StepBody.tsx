import { usePage } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import { DeadAsFound } from '@/features/as-found/Dead';
import { Found } from '@/features/as-found/ThreeTaps';
import { CannotTell } from '@/features/prove/worth/CannotTell';
import { Coverage } from '@/features/prove/worth/Coverage';
import { Levels } from '@/features/prove/worth/Levels';
import { Loads } from '@/features/prove/Loads';
import { Measured } from '@/features/prove/Measured';
import { Reasons } from '@/features/prove/Measurements';
import { Practice } from '@/features/prove/Practice';
import { StepCells } from '@/features/prove/step/StepCells';
import { CallStrip } from '@/features/prove/StepStrip';
import { Way } from '@/features/prove/Way';
import { SetupStrip } from '@/features/setup-strip/SetupStrip';
import { useAwake } from '@/lib/device';
import { useWidth } from '@/lib/hooks';
import { meterUsed } from '@/lib/keys';
import { prefer } from '@/lib/write/prefer';
import { useProbes } from '@/shell/Shell';
import type { ProveProps, StepView } from '@/types';
import { say } from '@/words';
import { Methods } from './Methods';
import { ProveBoard } from './ProveBoard';
import { ProveHead } from './ProveHead';
import { preferred, toRead } from './step/school';

/** One step of the proofs: what to do, the house meanwhile, and what the proofs are worth. */
export function StepBody({
    step,
    onStep,
    check,
    onCheck,
}: {
    step: StepView;
    onStep: (key: string) => void;
    check: string | null;
    onCheck: (call: string) => void;
}) {
    const page = usePage<ProveProps>().props;
    const { job, asFound, calls, steps, routes, user } = page;
    const probes = useProbes();
    const [measure, width] = useWidth(808);
    const closed = job.closed;
    useAwake(step.running);
    // While a step runs a figure typed anywhere is a reading.
    useEffect(() => {
        if (step.running) meterUsed();
    }, [step.key, step.running]);
    const phone = width < 700;
    const [school, setSchool] = useState(preferred);
    const route = routes[school];
    const choose = (key: string) => {
        const next = steps.find((candidate) => candidate.key === key);
        const probe = next && (toRead(next).find((candidate) => !candidate.reading) ?? next.probes[0]);
        if (probe) {
            probes.setMode(probe.mode);
            probes.set(probe.a, probe.b);
        }
        onStep(key);
    };
    const way = !closed && (
        <Way
            routes={routes}
            school={school}
            onSchool={(next) => {
                void prefer({ school: next });
                setSchool(next);
            }}
        />
    );
    return (
        <div ref={measure} className="flex flex-1 flex-col">
            <ProveHead
                step={step}
                next={steps.find((candidate) => candidate.key === route?.keys.find((key) => key !== step.key))}
                onStep={choose}
                page={page}
            />
            {asFound && <Found found={asFound} />}
            <SetupStrip byStep={step.running ? step.stands : []} />
            {step.altered && (
                <p className="border-b border-caution bg-caution-wash px-5 py-2 text-small font-semibold" role="status">
                    {say('prove.something-stood-it-proves-nothing')}
                </p>
            )}
            <CallStrip
                calls={calls}
                current={calls.some((call) => call.call === step.key) ? step.key : step.call}
                onCall={(call) => choose(stepOf(call, page, route?.keys ?? [])?.key ?? step.key)}
            />
            <Methods key={step.call} step={step} school={school} onStep={choose} page={page} />
            {!phone && way}
            <StepCells key={step.key} step={step} closed={closed} onStep={choose} />
            {!closed && (
                <CannotTell
                    key={`tell-${step.key}`}
                    jobId={job.id}
                    version={job.version}
                    step={step.key}
                    onStep={choose}
                />
            )}
            <ProveBoard step={step} width={width} />
            <Reasons step={step} />
            {asFound && <DeadAsFound />}
            <Coverage jobId={job.id} marks={marksOf(page)} closed={closed} onStep={choose} onCheck={onCheck} />
            <Levels calls={calls} steps={steps} closed={closed} onStep={choose} />
            {phone && way}
            <Loads call={check} onCall={onCheck} />
            <Measured closed={closed} />
            {user?.works && <Practice />}
        </div>
    );
}

/** The step with which a call is begun: its own, the one of the way that is gone, one that is still to be proved. */
function stepOf(call: string, { steps, power }: ProveProps, way: string[]): StepView | undefined {
    return (
        steps.find((candidate) => candidate.key === call) ??
        (call === 'idle' && power.state === 'live'
            ? steps.find((candidate) => candidate.method === 'at-rest')
            : undefined) ??
        steps.find((one) => one.call === call && way.includes(one.key)) ??
        steps.find((candidate) => candidate.call === call && candidate.state !== 'passed') ??
        steps.find((candidate) => candidate.call === call)
    );
}

/** Every record that can make the proofs worth more. */
function marksOf({ steps, loads }: ProveProps): string {
    return steps
        .map(
            (step) =>
                step.probes.map((probe) => probe.reading?.id ?? '').join() +
                step.signs.map((sign) => sign.at ?? '').join(),
        )
        .concat(loads.map((load) => load.read.amps?.id ?? ''))
        .join();
}
