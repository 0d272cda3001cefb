import { ToRead } from '@/features/meter-dock/ToRead';
import { figure } from '@/lib/format';
import type { CheckRow, PlanView, Reading } from '@/types';

/** The resistive check of the new landing before it sees power: each call to the common against its own branch. */
export function Checks({ checks, readings }: { checks: CheckRow[]; readings: Reading[] }) {
    if (checks.length === 0) return null;
    const rows = checks.map((row) => ({
        a: row.a,
        b: row.b,
        label: row.label,
        figure: row.nominal === null ? 'over the limit' : `${figure(row.nominal, 'O')} Ω`,
        note: row.blind ?? row.reason,
    }));
    return (
        <section aria-label="Before power" className="border-t border-hair px-5 py-3">
            <h2 className="h-sec">Before power comes back: ohms of each call</h2>
            <p className="text-small text-muted">
                Power off and proved dead, thermostat face off. Less than four fifths of the branch's own ohms is
                suspect.
            </p>
            <ToRead rows={rows} mode="O" readings={readings} />
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
