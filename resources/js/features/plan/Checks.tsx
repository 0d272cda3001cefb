import { figure } from '@/lib/format';
import { useProbes } from '@/shell/Shell';
import type { CheckRow, PlanView, Reading } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';

/** The resistive check of the new landing before it sees power: each call to the common against its own branch. */
export function Checks({ checks, readings }: { checks: CheckRow[]; readings: Reading[] }) {
    const probes = useProbes();
    const latest = (row: CheckRow) =>
        readings.find(
            (reading) =>
                reading.mode === 'O' &&
                ((reading.a === row.a && reading.b === row.b) || (reading.a === row.b && reading.b === row.a)),
        );
    if (checks.length === 0) return null;
    return (
        <section aria-label="Before power" className="border-t border-hair px-5 py-3">
            <h2 className="h-sec">Before power comes back: ohms of each call</h2>
            <p className="text-small text-muted">
                Power off and proved dead, thermostat face off. Less than four fifths of the branch's own ohms is
                suspect.
            </p>
            <ul className="mt-1 grid sm:grid-cols-2 sm:gap-x-6">
                {checks.map((row) => {
                    const reading = latest(row);
                    const bad = reading?.outcome === 'fail';
                    return (
                        <li key={row.label} className="border-t border-hair">
                            <button
                                className="flex min-h-12 w-full items-center justify-between gap-3 py-1 text-left"
                                onClick={() => {
                                    probes.setMode('O');
                                    probes.set(row.a, row.b);
                                    document.getElementById('actual')?.focus();
                                }}
                            >
                                <span>
                                    <b className="block font-lab font-semibold">
                                        {row.label}{' '}
                                        <span className="mono font-normal">
                                            {row.nominal === null ? 'over the limit' : `${figure(row.nominal, 'O')} Ω`}
                                        </span>
                                    </b>
                                    <span className="block text-note text-muted">{row.blind ?? row.reason}</span>
                                </span>
                                {reading ? (
                                    <State glyph={bad ? 'fault' : 'pass'} tone={bad ? 'fault' : 'verd'}>
                                        <span className="mono">
                                            {reading.value === null ? 'OL' : `${figure(reading.value, 'O')} Ω`}
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

/** What goes with a plan: what to carry, and its papers. */
export function Papers({ jobId, carry }: { jobId: string; carry: PlanView['carry'] }) {
    return (
        <section aria-label="Carry and papers" className="border-t border-hair px-5 py-3">
            <h2 className="h-sec">To carry, and papers</h2>
            <p className="text-small leading-5">{carry.map((item) => `${item.count} × ${item.item}`).join(' · ')}</p>
            <p className="flex flex-wrap gap-x-6">
                <a className="link" href={`/jobs/${jobId}/wiring.svg`} target="_blank" rel="noreferrer">
                    Drawing (SVG)
                </a>
                <a className="link" href={`/jobs/${jobId}/wiring.csv`}>
                    Table (CSV)
                </a>
                <a className="link" href={`/jobs/${jobId}/labels.svg`} target="_blank" rel="noreferrer">
                    Conductor labels to print
                </a>
            </p>
        </section>
    );
}
