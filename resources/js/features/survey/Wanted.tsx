import { clsx } from 'clsx';
import { figure } from '@/lib/format';
import { useProbes } from '@/shell/Shell';
import type { Reading, SurveyProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { outcomeLook, State } from '@/ui/State';

/** The readings that a survey takes: a tap puts the probes there, the dock takes the figure. */
export function Wanted({ wanted, readings }: { wanted: SurveyProps['wanted']; readings: Reading[] }) {
    const probes = useProbes();
    const latest = (a: string, b: string) =>
        readings.find(
            (reading) =>
                reading.mode === 'V' && ((reading.a === a && reading.b === b) || (reading.a === b && reading.b === a)),
        );
    return (
        <section id="readings" aria-label="Readings to take" className="mt-6 border-t-2 border-ink px-5 py-3">
            <h2 className="h-sec">Readings, power on, nothing calling</h2>
            <ul className="mt-1 grid sm:grid-cols-2 sm:gap-x-6">
                {wanted.map((item) => {
                    const reading = latest(item.a, item.b);
                    const here = probes.mode === 'V' && probes.a === item.a && probes.b === item.b;
                    return (
                        <li key={item.a + item.b} className="border-t border-hair">
                            <button
                                className={clsx(
                                    'flex min-h-12 w-full items-center justify-between gap-3 py-1 text-left',
                                    'aria-pressed:picked aria-pressed:pl-3',
                                )}
                                aria-pressed={here}
                                onClick={() => {
                                    probes.setMode('V');
                                    probes.set(item.a, item.b);
                                    document.getElementById('actual')?.focus();
                                }}
                            >
                                <span>
                                    <b className="block font-lab font-semibold">{item.label}</b>
                                    <span className="block text-note text-muted">{item.why}</span>
                                </span>
                                {reading ? (
                                    <State
                                        glyph={outcomeLook[reading.outcome].glyph}
                                        tone={outcomeLook[reading.outcome].tone}
                                    >
                                        <span className="mono">
                                            {reading.value === null ? 'OL' : `${figure(reading.value, 'V')} V`}
                                        </span>
                                    </State>
                                ) : (
                                    <Glyph name="need" style={{ color: 'var(--copper-ink)' }} />
                                )}
                            </button>
                        </li>
                    );
                })}
            </ul>
        </section>
    );
}
