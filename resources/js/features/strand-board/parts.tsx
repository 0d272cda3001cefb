import type { KeyboardEvent, ReactNode } from 'react';
import type { Colour } from '@/types';
import { say } from '@/words';

export type TagKind = 'stay' | 'move' | 'live' | 'stub' | 'livestub';

const tagColours: Record<TagKind, [string, string, string]> = {
    stay: ['var(--panel)', 'var(--ink)', 'var(--ink)'],
    move: ['var(--copper)', 'var(--copper)', 'var(--on-copper)'],
    live: ['var(--live-wash)', 'var(--live)', 'var(--ink)'],
    stub: ['var(--bone)', 'var(--rule)', 'var(--muted)'],
    livestub: ['var(--live-wash)', 'var(--live)', 'var(--ink)'],
};

/** A terminal's tag on the board; it can be touched to put a probe there. */
export function SvgTag({
    x,
    y,
    width,
    height = 26,
    label,
    side,
    kind,
    name,
    onTouch,
}: {
    x: number;
    y: number;
    width: number;
    height?: number;
    label: string;
    side: 'wall' | 'equipment';
    kind: TagKind;
    name: string;
    onTouch?: (() => void) | undefined;
}) {
    const top = y - height / 2;
    const cut = 8;
    const d =
        side === 'wall'
            ? `M${x} ${top}H${x + width - cut}L${x + width} ${top + cut}V${top + height}H${x}Z`
            : `M${x + cut} ${top}H${x + width}V${top + height}H${x}V${top + cut}Z`;
    const [fill, edge, ink] = tagColours[kind];
    const eye = side === 'wall' ? x + 6 : x + width - 6;
    const shape = (
        <>
            <path
                className="focus"
                d={d}
                fill={fill}
                stroke={edge}
                strokeWidth="1.6"
                strokeDasharray={kind === 'stub' ? '4 3' : undefined}
            />
            {kind !== 'stub' && kind !== 'livestub' && (
                <circle cx={eye} cy={y} r="2.2" fill="none" stroke={ink} strokeWidth="1.3" />
            )}
            <text className="c-tag" x={x + width / 2 + (side === 'wall' ? 3 : -3)} y={y + 5.2} style={{ fill: ink }}>
                {label}
            </text>
        </>
    );
    if (!onTouch) return <g>{shape}</g>;
    return (
        <Touch name={say('board.probe', { name })} onTouch={onTouch}>
            <rect x={x - 2} y={y - 22} width={width + 4} height="44" fill="transparent" />
            {shape}
        </Touch>
    );
}

/** A part of the drawing that acts like a button, by finger and by key. */
export function Touch({
    name,
    onTouch,
    children,
    pressed,
}: {
    name: string;
    onTouch: () => void;
    children: ReactNode;
    pressed?: boolean;
}) {
    const key = (event: KeyboardEvent) => {
        if (event.key === 'Enter' || event.key === ' ') {
            event.preventDefault();
            onTouch();
        }
    };
    return (
        <g role="button" tabIndex={0} aria-label={name} aria-pressed={pressed} onClick={onTouch} onKeyDown={key}>
            {children}
        </g>
    );
}

/** A strand outside the jacket: insulation, bare tips, and the live core with its dashes flowing toward the load. */
export function Strand({
    from,
    to,
    y,
    colour,
    stripe,
    live,
    back,
    bareLeft = true,
    bareRight = true,
}: {
    from: number;
    to: number;
    y: number;
    colour: Colour;
    stripe: Colour | null;
    live: boolean;
    back: boolean;
    bareLeft?: boolean;
    bareRight?: boolean;
}) {
    const w = live ? 12 : 8;
    const a = from + (bareLeft ? 8 : 0);
    const b = to - (bareRight ? 8 : 0);
    return (
        <g>
            {bareLeft && <line x1={from} x2={from + 9} y1={y} y2={y} stroke="var(--bare)" strokeWidth="3.4" />}
            {bareRight && <line x1={to - 9} x2={to} y1={y} y2={y} stroke="var(--bare)" strokeWidth="3.4" />}
            <rect x={a} y={y - w / 2 - 1.2} width={Math.max(0, b - a)} height={w + 2.4} fill="var(--strand-edge)" />
            <rect x={a + 1.2} y={y - w / 2} width={Math.max(0, b - a - 2.4)} height={w} fill={`var(--ins-${colour})`} />
            {stripe && (
                <rect
                    x={a + 1.2}
                    y={y - 1.5}
                    width={Math.max(0, b - a - 2.4)}
                    height="3"
                    fill={`var(--ins-${stripe})`}
                />
            )}
            {!live && (
                <rect
                    x={a + 1.2}
                    y={y - w / 2 + 1.3}
                    width={Math.max(0, b - a - 2.4)}
                    height="1.5"
                    fill="#fff"
                    opacity=".34"
                />
            )}
            {live && (
                <>
                    <line x1={from + 1} x2={to - 1} y1={y} y2={y} stroke="var(--panel)" strokeWidth="6.4" />
                    <line
                        className={back ? 'flow-back' : 'flow'}
                        x1={from + 1}
                        x2={to - 1}
                        y1={y}
                        y2={y}
                        stroke="var(--live)"
                        strokeWidth="5"
                        strokeDasharray="16 5"
                    />
                </>
            )}
        </g>
    );
}

/** The strand inside the jacket: thin, with the number and the colour's name on it. */
export function InJacket({
    from,
    to,
    y,
    colour,
    live,
    number,
    word,
}: {
    from: number;
    to: number;
    y: number;
    colour: Colour;
    live: boolean;
    number: string;
    word: string;
}) {
    const middle = (from + to) / 2;
    return (
        <g>
            {live ? (
                <>
                    <path
                        d={`M${from} ${y - 4}H${to}M${from} ${y + 4}H${to}`}
                        stroke={`var(--ins-${colour})`}
                        strokeWidth="2"
                        opacity=".8"
                    />
                    <line x1={from} x2={to} y1={y} y2={y} stroke="var(--live)" strokeWidth="3" strokeDasharray="10 4" />
                </>
            ) : (
                <>
                    <line x1={from} x2={to} y1={y} y2={y} stroke="var(--strand-edge)" strokeWidth="4.6" opacity=".45" />
                    <line x1={from} x2={to} y1={y} y2={y} stroke={`var(--ins-${colour})`} strokeWidth="3" />
                </>
            )}
            <rect x={middle - 38} y={y - 9} width="76" height="18" fill="var(--jacket)" />
            <text x={middle} y={y + 5} textAnchor="middle">
                <tspan fontWeight="700">{number}</tspan> {word}
            </text>
        </g>
    );
}

export function LiveMark({ x, y, volts }: { x: number; y: number; volts: string }) {
    return (
        <g>
            <path d={`M${x + 6} ${y - 9}H${x + 38}V${y + 9}H${x + 6}L${x} ${y}Z`} fill="var(--live)" />
            <text className="c-24" x={x + 21} y={y + 4.2}>
                {volts}
            </text>
        </g>
    );
}

/** A relay's armature: flat and filled when pulled in, tilted and open at rest. Always beside its word. */
export function Armature({ x, y, state }: { x: number; y: number; state: 'in' | 'rest' | 'odd' }) {
    const colour = state === 'in' ? 'var(--live-ink)' : state === 'odd' ? 'var(--caution-ink)' : 'var(--muted)';
    return (
        <g>
            <rect
                x={x + 4}
                y={y}
                width="11"
                height="7"
                fill={state === 'in' ? colour : 'none'}
                stroke={colour}
                strokeWidth="1.6"
            />
            <path
                d={state === 'in' ? `M${x} ${y - 3.5}H${x + 18}` : `M${x} ${y - 3.5}L${x + 17} ${y - 10.4}`}
                stroke={colour}
                strokeWidth={state === 'in' ? 3 : 2}
            />
            <circle cx={x} cy={y - 3.5} r="2.2" fill={colour} />
        </g>
    );
}

export function Cap({ x, y, toward }: { x: number; y: number; toward: 1 | -1 }) {
    const s = toward;
    return (
        <g>
            <path
                d={`M${x} ${y - 6}H${x + 8 * s}L${x + 20 * s} ${y - 9}V${y + 9}L${x + 8 * s} ${y + 6}H${x}Z`}
                fill="var(--muted)"
                stroke="var(--ink)"
                strokeWidth="1.2"
            />
            <path
                d={`M${x + 11 * s} ${y - 6}V${y + 6}M${x + 15 * s} ${y - 7}V${y + 7}`}
                stroke="var(--panel)"
                strokeWidth="1.3"
            />
        </g>
    );
}

/** A jumper or link as a square bracket, live or not, with dots where it lands. */
export function Bracket({
    x,
    reach,
    ys,
    live,
    label,
    added,
}: {
    x: number;
    reach: number;
    ys: number[];
    live: boolean;
    label: string;
    added: boolean;
}) {
    const top = Math.min(...ys);
    const bottom = Math.max(...ys);
    const ink = added ? 'var(--copper)' : 'var(--ink)';
    const arms = ys.map((y) => `M${x} ${y}H${x + reach}`).join('');
    const d = `M${x + reach} ${top}V${bottom}${arms}`;
    return (
        <g>
            <path d={d} fill="none" stroke={ink} strokeWidth="6" />
            {live && <path d={d} fill="none" stroke="var(--live)" strokeWidth="2.6" strokeDasharray="6 3" />}
            {ys.map((y) => (
                <circle key={y} cx={x} cy={y} r="3.6" fill={ink} />
            ))}
            {/* At the lower end, clear of the probes' pins, which point to the rows. */}
            <text className="c-state" x={x + reach + 6} y={bottom - 2}>
                {label}
            </text>
        </g>
    );
}

/** A probe's pin with its leader to the lower right of the tag. */
export function Pin({ x, y, name, tagX, tagY }: { x: number; y: number; name: 'A' | 'B'; tagX: number; tagY: number }) {
    const d = `M${x} ${y}L${x + 8} ${y - 10}H${x + 24}V${y + 10}H${x + 8}Z`;
    return (
        <g data-probe={name}>
            <path
                d={`M${Math.min(tagX + 14, x - 8)} ${tagY}H${x - 8}L${x} ${y}`}
                fill="none"
                stroke="var(--panel)"
                strokeWidth="5"
            />
            <path d={`M${tagX} ${tagY}H${x - 8}L${x} ${y}`} fill="none" stroke="var(--ink)" strokeWidth="1.8" />
            <circle cx={tagX} cy={tagY} r="3" fill="var(--ink)" />
            <path d={d} fill={name === 'A' ? 'var(--ink)' : 'var(--panel)'} stroke="var(--ink)" strokeWidth="2" />
            <text
                className="c-pin"
                x={x + 15}
                y={y + 4.6}
                style={{ fill: name === 'A' ? 'var(--bone)' : 'var(--ink)' }}
            >
                {name}
            </text>
        </g>
    );
}
