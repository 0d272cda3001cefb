import { say } from '@/words';
import type { StrandBoardProps } from './board';
import type { Geometry } from './geometry';
import { LoadWords } from './LoadWords';
import { InJacket, Strand } from './parts';
import { Screw } from './Screw';

/** The outdoor cable, below the wall cable: from the board to the outdoor unit. */
export function Outdoor({
    g,
    top,
    props,
    live,
}: {
    g: Geometry;
    top: number;
    props: StrandBoardProps;
    live: Set<string>;
}) {
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
                            <Screw
                                x={g.boardTag}
                                y={y}
                                width={g.tagWidth}
                                label={row.board}
                                side="equipment"
                                kind={hot ? 'live' : 'stay'}
                                name={say('board.at-the-board', { board: row.board })}
                                point={`${row.from}.${row.board}`}
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
                            number={String(row.number)}
                            word={row.colourWord}
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
                            <Screw
                                x={g.wallTag}
                                y={y}
                                width={g.wallTagWidth}
                                label={row.outdoor}
                                side="wall"
                                kind={hot ? 'live' : 'stay'}
                                name={say('board.at-the-outdoor-unit', { outdoor: row.outdoor })}
                                point={`${row.to}.${row.outdoor}`}
                            />
                        )}
                        {props.outdoorWords?.(row, { x: g.words, y, width: g.width - g.words - 16 })}
                    </g>
                );
            })}
        </g>
    );
}
