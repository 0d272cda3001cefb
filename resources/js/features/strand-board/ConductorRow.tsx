import type { BoardRow } from '@/types';
import { say } from '@/words';
import type { StrandBoardProps } from './board';
import type { Geometry } from './geometry';
import { LoadWords } from './LoadWords';
import { Cap, InJacket, LiveMark, Strand, Touch } from './parts';
import { Screw } from './Screw';

/** One conductor of the wall cable, from its load at the equipment to its screw at the wall. */
export function ConductorRow({
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
    const hot = live.has(`${row.id}.mid`);
    const liftedWall = lifted.includes(`${row.id}.near`);
    const wallFree = row.lands === null || liftedWall;
    const back = row.load?.kind === 'load';
    const [left, right] = g.jacket;
    const wallEnd = wallFree ? right + 26 : g.wallTag - 1;
    const name = `${row.name} ${row.colourWord}`;
    const boardPoint = row.boardPoint ?? '';
    const shorted = fault.includes(row.id);
    const background = shorted
        ? 'var(--fault-wash)'
        : selected === row.id
          ? 'var(--copper-wash)'
          : row.moved
            ? 'var(--copper-wash)'
            : 'transparent';
    return (
        <g data-conductor={row.name} data-live={hot ? '' : undefined} data-fault={shorted ? '' : undefined}>
            <rect
                x="0"
                y={y - g.row / 2}
                width={g.width}
                height={g.row}
                fill={background}
                opacity={selected === row.id || row.moved || shorted ? 1 : 0}
            />
            {selected === row.id && <rect x="0" y={y - g.row / 2} width="5" height={g.row} fill="var(--copper)" />}
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
                number={row.name}
                word={row.colourWord}
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
                    onTouch={() => onSelect(row.id)}
                    pressed={selected === row.id}
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
                <Screw
                    x={g.boardTag}
                    y={y}
                    width={g.tagWidth}
                    label={row.board}
                    side="equipment"
                    kind={row.boardMoved ? 'move' : live.has(boardPoint) ? 'live' : 'stay'}
                    name={say('board.at-the-board', { board: row.board })}
                    point={boardPoint}
                />
            )}
            {row.lands && (
                <Screw
                    x={g.wallTag}
                    y={y}
                    width={g.wallTagWidth}
                    label={row.lands}
                    side="wall"
                    kind={row.moved ? 'move' : live.has(`wall.${row.lands}`) ? 'live' : 'stay'}
                    name={say('board.at-the-wall-plate', { lands: row.lands })}
                    point={`wall.${row.lands}`}
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
