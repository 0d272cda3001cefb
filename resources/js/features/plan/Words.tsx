import type { BoardRow, MoveRow } from '@/types';
import { say } from '@/words';

export function Words({
    row,
    move,
    x,
    y,
    width,
}: {
    row: BoardRow;
    move: MoveRow | undefined;
    x: number;
    y: number;
    width: number;
}) {
    if (width < 90) return null;
    const verb = row.lands === null ? say('plan.cap-2') : row.moved ? say('plan.moves') : say('plan.stays');
    const most = Math.floor(width / 6.1);
    const why = move?.why ?? '';
    return (
        <g>
            <text className={`c-verb ${row.moved && row.lands ? 'f-copper' : 'f-muted'}`} x={x} y={y - 2}>
                {verb}
                {row.evidence.proof || row.lands === null ? '' : say('plan.prove-it')}
            </text>
            <text className="c-note" x={x} y={y + 13}>
                {why.length > most ? `${why.slice(0, most - 1)}…` : why}
            </text>
        </g>
    );
}
