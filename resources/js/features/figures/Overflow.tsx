import { clsx } from 'clsx';
import { useState } from 'react';
import type { OverflowWay, Pan } from '@/types';
import { State } from '@/ui/State';
import { list, say } from '@/words';

/** Where an overflow switch goes, for each pan: each way drawn and computed by the circuit, what stops and goes on. */
export function Overflow({
    pans,
    relayPins,
    onKeep,
}: {
    pans: Pan[];
    relayPins: string;
    onKeep?: ((key: string, value: string | null) => void) | undefined;
}) {
    if (pans.length === 0) return null;
    return (
        <section aria-label={say('figures.overflow-switch')} id="overflow" className="border-b-2 border-ink px-5 py-4">
            <h2 className="h-sec">{say('figures.overflow-switch-where-it-goes-in')}</h2>
            <p className="text-small text-muted">{say('figures.each-way-is-wired-into-the')}</p>
            {onKeep && <Numbers value={relayPins} onKeep={(value) => onKeep('relayPins', value || null)} />}
            {pans.map((pan) => (
                <OnePan key={pan.place} pan={pan} several={pans.length > 1} />
            ))}
        </section>
    );
}

/** The numbers on the relay that the installer holds, for the drawing. */
function Numbers({ value, onKeep }: { value: string; onKeep: (value: string) => void }) {
    const [text, setText] = useState(value);
    return (
        <form
            className="mt-2 flex flex-wrap items-end gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                onKeep(text.trim());
            }}
        >
            <label className="min-w-56 flex-1">
                <span className="lab">{say('figures.numbers-on-your-relay')}</span>
                <input
                    className="h-11 w-full border-b-2 border-rule bg-panel px-2"
                    placeholder="7-8 1-3 4-6"
                    maxLength={60}
                    value={text}
                    onChange={(event) => setText(event.target.value)}
                />
            </label>
            <button type="submit" className="btn btn--small">
                {say('figures.draw-with-these')}
            </button>
        </form>
    );
}

function OnePan({ pan, several }: { pan: Pan; several: boolean }) {
    const { ways } = pan;
    const [open, setOpen] = useState(ways.find((way) => way.best)?.key ?? ways[0]?.key ?? '');
    const way = ways.find((candidate) => candidate.key === open) ?? ways[0];
    return (
        <div data-pan={pan.place}>
            <p className="mt-3 text-small">
                {several && <b className="font-semibold">{pan.name}. </b>}
                {say('figures.makes-water-in', { makes: list(pan.makes) })}
            </p>
            {pan.assumes.length > 0 && (
                <ul className="list-disc pl-5 text-small text-caution-ink">
                    {pan.assumes.map((assumed) => (
                        <li key={assumed}>{assumed}</li>
                    ))}
                </ul>
            )}
            <div
                role="radiogroup"
                aria-label={say('figures.ways-to-wire-it')}
                className="mt-2 grid border-t border-hair"
            >
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
                            glyph={candidate.best ? 'pass' : works(candidate) ? 'rest' : 'caution'}
                            tone={candidate.best ? 'verd' : works(candidate) ? 'muted' : 'caution'}
                        >
                            {candidate.best ? say('figures.suits', { why: candidate.why }) : candidate.why}
                        </State>
                    </button>
                ))}
            </div>
            {way && (
                <div className="mt-3 grid gap-6 md:grid-cols-[300px_minmax(0,1fr)]">
                    <Drawing way={way} />
                    <dl className="grid content-start gap-x-4 gap-y-1.5 text-small sm:grid-cols-[130px_1fr]">
                        <dt className="font-lab font-semibold">{say('figures.stops-on-water')}</dt>
                        <dd>{way.stops.length === 0 ? say('figures.nothing') : way.stops.join('; ')}</dd>
                        <dt className="font-lab font-semibold">{say('figures.goes-on')}</dt>
                        <dd>{way.goesOn.length === 0 ? say('figures.nothing') : way.goesOn.join('; ')}</dd>
                        <dt className="font-lab font-semibold">{say('figures.thermostat')}</dt>
                        <dd>
                            {way.powered ? say('figures.stays-powered') : say('figures.goes-blank-or-loses-its-charge')}
                        </dd>
                        {way.emergency !== null && (
                            <>
                                <dt className="font-lab font-semibold">{say('figures.emergency-heat')}</dt>
                                <dd>{way.emergency ? say('figures.kept') : say('figures.lost')}</dd>
                            </>
                        )}
                        <dt className="font-lab font-semibold">{say('figures.parts')}</dt>
                        <dd>
                            {way.parts.length === 0 ? say('figures.none-besides-the-switch') : way.parts.join(', ')}
                        </dd>
                        {way.blowsOn && (
                            <dd className="sm:col-span-2 text-muted">
                                {say('figures.the-thermostat-still-believes-that-the')}
                            </dd>
                        )}
                    </dl>
                </div>
            )}
        </div>
    );
}

const works = (way: OverflowWay): boolean => way.dry && way.powered && way.fits;

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
                aria-label={say('figures.float-switch-in-the-conductor-of', { screw })}
            >
                <text x="4" y="64" style={text}>
                    {say('figures.wall', { screw })}
                </text>
                <path d="M72 60h42" {...line} />
                {open(114, 60)}
                <path d="M170 60h52" {...line} />
                <text x="228" y="64" style={text}>
                    {say('figures.board', { screw })}
                </text>
                <circle cx="142" cy="86" r="9" fill="var(--panel)" stroke="var(--copper)" strokeWidth="2.5" />
                <path d="M142 77V56" stroke="var(--copper)" strokeWidth="2" strokeDasharray="3 3" />
                <text x="158" y="91" style={small}>
                    {say('figures.float-opens-on-water')}
                </text>
            </svg>
        );
    }
    return (
        <svg
            viewBox={`0 0 300 ${94 + way.contacts.length * 48}`}
            className="w-full max-w-[320px]"
            role="img"
            aria-label={say('figures.relay-coil-on-r-float-switch', { breaks: list(way.breaks) })}
        >
            <text x="4" y="34" style={text}>
                {say('figures.r')}
            </text>
            <path d="M20 30h40" {...line} />
            {open(60, 30)}
            <path d="M116 30h40" {...line} />
            <rect x="156" y="16" width="48" height="28" {...line} />
            <text x="164" y="35" style={small}>
                {say('figures.coil')}
            </text>
            {way.coil !== '' && (
                <text x="164" y="60" style={small}>
                    {way.coil}
                </text>
            )}
            <path d="M204 30h60" {...line} />
            <text x="272" y="34" style={text}>
                {say('figures.c')}
            </text>
            <circle cx="88" cy="54" r="8" fill="var(--panel)" stroke="var(--copper)" strokeWidth="2.5" />
            <text x="102" y="59" style={small}>
                {say('figures.float')}
            </text>
            {way.contacts.map(({ screw, pins }, index) => {
                const y = 100 + index * 48;
                return (
                    <g key={screw}>
                        <text x="4" y={y + 4} style={text}>
                            {say('figures.wall', { screw })}
                        </text>
                        <path d={`M72 ${y}h42`} {...line} />
                        {open(114, y)}
                        <path d={`M170 ${y}h52`} {...line} />
                        <text x="228" y={y + 4} style={text}>
                            {say('figures.board', { screw })}
                        </text>
                        <text x="118" y={y + 20} style={small}>
                            {pins === ''
                                ? say('figures.contact-closed-while-dry')
                                : say('figures.contact-by-number', { pins })}
                        </text>
                    </g>
                );
            })}
        </svg>
    );
}
