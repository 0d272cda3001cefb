import { clsx } from 'clsx';
import { figure, signUnit } from '@/lib/format';
import { useProbes } from '@/shell/Shell';
import type { Mode, Reading } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { outcomeLook, State } from '@/ui/State';

/** One reading that somebody should take. */
export interface ReadHere {
    a: string;
    b: string;
    label: string;
    /** What it should read, where that is worth saying before. */
    figure?: string;
    note: string;
}

/** Readings to take, each with the last one taken there: a tap puts the probes on, the dock takes the figure. */
export function ToRead({ rows, mode, readings }: { rows: ReadHere[]; mode: Mode; readings: Reading[] }) {
    const probes = useProbes();
    const latest = ({ a, b }: ReadHere) =>
        readings.find(
            (reading) =>
                reading.mode === mode && ((reading.a === a && reading.b === b) || (reading.a === b && reading.b === a)),
        );
    return (
        <ul className="mt-1 grid sm:grid-cols-2 sm:gap-x-6">
            {rows.map((row) => {
                const reading = latest(row);
                const look = reading && outcomeLook[reading.outcome];
                return (
                    <li key={row.a + row.b} className="border-t border-hair">
                        <button
                            className={clsx(
                                'flex min-h-12 w-full items-center justify-between gap-3 py-1 text-left',
                                'aria-pressed:picked aria-pressed:pl-3',
                            )}
                            aria-pressed={probes.mode === mode && probes.a === row.a && probes.b === row.b}
                            onClick={() => {
                                probes.setMode(mode);
                                probes.set(row.a, row.b);
                                document.getElementById('actual')?.focus();
                            }}
                        >
                            <span>
                                <b className="block font-lab font-semibold">
                                    {row.label}
                                    {row.figure && <span className="mono font-normal"> {row.figure}</span>}
                                </b>
                                <span className="block text-note text-muted">{row.note}</span>
                            </span>
                            {reading && look ? (
                                <State glyph={look.glyph} tone={look.tone}>
                                    <span className="mono">
                                        {reading.value === null
                                            ? 'OL'
                                            : `${figure(reading.value, mode)} ${signUnit[mode]}`}
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
    );
}
