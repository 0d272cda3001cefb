import { useWidth } from '@/lib/hooks';
import { say } from '@/words';
import type { PlaceOnBoard, StrandBoardProps } from './board';
import { ConductorRow } from './ConductorRow';
import { geometry, type Geometry } from './geometry';
import { LoadWords } from './LoadWords';
import { Outdoor } from './Outdoor';
import { Link, Probes, TestJumper, Ties } from './overlays';
import { Screw } from './Screw';

/** The strand board: loads, board, jacket, wall, in the order of the conductors' numbers, which never changes. */
export function StrandBoard(props: StrandBoardProps) {
    const [measure, width] = useWidth(props.variant === 'phone' ? 390 : 808);
    const g = geometry(props.variant, width);
    const { board, state } = props;
    const live = new Set(state.energised);
    const stubs = board.wallStubs.length;
    // Each further cable out of the wall stands under a line that names it.
    const begins = board.rows.map((row, index) => index > 0 && row.cable !== board.rows[index - 1]?.cable);
    const gaps = (index: number) => begins.slice(0, index + 1).filter(Boolean).length * 26;
    const yOf = (index: number) => g.head + g.row / 2 + index * g.row + gaps(index);
    // Screws that the link reaches stand one below the other; the others share rows where there is room.
    const columns = props.variant === 'plan' ? 2 : 1;
    const linked = board.wallStubs.filter((stub) => stub.hot).length;
    const stubAt = (index: number) =>
        (index < linked
            ? [index, 0]
            : [linked + Math.floor((index - linked) / columns), (index - linked) % columns]) as [number, number];
    const stubRows = stubs === 0 ? 0 : stubAt(stubs - 1)[0] + 1;
    const stubX = (index: number) => g.wallTag - stubAt(index)[1] * (g.wallTagWidth + 8);
    const stubY = (index: number) => yOf(board.rows.length) + stubAt(index)[0] * g.row - 2;
    const boardStubY = (index: number) => yOf(board.rows.length) + index * g.row - 2;
    const cableEnd = yOf(board.rows.length) - g.row / 2 + Math.max(stubRows, board.boardStubs.length) * g.row + 6;
    const outdoor = props.variant === 'phone' ? [] : board.outdoor;
    const outdoorTop = cableEnd + (outdoor.length > 0 ? 8 : 0);
    const height = outdoorTop + outdoor.length * g.row + (outdoor.length > 0 ? 26 : 0);

    const places = new Map<string, PlaceOnBoard>();
    board.rows.forEach((row, index) => {
        if (row.boardPoint)
            places.set(row.boardPoint, {
                x: g.boardTag + g.tagWidth - 8,
                y: yOf(index) + 10,
                side: 'equipment',
            });
        if (row.lands)
            places.set(`wall.${row.lands}`, { x: g.wallTag + g.wallTagWidth - 8, y: yOf(index) + 10, side: 'wall' });
        places.set(`${row.id}.near`, { x: g.wallTag - 12, y: yOf(index), side: 'wall' });
        places.set(`${row.id}.far`, { x: g.boardTag + g.tagWidth + 14, y: yOf(index), side: 'equipment' });
    });
    board.wallStubs.forEach((stub, index) =>
        places.set(stub.point, { x: stubX(index) + g.wallTagWidth - 8, y: stubY(index) + 8, side: 'wall' }),
    );
    board.boardStubs.forEach((stub, index) =>
        places.set(stub.point, { x: g.boardTag + g.tagWidth - 8, y: boardStubY(index) + 8, side: 'equipment' }),
    );
    outdoor.forEach((row, index) => {
        if (row.outdoor)
            places.set(`${row.to}.${row.outdoor}`, {
                x: g.wallTag + g.wallTagWidth - 8,
                y: outdoorTop + 44 + index * g.row,
                side: 'wall',
            });
    });

    return (
        <div ref={measure}>
            {board.rows.length === 0 ? (
                <EmptyBoard g={g} />
            ) : (
                <svg
                    className="sb"
                    height={height}
                    viewBox={`0 0 ${width} ${height}`}
                    role="group"
                    aria-label={props.label}
                >
                    <Heads g={g} heads={props.heads} />
                    <path d={`M${g.jacket[0]} 6H${g.jacket[1]}V${cableEnd}H${g.jacket[0]}Z`} fill="var(--jacket)" />
                    <path
                        d={`M${g.jacket[0]} 6V${cableEnd}M${g.jacket[1]} 6V${cableEnd}`}
                        stroke="var(--jacket-edge)"
                        strokeWidth="3"
                    />
                    <text className="c-jack" x={(g.jacket[0] + g.jacket[1]) / 2} y="20" textAnchor="middle">
                        {board.cables[0]?.label ?? ''}
                    </text>
                    {board.rows.map(
                        (row, index) =>
                            begins[index] && (
                                <g key={row.cable}>
                                    <path
                                        d={`M0 ${yOf(index) - g.row / 2 - 25}H${width}`}
                                        stroke="var(--rule)"
                                        strokeWidth="1.5"
                                    />
                                    <text
                                        className="c-jack"
                                        x={(g.jacket[0] + g.jacket[1]) / 2}
                                        y={yOf(index) - g.row / 2 - 7}
                                        textAnchor="middle"
                                    >
                                        {board.cables.find((cable) => cable.id === row.cable)?.label ?? ''}
                                    </text>
                                </g>
                            ),
                    )}
                    {board.rows.map((row, index) => (
                        <ConductorRow key={row.id} {...props} g={g} row={row} y={yOf(index)} live={live} />
                    ))}
                    {board.wallStubs.map((stub, index) => (
                        <Screw
                            key={stub.point}
                            x={stubX(index)}
                            width={g.wallTagWidth}
                            y={stubY(index)}
                            side="wall"
                            label={stub.printed}
                            height={22}
                            point={stub.point}
                            kind={live.has(stub.point) ? 'livestub' : 'stub'}
                            name={say('board.at-the-wall-plate-no-conductor', { printed: stub.printed })}
                        />
                    ))}
                    {board.boardStubs.map((stub, index) => (
                        <g key={stub.point}>
                            {g.loads !== null && (
                                <LoadWords
                                    g={g}
                                    y={boardStubY(index)}
                                    load={stub.load}
                                    state={state}
                                    live={live.has(stub.point)}
                                />
                            )}
                            <Screw
                                x={g.boardTag}
                                width={g.tagWidth}
                                y={boardStubY(index)}
                                side="equipment"
                                label={stub.printed}
                                height={22}
                                point={stub.point}
                                kind={live.has(stub.point) ? 'livestub' : 'stub'}
                                name={say('board.at-the-board-no-conductor-from', { printed: stub.printed })}
                            />
                        </g>
                    ))}
                    <Link g={g} board={board} yOf={yOf} stubY={stubY} live={live} />
                    <Ties g={g} board={board} places={places} live={live} />
                    <TestJumper g={g} jumpers={props.jumpers ?? []} places={places} live={live} />
                    {outdoor.length > 0 && <Outdoor g={g} top={outdoorTop} props={props} live={live} />}
                    <Probes g={g} places={places} phone={props.variant === 'phone'} />
                </svg>
            )}
        </div>
    );
}

function Heads({ g, heads }: { g: Geometry; heads: StrandBoardProps['heads'] }) {
    return (
        <>
            {g.loads !== null && (
                <text className="c-head" x="20" y="18">
                    {say('board.loads')}
                </text>
            )}
            <text className="c-head" x={g.boardTag} y="18">
                {say('board.board')}
            </text>
            {heads.map((head) => (
                <text key={head.text} className="c-head" x={head.x} y="18" textAnchor={head.end ? 'end' : 'start'}>
                    {head.text}
                </text>
            ))}
        </>
    );
}

function EmptyBoard({ g }: { g: Geometry }) {
    return (
        <div className="relative">
            <svg className="sb" height="180" viewBox={`0 0 ${g.width} 180`} aria-hidden="true">
                <rect
                    x={g.jacket[0]}
                    y="8"
                    width={g.jacket[1] - g.jacket[0]}
                    height="164"
                    fill="none"
                    stroke="var(--rule)"
                    strokeWidth="2"
                    strokeDasharray="6 5"
                />
                {[1, 2, 3, 4].map((row) => (
                    <path
                        key={row}
                        d={`M${g.boardTag} ${row * 36}H${g.wallTag + g.wallTagWidth}`}
                        stroke="var(--rule)"
                        strokeWidth="2"
                        strokeDasharray="2 6"
                    />
                ))}
            </svg>
            <p className="absolute inset-x-0 top-20 text-center">
                <span className="bg-bone px-3 py-1">{say('board.no-conductors-yet-type-the-first')}</span>
            </p>
        </div>
    );
}
