import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { Levels } from '@/features/prove/Levels';
import { Measurements, Reasons } from '@/features/prove/Measurements';
import { Practice } from '@/features/prove/Practice';
import { ProbeLines } from '@/features/prove/ProbeLines';
import { StepCells } from '@/features/prove/StepCells';
import { CallStrip, MethodSwitch } from '@/features/prove/StepStrip';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { geometry } from '@/features/strand-board/geometry';
import { StrandBoard } from '@/features/strand-board/StrandBoard';
import { countdown } from '@/lib/format';
import { useSecondsLeft, useWidth } from '@/lib/hooks';
import { useAwake, useEndSignal } from '@/lib/device';
import { Shell, useProbes } from '@/shell/Shell';
import type { BoardState, ProveProps, StepView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';

const schools: Record<string, { word: string; order: string[] }> = {
    jumper: { word: 'Jumper at the wall first', order: ['jumper', 'board-jumper', 'continuity', 'voltage', 'float-lift'] },
    meter: { word: 'Meter first', order: ['voltage', 'jumper', 'board-jumper', 'continuity', 'float-lift'] },
    unit: { word: 'From the unit outward', order: ['board-jumper', 'jumper', 'voltage', 'continuity', 'float-lift'] },
};
const preferred = () => (typeof localStorage === 'undefined' ? null : localStorage.getItem('school')) ?? 'jumper';

/** Where to go on: the running step, else the first open one of the two main proofs, in the order of the person's school. */
function goOn(steps: StepView[], school: string): string {
    const order = schools[school]?.order ?? [];
    const calls = [...new Set(steps.map((step) => step.call))];
    const sorted = [...steps].sort((a, b) => calls.indexOf(a.call) - calls.indexOf(b.call) || order.indexOf(a.method) - order.indexOf(b.method));
    return (steps.find((step) => step.running) ?? sorted.find((step) => step.main && step.state !== 'passed') ?? steps[0])?.key ?? '';
}

export default function Prove() {
    const { steps, readings } = usePage<ProveProps>().props;
    const [key, setKey] = useState(() => goOn(steps, preferred()));
    // A step that another device starts is the one to look at here too.
    const running = steps.find((candidate) => candidate.running)?.key ?? null;
    const [followed, setFollowed] = useState(running);
    if (running !== followed) {
        setFollowed(running);
        if (running !== null) setKey(running);
    }
    const step = steps.find((candidate) => candidate.key === key) ?? steps[0];
    const first = step?.probes.find((probe) => !probe.reading) ?? step?.probes[0];
    return (
        <Shell stage="prove" title="Prove" start={[first?.a ?? 'wall.Rc', first?.b ?? 'wall.C']} dock={<Dock step={step} readings={readings} />}>
            {step ? <Body step={step} onStep={setKey} /> : <p className="p-5">This plan has no call to prove.</p>}
        </Shell>
    );
}

/** The dock of the step; after a reading that is as expected the probes go on to the next open pair. */
function Dock({ step, readings }: { step: StepView | undefined; readings: ProveProps['readings'] }) {
    const probes = useProbes();
    return (
        <MeterDock
            stage="prove"
            step={step?.key ?? null}
            readings={readings}
            onRecorded={(reading) => {
                if (reading.outcome !== 'pass' || !step) return;
                const next = step.probes.find((probe) => probe.reading?.outcome !== 'pass' && !(probe.a === reading.a && probe.b === reading.b));
                if (next && step.probes.some((probe) => probe.a === reading.a && probe.b === reading.b)) probes.set(next.a, next.b);
            }}
        />
    );
}

/** While a delay runs: what it holds back waits, with the time. */
function waits(step: StepView, left: number): BoardState {
    const loads = { ...step.waitingBoard.loads };
    for (const [id, load] of Object.entries(step.board.loads)) {
        if (load.state === 'in' && loads[id]?.state !== 'in') loads[id] = { state: 'waiting', label: `waits ${countdown(left)}` };
    }
    return { ...step.waitingBoard, loads };
}

function Body({ step, onStep }: { step: StepView; onStep: (key: string) => void }) {
    const { job, calls, steps, board, resting, power, restore, now, noContinuity, noWallJumper } = usePage<ProveProps>().props;
    const left = useSecondsLeft(step.running ? step.readyAt : null, now);
    const probes = useProbes();
    const [measure, width] = useWidth(808);
    const closed = job.handedOverAt !== null;
    const live = step.running && !step.staysDead && power.state === 'live';
    const dead = { ...resting, energised: [] };
    // A job that is closed shows the step as it was proved.
    const shown = live && left > 0 ? waits(step, left) : live || closed ? step.board : power.state === 'live' ? resting : dead;
    const wanted = calls.filter((call) => !call.optional);
    const proved = wanted.filter((call) => call.proved).length;
    const through = wanted.every((call) => call.proved || call.waived !== null);
    useAwake(step.running);
    useEndSignal(step.running && step.readyAt !== null, left);
    const phone = width < 700;
    const [school, setSchool] = useState(preferred);
    const order = schools[school]?.order ?? [];
    const mine = steps.filter((candidate) => candidate.call === step.call).sort((a, b) => order.indexOf(a.method) - order.indexOf(b.method));
    const choose = (key: string) => {
        const next = steps.find((candidate) => candidate.key === key);
        const probe = next?.probes.find((candidate) => !candidate.reading) ?? next?.probes[0];
        if (probe) {
            probes.setMode(probe.mode);
            probes.set(probe.a, probe.b);
        }
        onStep(key);
    };
    const last = geometry('prove', width).wallTag;

    return (
        <div ref={measure} className="flex flex-1 flex-col">
            <div className="head">
                <div>
                    <h1 className="h-step">Prove {step.callLabel}</h1>
                    <p>
                        {proved} of {wanted.length} calls proved. {step.shows}
                    </p>
                </div>
                {!closed && through && (
                    <button className="btn btn--go" onClick={() => router.visit(`/jobs/${job.id}/handover`)}>
                        Go to Handover <Glyph name="go" />
                    </button>
                )}
                {step.state === 'passed' && (
                    <State glyph="pass" tone="verd">
                        {step.method === 'voltage' ? 'Call proved' : 'Equipment proved'}
                    </State>
                )}
            </div>
            <CallStrip calls={calls} current={step.call} onCall={(call) => choose((steps.find((candidate) => candidate.call === call && candidate.state !== 'passed') ?? steps.find((candidate) => candidate.call === call))?.key ?? step.key)} />
            <div className="flex flex-wrap items-center justify-between gap-3 border-b border-hair px-1.5">
                <MethodSwitch steps={mine} current={step.key} onStep={choose} missing={[...(noWallJumper ? [{ word: 'By jumper', why: noWallJumper }] : []), ...(noContinuity ? [{ word: 'By continuity', why: noContinuity }] : [])]} />
                {!closed && (
                    <label className="flex min-h-11 items-center gap-2 px-3 text-[14px] text-muted">
                        <span className="vh">Order of the proofs</span>
                        <select
                            className="h-11 bg-transparent font-lab font-semibold"
                            value={school}
                            onChange={(event) => {
                                localStorage.setItem('school', event.target.value);
                                setSchool(event.target.value);
                            }}
                        >
                            {Object.entries(schools).map(([value, { word }]) => (
                                <option key={value} value={value}>
                                    {word}
                                </option>
                            ))}
                        </select>
                    </label>
                )}
                {restore.length > 0 && (
                    <span className="px-3">
                        <State glyph="caution" tone="caution">
                            To put back: {restore.join('; ')}
                        </State>
                    </span>
                )}
            </div>
            <StepCells key={step.key} step={step} closed={closed} />
            <div className="bg-panel">
                <StrandBoard
                    variant={phone ? 'phone' : 'prove'}
                    board={board}
                    state={shown}
                    jumpers={step.running || closed ? step.jumpers : []}
                    lifted={step.running || closed ? step.lifted : []}
                    heads={phone ? [] : [{ x: last, text: 'Wall' }, { x: last + 98, text: 'Probe' }, { x: width - 110, text: 'Expected', end: true }, { x: width - 44, text: 'Actual', end: true }]}
                    words={(row, place) => (phone ? null : <ProbeLines step={step} points={[`wall.${row.lands}`, `indoor.${row.board}`]} y={place.y} right={width} left={last + 128} />)}
                    outdoorWords={(row, place) => <ProbeLines step={step} points={[`outdoor.${row.outdoor}`]} y={place.y} right={width} left={last + 128} />}
                    label={`Strand board, ${step.callLabel} ${step.methodLabel}, ${live ? 'live' : 'not running'}`}
                />
            </div>
            {phone && <Measurements step={step} />}
            <Reasons step={step} />
            <Levels calls={calls} steps={steps} closed={closed} />
            {!closed && <Practice />}
        </div>
    );
}
