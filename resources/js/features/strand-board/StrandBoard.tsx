import type { ReactNode } from 'react';
import { useWidth } from '@/lib/hooks';
import { useProbes } from '@/shell/Shell';
import type { Board, BoardRow, BoardState, HangsOn, OutdoorRow } from '@/types';
import { geometry, type Geometry, type Variant } from './geometry';
import { Armature, Bracket, Cap, InJacket, LiveMark, Pin, Strand, SvgTag, Touch } from './parts';
import { say } from '@/words';

export interface StrandBoardProps {
    variant: Variant;
    board: Board;
    state: BoardState;
    /** Pairs of points that a test jumper joins, drawn at the wall. */
    jumpers?: string[][];
    /** Conductor ends lifted from their screws. */
    lifted?: string[];
    /** Conductors that carry a short, drawn as it would be on the wall. */
    fault?: string[];
    selected?: number | null;
    onSelect?: ((number: number) => void) | undefined;
    /** Heads of the columns on the right. */
    heads: { x: number; text: string; end?: boolean }[];
    /** What stands on the right of a conductor's row, at its words column. */
    words: (row: BoardRow, place: { x: number; y: number; width: number }) => ReactNode;
    /** The same for a conductor of the outdoor cable. */
    outdoorWords?: (row: OutdoorRow, place: { x: number; y: number; width: number }) => ReactNode;
    label: string;
}

/** The strand board: loads, board, jacket, wall, in the order of the conductors' numbers, which never changes. */
export function StrandBoard(props: StrandBoardProps) {
    const [measure, width] = useWidth(props.variant === 'phone' ? 390 : 808);
    const g = geometry(props.variant, width);
    const { board, state } = props;
    const live = new Set(state.energised);
    const stubs = board.wallStubs.length;
    const yOf = (index: number) => g.head + g.row / 2 + index * g.row;
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

    const places = new Map<string, { x: number; y: number; side: 'wall' | 'equipment' }>();
    board.rows.forEach((row, index) => {
        if (row.board)
            places.set(`indoor.${row.board}`, {
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
            places.set(`outdoor.${row.outdoor}`, {
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
                        {board.cable}
                    </text>
                    {board.rows.map((row, index) => (
                        <ConductorRow key={row.id} {...props} g={g} row={row} y={yOf(index)} live={live} />
                    ))}
                    {board.wallStubs.map((stub, index) => (
                        <Stub
                            key={stub.point}
                            g={g}
                            x={stubX(index)}
                            width={g.wallTagWidth}
                            y={stubY(index)}
                            side="wall"
                            printed={stub.printed}
                            point={stub.point}
                            live={live.has(stub.point)}
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
                            <Stub
                                g={g}
                                x={g.boardTag}
                                width={g.tagWidth}
                                y={boardStubY(index)}
                                side="equipment"
                                printed={stub.printed}
                                point={stub.point}
                                live={live.has(stub.point)}
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

function ConductorRow({
    g,
    row,
    y,
    live,
    state,
    lifted = [],
    fault = [],
    selected,
    onSelect,
    words,
}: StrandBoardProps & { g: Geometry; row: BoardRow; y: number; live: Set<string> }) {
    const probes = useProbes();
    const hot = live.has(`${row.id}.mid`);
    const liftedWall = lifted.includes(`${row.id}.near`);
    const wallFree = row.lands === null || liftedWall;
    const back = row.load?.kind === 'load';
    const [left, right] = g.jacket;
    const wallEnd = wallFree ? right + 26 : g.wallTag - 1;
    const name = `${row.number} ${row.colourWord}`;
    const shorted = fault.includes(row.id);
    const background = shorted
        ? 'var(--fault-wash)'
        : selected === row.number
          ? 'var(--copper-wash)'
          : row.moved
            ? 'var(--copper-wash)'
            : 'transparent';
    return (
        <g data-conductor={row.number} data-live={hot ? '' : undefined} data-fault={shorted ? '' : undefined}>
            <rect
                x="0"
                y={y - g.row / 2}
                width={g.width}
                height={g.row}
                fill={background}
                opacity={selected === row.number || row.moved || shorted ? 1 : 0}
            />
            {selected === row.number && <rect x="0" y={y - g.row / 2} width="5" height={g.row} fill="var(--copper)" />}
            {g.loads !== null && (
                <LoadWords g={g} y={y} load={row.load} state={state} live={hot && row.board !== null} />
            )}
            <Strand
                from={row.board ? g.boardTag + g.tagWidth + 2 : left - 52}
                to={left}
                y={y}
                colour={row.colour}
                stripe={row.stripe}
                live={hot}
                back={back}
                bareRight={false}
                bareLeft={row.board !== null}
            />
            {row.board === null && <Cap x={left - 52} y={y} toward={-1} />}
            <InJacket
                from={left + 2}
                to={right - 2}
                y={y}
                colour={row.colour}
                live={hot}
                label={
                    <>
                        <tspan fontWeight="700">{row.number}</tspan> {row.colourWord}
                    </>
                }
            />
            <Strand
                from={right}
                to={wallEnd}
                y={y}
                colour={row.colour}
                stripe={row.stripe}
                live={hot}
                back={back}
                bareLeft={false}
                bareRight={!wallFree}
            />
            {row.lands === null && <Cap x={wallEnd} y={y} toward={1} />}
            {hot && g.loads !== null && row.board && (
                <LiveMark x={g.boardTag + g.tagWidth + 22} y={y} volts={state.low[`${row.id}.mid`] ?? '24 V'} />
            )}
            {shorted && (
                <path
                    className="flow"
                    d={`M${g.boardTag + g.tagWidth} ${y + 9}H${g.wallTag}`}
                    fill="none"
                    stroke="var(--fault)"
                    strokeWidth="4"
                    strokeDasharray="10 7"
                />
            )}
            {onSelect && (
                <Touch
                    name={say('board.conductor', { name })}
                    onTouch={() => onSelect(row.number)}
                    pressed={selected === row.number}
                >
                    <rect
                        className="focus"
                        x={left}
                        y={y - g.row / 2}
                        width={right - left}
                        height={g.row}
                        fill="transparent"
                    />
                </Touch>
            )}
            {g.was !== null && row.was !== null && <Was x={g.was} y={y} text={row.was} moved={row.moved} />}
            {row.board && (
                <SvgTag
                    x={g.boardTag}
                    y={y}
                    width={g.tagWidth}
                    label={row.board}
                    side="equipment"
                    kind={row.boardMoved ? 'move' : live.has(`indoor.${row.board}`) ? 'live' : 'stay'}
                    name={say('board.at-the-board', { board: row.board })}
                    onTouch={() => probes.touch(`indoor.${row.board}`)}
                />
            )}
            {row.lands && (
                <SvgTag
                    x={g.wallTag}
                    y={y}
                    width={g.wallTagWidth}
                    label={row.lands}
                    side="wall"
                    kind={row.moved ? 'move' : live.has(`wall.${row.lands}`) ? 'live' : 'stay'}
                    name={say('board.at-the-wall-plate', { lands: row.lands })}
                    onTouch={() => probes.touch(`wall.${row.lands}`)}
                />
            )}
            {words(row, { x: g.words, y, width: g.width - g.words - 16 })}
        </g>
    );
}

function Was({ x, y, text, moved }: { x: number; y: number; text: string; moved: boolean }) {
    return (
        <g>
            <path
                d={`M${x} ${y - 10}H${x + 32}V${y + 10}H${x}Z`}
                fill="var(--panel)"
                stroke={moved ? 'var(--copper)' : 'var(--rule)'}
                strokeWidth="1.3"
            />
            <text className="c-was" x={x + 16} y={y + 4.6}>
                {text}
            </text>
            {moved && (
                <path
                    d={`M${x + 2} ${y + 9}L${x + 30} ${y - 9}M${x + 42} ${y - 6}l6 6 -6 6`}
                    fill="none"
                    stroke="var(--copper)"
                    strokeWidth="2"
                />
            )}
        </g>
    );
}

function LoadWords({
    g,
    y,
    load,
    state,
    live,
}: {
    g: Geometry;
    y: number;
    load: HangsOn | null;
    state: BoardState;
    live: boolean;
}) {
    if (!load || g.loads === null) return null;
    const loadState = load.kind === 'load' ? state.loads[load.id] : undefined;
    const tone =
        loadState?.state === 'in' ? 'f-live' : loadState && loadState.state !== 'rest' ? 'f-caution' : 'f-muted';
    const [main, ...rest] = load.label.split(', ');
    const blown = load.kind === 'source' && state.notes.some((note) => note.includes(say('board.fuse-opens')));
    return (
        <g data-load={load.id} data-state={loadState?.state}>
            <text className="c-name" x={g.loads} y={loadState || rest.length > 0 ? y - 2 : y + 5} textAnchor="end">
                {main}
            </text>
            {(loadState || rest.length > 0) && (
                <text className={`c-state ${blown ? 'f-fault' : tone}`} x={g.loads} y={y + 13} textAnchor="end">
                    {loadState ? loadState.label.split(',')[0] : blown ? say('board.fuse-opens') : rest.join(', ')}
                </text>
            )}
            {loadState && (
                <Armature
                    x={g.loads + 7}
                    y={y + 4}
                    state={loadState.state === 'in' ? 'in' : loadState.state === 'rest' ? 'rest' : 'odd'}
                />
            )}
            {load.kind === 'source' && (
                <path
                    d={`M${g.loads + 6} ${y}c4 -12 6 -12 9 0s5 12 9 0`}
                    fill="none"
                    stroke="var(--live-ink)"
                    strokeWidth="2.2"
                />
            )}
            {load.kind === 'return' && <path d={`M${g.loads + 7} ${y}h14`} stroke="var(--muted)" strokeWidth="2.6" />}
            <path
                d={`M${g.loads + 27} ${y}H${g.boardTag}`}
                stroke={live ? 'var(--live)' : 'var(--rule)'}
                strokeWidth={live ? 4 : 2}
            />
        </g>
    );
}

function Stub({
    x,
    width,
    y,
    side,
    printed,
    point,
    live,
    name,
}: {
    g: Geometry;
    x: number;
    width: number;
    y: number;
    side: 'wall' | 'equipment';
    printed: string;
    point: string;
    live: boolean;
    name: string;
}) {
    const probes = useProbes();
    return (
        <SvgTag
            x={x}
            y={y}
            width={width}
            height={22}
            label={printed}
            side={side}
            kind={live ? 'livestub' : 'stub'}
            name={name}
            onTouch={() => probes.touch(point)}
        />
    );
}

function Link({
    g,
    board,
    yOf,
    stubY,
    live,
}: {
    g: Geometry;
    board: Board;
    yOf: (index: number) => number;
    stubY: (index: number) => number;
    live: Set<string>;
}) {
    if (!board.link) return null;
    const at = (printed: string) => {
        const row = board.rows.findIndex((candidate) => candidate.lands === printed);
        if (row >= 0) return yOf(row);
        const stub = board.wallStubs.findIndex((candidate) => candidate.printed === printed);
        return stub >= 0 ? stubY(stub) : null;
    };
    const a = at(board.link.a);
    const b = at(board.link.b);
    if (a === null || b === null || !board.link.in) return null;
    return (
        <Bracket
            x={g.gutter}
            reach={16}
            ys={[a, b]}
            live={live.has(`wall.${board.link.a}`)}
            label={say('board.link')}
            added={false}
        />
    );
}

/** Ties that the plan adds: brackets at the plate, copper loops beside the board's screws. */
function Ties({
    g,
    board,
    places,
    live,
}: {
    g: Geometry;
    board: Board;
    places: Map<string, { y: number }>;
    live: Set<string>;
}) {
    return (
        <>
            {board.ties.map((tie, index) => {
                const [a, b] = [places.get(`${tie.place}.${tie.a}`), places.get(`${tie.place}.${tie.b}`)];
                if (!a || !b) return null;
                if (tie.place === 'wall')
                    return (
                        <Bracket
                            key={tie.label}
                            x={g.gutter}
                            reach={44 + index * 10}
                            ys={[a.y - 10, b.y - 10]}
                            live={live.has(`wall.${tie.a}`)}
                            label={say('board.tie')}
                            added
                        />
                    );
                const x = g.boardTag - 3 - index * 6;
                return (
                    <path
                        key={tie.label}
                        d={`M${x} ${a.y - 10}h-12V${b.y - 10}h12`}
                        fill="none"
                        stroke="var(--copper)"
                        strokeWidth="5"
                        aria-label={tie.label}
                    />
                );
            })}
        </>
    );
}

function TestJumper({
    g,
    jumpers,
    places,
    live,
}: {
    g: Geometry;
    jumpers: string[][];
    places: Map<string, { y: number }>;
    live: Set<string>;
}) {
    const points = [...new Set(jumpers.flat())];
    const ys = points.flatMap((point) => (places.has(point) ? [(places.get(point)?.y ?? 0) - 10] : []));
    const first = points[0];
    if (ys.length < 2 || !first) return null;
    return <Bracket x={g.gutter} reach={30} ys={ys} live={live.has(first)} label={say('board.jumper')} added />;
}

function Outdoor({ g, top, props, live }: { g: Geometry; top: number; props: StrandBoardProps; live: Set<string> }) {
    const probes = useProbes();
    const foot = top + 26 + props.board.outdoor.length * g.row;
    return (
        <g>
            <path d={`M0 ${top}H${g.width}`} stroke="var(--ink)" strokeWidth="2" />
            <text className="c-head" x={g.wallTag} y={top + 18}>
                {say('board.outdoor-unit')}
            </text>
            <path d={`M${g.jacket[0]} ${top + 6}H${g.jacket[1]}V${foot}H${g.jacket[0]}Z`} fill="var(--jacket)" />
            <text className="c-jack" x={(g.jacket[0] + g.jacket[1]) / 2} y={top + 19} textAnchor="middle">
                {props.board.outdoorCable}
            </text>
            {props.board.outdoor.map((row, index) => {
                const y = top + 44 + index * g.row;
                const hot = live.has(`${row.id}.mid`);
                return (
                    <g key={row.id} data-conductor={row.id}>
                        <LoadWords g={g} y={y} load={row.load} state={props.state} live={false} />
                        {row.board && (
                            <SvgTag
                                x={g.boardTag}
                                y={y}
                                width={g.tagWidth}
                                label={row.board}
                                side="equipment"
                                kind={hot ? 'live' : 'stay'}
                                name={say('board.at-the-board', { board: row.board })}
                                onTouch={() => probes.touch(`indoor.${row.board}`)}
                            />
                        )}
                        <Strand
                            from={g.boardTag + g.tagWidth + 2}
                            to={g.jacket[0]}
                            y={y}
                            colour={row.colour}
                            stripe={row.stripe}
                            live={hot}
                            back={false}
                            bareRight={false}
                        />
                        <InJacket
                            from={g.jacket[0] + 2}
                            to={g.jacket[1] - 2}
                            y={y}
                            colour={row.colour}
                            live={hot}
                            label={
                                <>
                                    <tspan fontWeight="700">{row.number}</tspan> {row.colourWord}
                                </>
                            }
                        />
                        <Strand
                            from={g.jacket[1]}
                            to={g.wallTag - 1}
                            y={y}
                            colour={row.colour}
                            stripe={row.stripe}
                            live={hot}
                            back={false}
                            bareLeft={false}
                        />
                        {row.outdoor && (
                            <SvgTag
                                x={g.wallTag}
                                y={y}
                                width={g.wallTagWidth}
                                label={row.outdoor}
                                side="wall"
                                kind={hot ? 'live' : 'stay'}
                                name={say('board.at-the-outdoor-unit', { outdoor: row.outdoor })}
                                onTouch={() => probes.touch(`outdoor.${row.outdoor}`)}
                            />
                        )}
                        {props.outdoorWords?.(row, { x: g.words, y, width: g.width - g.words - 16 })}
                    </g>
                );
            })}
        </g>
    );
}

function Probes({
    g,
    places,
    phone,
}: {
    g: Geometry;
    places: Map<string, { x: number; y: number; side: 'wall' | 'equipment' }>;
    phone: boolean;
}) {
    const { mode, a, b } = useProbes();
    const shown =
        mode === 'A'
            ? ([['A', a]] as const)
            : ([
                  ['A', a],
                  ['B', b],
              ] as const);
    return (
        <>
            {shown.map(([name, point], index) => {
                const place = places.get(point);
                if (!place) return null;
                const x = place.side === 'wall' ? g.gutter + (phone ? 8 : 42) : place.x + 8;
                const y = place.y + (place.side === 'wall' ? 2 : 4) - (phone ? 4 : 0);
                return (
                    <Pin
                        key={name}
                        x={x + (a === b ? index * 28 : 0)}
                        y={y}
                        name={name}
                        tagX={place.x}
                        tagY={place.y}
                    />
                );
            })}
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
