import { usePage } from '@inertiajs/react';
import { ProbeLines } from '@/features/prove/ProbeLines';
import { Measurements } from '@/features/prove/Measurements';
import { geometry } from '@/features/strand-board/geometry';
import { StrandBoard } from '@/features/strand-board/StrandBoard';
import { countdown } from '@/lib/format';
import { useEndSignal } from '@/lib/device';
import { useSecondsLeft } from '@/lib/hooks';
import type { BoardRow, BoardState, Board, ProveProps, StepView } from '@/types';
import { say } from '@/words';

/** The house while the step runs, each reading of it on the row that it is taken on, the others below. */
export function ProveBoard({ step, width }: { step: StepView; width: number }) {
    const { board, job, power, resting, now } = usePage<ProveProps>().props;
    const left = useSecondsLeft(step.running ? step.readyAt : null, now);
    useEndSignal(step.running && step.readyAt !== null, left);
    const live = step.running && !step.staysDead && power.state === 'live';
    const stands = step.running || job.closed;
    const phone = width < 700;
    const last = geometry('prove', width).wallTag;
    const lines = (points: string[], y: number) => (
        <ProbeLines step={step} points={points} y={y} right={width} left={last + 128} />
    );
    const onRows = [
        ...board.rows.flatMap((row) => ofRow(board, row)),
        ...board.outdoor.map((row) => `${row.to}.${row.outdoor}`),
    ];
    const elsewhere = step.probes.filter((probe) => phone || !onRows.includes(probe.a));
    const says = { call: step.callLabel, method: step.methodLabel };

    return (
        <>
            <div className="bg-panel">
                <StrandBoard
                    variant={phone ? 'phone' : 'prove'}
                    board={board}
                    state={shown(step, { live, left, closed: job.closed, power: power.state, resting })}
                    jumpers={stands ? step.jumpers : []}
                    lifted={stands ? step.lifted : []}
                    heads={phone ? [] : heads(width, last)}
                    words={(row, place) => (phone ? null : lines(ofRow(board, row), place.y))}
                    outdoorWords={(row, place) => lines([`${row.to}.${row.outdoor}`], place.y)}
                    label={live ? say('prove.strand-board-live', says) : say('prove.strand-board-not-running', says)}
                />
            </div>
            {(phone || elsewhere.length > 0) && <Measurements probes={elsewhere} />}
        </>
    );
}

const heads = (width: number, last: number) => [
    { x: last, text: say('prove.wall') },
    { x: last + 98, text: say('prove.probe') },
    { x: width - 110, text: say('prove.expected'), end: true },
    { x: width - 44, text: say('prove.actual'), end: true },
];

/** A screw that a tie joins to a landed one is measured on that row; what has no row stands below the board. */
function ofRow(board: Board, row: BoardRow): string[] {
    return [
        `wall.${row.lands}`,
        ...board.ties
            .filter((tie) => tie.place === 'wall' && (tie.a === row.lands || tie.b === row.lands))
            .map((tie) => `wall.${tie.a === row.lands ? tie.b : tie.a}`),
        ...(row.boardPoint ? [row.boardPoint] : []),
    ];
}

interface Now {
    live: boolean;
    left: number;
    closed: boolean;
    power: ProveProps['power']['state'];
    resting: BoardState;
}

/** What the board shows of the step now. A job that is closed shows it as it was proved. */
function shown(step: StepView, { live, left, closed, power, resting }: Now): BoardState {
    if (live && step.offAt !== null) return resting;
    if (live && left > 0) return waits(step, left);
    if (live || closed) return step.board;
    return power === 'live' ? resting : { ...resting, energised: [] };
}

/** While a delay runs: what it holds back waits, with the time. */
function waits(step: StepView, left: number): BoardState {
    const loads = { ...step.waitingBoard.loads };
    for (const [id, load] of Object.entries(step.board.loads)) {
        if (load.state === 'in' && loads[id]?.state !== 'in')
            loads[id] = { state: 'waiting', label: say('prove.waits', { countdown: countdown(left) }) };
    }
    return { ...step.waitingBoard, loads };
}
