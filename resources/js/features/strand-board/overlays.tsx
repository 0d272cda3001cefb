import { useProbes } from '@/shell/Shell';
import type { Board } from '@/types';
import { say } from '@/words';
import type { PlaceOnBoard } from './board';
import type { Geometry } from './geometry';
import { Bracket, Pin } from './parts';

export function Link({
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
export function Ties({
    g,
    board,
    places,
    live,
}: {
    g: Geometry;
    board: Board;
    places: Map<string, PlaceOnBoard>;
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

export function TestJumper({
    g,
    jumpers,
    places,
    live,
}: {
    g: Geometry;
    jumpers: string[][];
    places: Map<string, PlaceOnBoard>;
    live: Set<string>;
}) {
    const points = [...new Set(jumpers.flat())];
    const ys = points.flatMap((point) => (places.has(point) ? [(places.get(point)?.y ?? 0) - 10] : []));
    const first = points[0];
    if (ys.length < 2 || !first) return null;
    return <Bracket x={g.gutter} reach={30} ys={ys} live={live.has(first)} label={say('board.jumper')} added />;
}

export function Probes({ g, places, phone }: { g: Geometry; places: Map<string, PlaceOnBoard>; phone: boolean }) {
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
