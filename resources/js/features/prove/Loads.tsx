import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { useProbes } from '@/shell/Shell';
import type { LoadCheck, Mode, ProveProps, Reading } from '@/types';
import { outcomeLook, State } from '@/ui/State';
import { number } from '@/lib/numbers';
import { say } from '@/words';

/** Loaded against unloaded, and what each load adds: touching a figure puts the meter there, in that call. */
export function Loads({ call, onCall }: { call: string | null; onCall: (call: string) => void }) {
    const { loads } = usePage<ProveProps>().props;
    const probes = useProbes();
    const pick = (check: LoadCheck, mode: Mode) => {
        probes.setMode(mode);
        if (mode === 'A') probes.set(check.clamp ?? check.a, check.clamp ?? check.a);
        else probes.set(check.a, check.b);
        onCall(check.call);
        document.getElementById('actual')?.focus();
    };
    return (
        <section aria-label={say('prove.loads')} className="border-t border-hair px-5 py-3">
            <h2 className="h-sec">{say('prove.loaded-and-unloaded-and-what-each')}</h2>
            <p className="text-small text-muted">{say('prove.read-the-supply-at-rest-first')}</p>
            <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={say('prove.loads-scrolls')}>
                <table className="mt-1 min-w-[760px] text-body [&_td]:pl-3">
                    <thead>
                        <tr className="lab border-b border-hair [&>th]:py-1.5">
                            <th>{say('prove.call')}</th>
                            <th className="text-right">{say('prove.volts')}</th>
                            <th className="text-right">{say('prove.actual')}</th>
                            <th className="text-right">{say('prove.may-fall')}</th>
                            <th className="text-right">{say('prove.amperes')}</th>
                            <th className="text-right">{say('prove.actual')}</th>
                            <th className="pl-5">{say('prove.each-load-adds')}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {loads.map((check) => (
                            <tr
                                key={check.call}
                                className={`border-b border-hair ${call === check.call ? 'picked' : ''}`}
                                data-load-check={check.call}
                            >
                                <th className="py-1.5 pl-2 pr-3 text-left font-lab font-semibold">{check.label}</th>
                                <td className="mono whitespace-nowrap text-right text-small">
                                    {number(check.volts.low, 1)}–{number(check.volts.high, 1)}
                                </td>
                                <Cell
                                    name={say('prove.volts-of-the-supply', { check: check.label })}
                                    reading={check.read.volts}
                                    digits={1}
                                    onPick={() => pick(check, 'V')}
                                />
                                <td className="text-right">
                                    {check.call !== 'idle' && (
                                        <span className="mono whitespace-nowrap text-small">
                                            {number(Math.max(0, check.fall.low), 1)}–{number(check.fall.high, 1)}
                                        </span>
                                    )}
                                </td>
                                <td className="mono whitespace-nowrap text-right text-small">
                                    {check.amps ? `${number(check.amps.low, 2)}–${number(check.amps.high, 2)}` : ''}
                                </td>
                                {check.clamp ? (
                                    <Cell
                                        name={say('prove.amperes-in-the-hot-conductor', { check: check.label })}
                                        reading={check.read.amps}
                                        digits={2}
                                        onPick={() => pick(check, 'A')}
                                    />
                                ) : (
                                    <td className="text-right text-note text-muted">
                                        {say('prove.no-hot-in-this-cable')}
                                    </td>
                                )}
                                <td className="pl-5 text-small">
                                    {check.adds.length === 0 ? (
                                        <span className="text-muted">
                                            {say('prove.at-rest-va-of-va', {
                                                va: number(check.va),
                                                rating: check.rating,
                                            })}
                                        </span>
                                    ) : (
                                        check.adds.map((add) => `${add.load} ${number(add.amps, 2)} A`).join(', ')
                                    )}
                                    {check.verdict && (
                                        <span className="block" data-fall={check.verdict.outcome}>
                                            <State
                                                glyph={outcomeLook[check.verdict.outcome].glyph}
                                                tone={outcomeLook[check.verdict.outcome].tone}
                                            >
                                                <span className="font-sans font-normal">{check.verdict.reason}</span>
                                            </State>
                                        </span>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </section>
    );
}

function Cell({
    name,
    reading,
    digits,
    onPick,
}: {
    name: string;
    reading: Reading | null;
    digits: number;
    onPick: () => void;
}) {
    const look = reading ? outcomeLook[reading.outcome] : null;
    return (
        <td className="text-right">
            <button
                className={clsx(
                    'min-h-11 min-w-11 underline decoration-rule underline-offset-4',
                    reading ? 'mono text-lead' : 'font-lab text-body font-semibold',
                )}
                aria-label={name}
                onClick={onPick}
                style={look ? { color: `var(--${look.tone}-ink)` } : undefined}
            >
                {reading?.value != null ? number(reading.value, digits) : say('prove.read')}
                {look && <span className="vh">{look.word}</span>}
            </button>
        </td>
    );
}
