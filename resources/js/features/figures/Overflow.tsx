import { clsx } from 'clsx';
import { useState } from 'react';
import type { OverflowWay } from '@/types';
import { State } from '@/ui/State';

/** Where an overflow switch goes: each way drawn and computed by the circuit, what stops on water and what goes on. */
export function Overflow({ ways }: { ways: OverflowWay[] }) {
    const [open, setOpen] = useState(ways.find((way) => way.best)?.key ?? ways[0]?.key ?? '');
    if (ways.length === 0) return null;
    const way = ways.find((candidate) => candidate.key === open) ?? ways[0];
    return (
        <section aria-label="Overflow switch" id="overflow" className="border-b-2 border-ink px-5 py-4">
            <h2 className="h-sec">Overflow switch: where it goes in this house</h2>
            <p className="text-small text-muted">
                Each way is wired into the circuit, opened as by water in the pan, and every call is asked what stops.
            </p>
            <div role="radiogroup" aria-label="Ways to wire it" className="mt-2 grid border-t border-hair">
                {ways.map((candidate) => (
                    <button
                        key={candidate.key}
                        type="button"
                        role="radio"
                        aria-checked={candidate.key === way?.key}
                        data-way={candidate.key}
                        data-best={candidate.best ? '' : undefined}
                        onClick={() => setOpen(candidate.key)}
                        className={clsx(
                            'flex min-h-12 flex-wrap items-center justify-between gap-x-4 border-b border-hair',
                            'px-3 py-1 text-left aria-checked:picked',
                        )}
                    >
                        <b className="font-lab text-lead font-semibold">{candidate.title}</b>
                        <State
                            glyph={
                                candidate.best
                                    ? 'pass'
                                    : candidate.coolingStops && candidate.powered && candidate.fits
                                      ? 'rest'
                                      : 'caution'
                            }
                            tone={
                                candidate.best
                                    ? 'verd'
                                    : candidate.coolingStops && candidate.powered && candidate.fits
                                      ? 'muted'
                                      : 'caution'
                            }
                        >
                            {candidate.best ? `suits: ${candidate.why}` : candidate.why}
                        </State>
                    </button>
                ))}
            </div>
            {way && (
                <div className="mt-3 grid gap-6 md:grid-cols-[300px_minmax(0,1fr)]">
                    <Drawing way={way} />
                    <dl className="grid content-start gap-x-4 gap-y-1.5 text-small sm:grid-cols-[130px_1fr]">
                        <dt className="font-lab font-semibold">Stops on water</dt>
                        <dd>{way.stops.length === 0 ? 'nothing' : way.stops.join('; ')}</dd>
                        <dt className="font-lab font-semibold">Goes on</dt>
                        <dd>{way.goesOn.length === 0 ? 'nothing' : way.goesOn.join('; ')}</dd>
                        <dt className="font-lab font-semibold">Thermostat</dt>
                        <dd>{way.powered ? 'stays powered' : 'goes blank or loses its charge'}</dd>
                        {way.emergency !== null && (
                            <>
                                <dt className="font-lab font-semibold">Emergency heat</dt>
                                <dd>{way.emergency ? 'kept' : 'lost'}</dd>
                            </>
                        )}
                        <dt className="font-lab font-semibold">Parts</dt>
                        <dd>{way.parts.length === 0 ? 'none besides the switch' : way.parts.join(', ')}</dd>
                        {way.goesOn.some((item) => item.startsWith('Cool') && item.includes('blower')) && (
                            <dd className="sm:col-span-2 text-muted">
                                The thermostat still believes that the compressor runs: the fan keeps blowing, and on a
                                heat pump auxiliary heat may join after its timer.
                            </dd>
                        )}
                    </dl>
                </div>
            )}
        </section>
    );
}

/**
 * The way as a ladder: R at the top, the switch with its float, the screws that it breaks; a relay with coil and
 * contacts by function.
 */
function Drawing({ way }: { way: OverflowWay }) {
    const text = { font: '600 14px var(--f-lab)', fill: 'var(--ink)' };
    const small = { font: '500 12px var(--f-text)', fill: 'var(--muted)' };
    const line = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 2.5 };
    const open = (x: number, y: number) => (
        <path d={`M${x} ${y}h14M${x + 14} ${y}l24 -13M${x + 42} ${y}h14`} {...line} />
    );
    if (!way.relay) {
        const screw = way.breaks[0] ?? '';
        return (
            <svg
                viewBox="0 0 300 120"
                className="w-full max-w-[320px]"
                role="img"
                aria-label={`Float switch in the conductor of ${screw}, at the board`}
            >
                <text x="4" y="64" style={text}>
                    wall {screw}
                </text>
                <path d="M72 60h42" {...line} />
                {open(114, 60)}
                <path d="M170 60h52" {...line} />
                <text x="228" y="64" style={text}>
                    board {screw}
                </text>
                <circle cx="142" cy="86" r="9" fill="var(--panel)" stroke="var(--copper)" strokeWidth="2.5" />
                <path d="M142 77V56" stroke="var(--copper)" strokeWidth="2" strokeDasharray="3 3" />
                <text x="158" y="91" style={small}>
                    float, opens on water
                </text>
            </svg>
        );
    }
    return (
        <svg
            viewBox="0 0 300 190"
            className="w-full max-w-[320px]"
            role="img"
            aria-label={`Relay: coil on R, float switch, C; a contact in ${way.breaks.join(' and in ')}`}
        >
            <text x="4" y="34" style={text}>
                R
            </text>
            <path d="M20 30h40" {...line} />
            {open(60, 30)}
            <path d="M116 30h40" {...line} />
            <rect x="156" y="16" width="48" height="28" {...line} />
            <text x="164" y="35" style={small}>
                coil
            </text>
            <path d="M204 30h60" {...line} />
            <text x="272" y="34" style={text}>
                C
            </text>
            <circle cx="88" cy="54" r="8" fill="var(--panel)" stroke="var(--copper)" strokeWidth="2.5" />
            <text x="102" y="59" style={small}>
                float
            </text>
            {way.breaks.map((screw, index) => {
                const y = 100 + index * 48;
                return (
                    <g key={screw}>
                        <text x="4" y={y + 4} style={text}>
                            wall {screw}
                        </text>
                        <path d={`M72 ${y}h42`} {...line} />
                        {open(114, y)}
                        <path d={`M170 ${y}h52`} {...line} />
                        <text x="228" y={y + 4} style={text}>
                            board {screw}
                        </text>
                        <text x="118" y={y + 20} style={small}>
                            contact, closed while dry
                        </text>
                    </g>
                );
            })}
        </svg>
    );
}
