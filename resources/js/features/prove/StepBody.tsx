import { router, usePage } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import { DeadAsFound } from '@/features/as-found/Dead';
import { WillBeReplaced } from '@/features/as-found/Head';
import { Found } from '@/features/as-found/ThreeTaps';
import { CannotTell } from '@/features/prove/CannotTell';
import { Coverage } from '@/features/prove/Coverage';
import { Levels } from '@/features/prove/Levels';
import { Loads } from '@/features/prove/Loads';
import { Measured } from '@/features/prove/Measured';
import { Measurements, Reasons } from '@/features/prove/Measurements';
import { Practice } from '@/features/prove/Practice';
import { ProbeLines } from '@/features/prove/ProbeLines';
import { StepCells } from '@/features/prove/StepCells';
import { CallStrip, MethodSwitch } from '@/features/prove/StepStrip';
import { SetupStrip } from '@/features/setup-strip/SetupStrip';
import { geometry } from '@/features/strand-board/geometry';
import { StrandBoard } from '@/features/strand-board/StrandBoard';
import { countdown } from '@/lib/format';
import { useSecondsLeft, useWidth } from '@/lib/hooks';
import { meterUsed } from '@/lib/keys';
import { useAwake, useEndSignal } from '@/lib/device';
import { useProbes } from '@/shell/Shell';
import { url } from '@/lib/url';
import type { BoardRow, BoardState, ProveProps, StepView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';
import { Way } from '@/features/prove/Way';
import { prefer } from '@/lib/write/prefer';
import { preferred, toRead } from './school';
import { say } from '@/words';

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
    const {
        job,
        asFound,
        calls,
        steps,
        routes,
        board,
        resting,
        power,

        now,
        noContinuity,
        noWallJumper,
        loads,
        user,
    } = usePage<ProveProps>().props;
    const left = useSecondsLeft(step.running ? step.readyAt : null, now);
    const probes = useProbes();
    const [measure, width] = useWidth(808);
    const closed = job.closed;
    const live = step.running && !step.staysDead && power.state === 'live';
    const dead = { ...resting, energised: [] };
    // A job that is closed shows the step as it was proved.
    const shown =
        live && step.offAt !== null
            ? resting
            : live && left > 0
              ? waits(step, left)
              : live || closed
                ? step.board
                : power.state === 'live'
                  ? resting
                  : dead;
    const wanted = calls.filter((call) => !call.optional);
    const asked = wanted.filter((call) => call.isCall);
    const proved = asked.filter((call) => call.proved).length;
    const through = wanted.every((call) => call.proved || call.waived !== null);
    useAwake(step.running);
    // While a step runs a figure typed anywhere is a reading.
    useEffect(() => {
        if (step.running) meterUsed();
    }, [step.key, step.running]);
    useEndSignal(step.running && step.readyAt !== null, left);
    const phone = width < 700;
    const [school, setSchool] = useState(preferred);
    const route = routes[school];
    const order = route?.order ?? [];
    const next = steps.find((candidate) => candidate.key === route?.keys.find((key) => key !== step.key));
    const mine = steps
        .filter((candidate) => candidate.call === step.call)
        .sort((a, b) => order.indexOf(a.method) - order.indexOf(b.method));
    const choose = (key: string) => {
        const next = steps.find((candidate) => candidate.key === key);
        const probe = next && (toRead(next).find((candidate) => !candidate.reading) ?? next.probes[0]);
        if (probe) {
            probes.setMode(probe.mode);
            probes.set(probe.a, probe.b);
        }
        onStep(key);
    };
    const way = (
        <Way
            routes={routes}
            school={school}
            onSchool={(next) => {
                void prefer({ school: next });
                setSchool(next);
            }}
        />
    );
    // Every record that can make the proofs worth more.
    const marks = steps
        .map(
            (candidate) =>
                candidate.probes.map((probe) => probe.reading?.id ?? '').join() +
                candidate.signs.map((sign) => sign.at ?? '').join(),
        )
        .concat(loads.map((load) => load.read.amps?.id ?? ''))
        .join();
    const last = geometry('prove', width).wallTag;

    // A screw that a tie joins to a landed one is measured on that row; what has no row stands below the board.
    const ofRow = (row: BoardRow) => [
        `wall.${row.lands}`,
        ...board.ties
            .filter((tie) => tie.place === 'wall' && (tie.a === row.lands || tie.b === row.lands))
            .map((tie) => `wall.${tie.a === row.lands ? tie.b : tie.a}`),
        ...(row.boardPoint ? [row.boardPoint] : []),
    ];
    const onRows = [...board.rows.flatMap(ofRow), ...board.outdoor.map((row) => `${row.to}.${row.outdoor}`)];
    const elsewhere = step.probes.filter((probe) => !onRows.includes(probe.a));

    return (
        <div ref={measure} className="flex flex-1 flex-col">
            <div className="head">
                <div>
                    <h1 className="h-step">
                        {asFound
                            ? say('prove.as-found-call', { callLabel: step.callLabel })
                            : say('prove.prove', { callLabel: step.callLabel })}
                    </h1>
                    <p>{say('prove.of-calls-proved', { proved, wanted: asked.length, shows: step.shows })}</p>
                </div>
                {!closed && through && (
                    <button className="btn btn--go" onClick={() => router.visit(url('job.handover', { job: job.id }))}>
                        {say('prove.go-to-handover')} <Glyph name="go" />
                    </button>
                )}
                {step.state === 'passed' && (
                    <State glyph="pass" tone="verd">
                        {step.method === 'voltage'
                            ? say('prove.call-proved')
                            : step.method === 'continuity'
                              ? say('prove.thermostat-proved')
                              : step.method === 'pre-check'
                                ? say('prove.ready-for-power')
                                : step.method === 'at-rest'
                                  ? say('prove.nothing-runs')
                                  : say('prove.equipment-proved')}
                    </State>
                )}
                {!closed && !step.running && next && (step.state === 'passed' || step.state === 'failed') && (
                    <button
                        className={`btn ${step.state === 'passed' && !through ? 'btn--go' : ''}`}
                        onClick={() => choose(next.key)}
                    >
                        {next.call === 'idle'
                            ? say('prove.next', { method: next.methodLabel.toLowerCase() })
                            : say('prove.next-2', {
                                  call: next.callLabel,
                                  method: next.methodLabel.toLowerCase(),
                              })}{' '}
                        <Glyph name="go" />
                    </button>
                )}
                {asFound && !closed && <WillBeReplaced />}
            </div>
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
                onCall={(call) =>
                    choose(
                        (
                            steps.find((candidate) => candidate.key === call) ??
                            (call === 'idle' && power.state === 'live'
                                ? steps.find((candidate) => candidate.method === 'at-rest')
                                : undefined) ??
                            steps.find((one) => one.call === call && route?.keys.includes(one.key)) ??
                            steps.find((candidate) => candidate.call === call && candidate.state !== 'passed') ??
                            steps.find((candidate) => candidate.call === call)
                        )?.key ?? step.key,
                    )
                }
            />
            <div className="flex flex-wrap items-center justify-between gap-3 border-b border-hair px-1.5">
                <MethodSwitch
                    key={step.call}
                    steps={mine}
                    short={school === 'short' && !mine.some((candidate) => candidate.state === 'failed')}
                    current={step.key}
                    onStep={choose}
                    missing={
                        step.call === 'idle' || step.call === 'defrost'
                            ? []
                            : [
                                  ...(noWallJumper[step.call]
                                      ? [{ word: say('prove.by-jumper'), why: noWallJumper[step.call] ?? '' }]
                                      : []),
                                  ...(noContinuity ? [{ word: say('prove.by-continuity'), why: noContinuity }] : []),
                              ]
                    }
                />
            </div>
            {!closed && !phone && way}
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
            <div className="bg-panel">
                <StrandBoard
                    variant={phone ? 'phone' : 'prove'}
                    board={board}
                    state={shown}
                    jumpers={step.running || closed ? step.jumpers : []}
                    lifted={step.running || closed ? step.lifted : []}
                    heads={
                        phone
                            ? []
                            : [
                                  { x: last, text: say('prove.wall') },
                                  { x: last + 98, text: say('prove.probe') },
                                  { x: width - 110, text: say('prove.expected'), end: true },
                                  { x: width - 44, text: say('prove.actual'), end: true },
                              ]
                    }
                    words={(row, place) =>
                        phone ? null : (
                            <ProbeLines step={step} points={ofRow(row)} y={place.y} right={width} left={last + 128} />
                        )
                    }
                    outdoorWords={(row, place) => (
                        <ProbeLines
                            step={step}
                            points={[`${row.to}.${row.outdoor}`]}
                            y={place.y}
                            right={width}
                            left={last + 128}
                        />
                    )}
                    label={
                        live
                            ? say('prove.strand-board-live', { call: step.callLabel, method: step.methodLabel })
                            : say('prove.strand-board-not-running', { call: step.callLabel, method: step.methodLabel })
                    }
                />
            </div>
            {phone ? (
                <Measurements probes={step.probes} />
            ) : (
                elsewhere.length > 0 && <Measurements probes={elsewhere} />
            )}
            <Reasons step={step} />
            {asFound && <DeadAsFound />}
            <Coverage jobId={job.id} marks={marks} closed={closed} onStep={choose} onCheck={onCheck} />
            <Levels calls={calls} steps={steps} closed={closed} onStep={choose} />
            {!closed && phone && way}
            <Loads call={check} onCall={onCheck} />
            <Measured closed={closed} />
            {user?.works && <Practice />}
        </div>
    );
}

/** While a delay runs: what it holds back waits, with the time. */
export function waits(step: StepView, left: number): BoardState {
    const loads = { ...step.waitingBoard.loads };
    for (const [id, load] of Object.entries(step.board.loads)) {
        if (load.state === 'in' && loads[id]?.state !== 'in')
            loads[id] = { state: 'waiting', label: say('prove.waits', { countdown: countdown(left) }) };
    }
    return { ...step.waitingBoard, loads };
}
