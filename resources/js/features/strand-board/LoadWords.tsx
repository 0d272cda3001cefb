import type { BoardState, HangsOn } from '@/types';
import { say } from '@/words';
import type { Geometry } from './geometry';
import { Armature } from './parts';

/** What hangs on a screw of the equipment: its name, and whether it is in. */
export function LoadWords({
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
    const blown = load.kind === 'source' && state.blown.includes(load.id);
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
