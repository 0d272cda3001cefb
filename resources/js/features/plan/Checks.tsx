import { ToRead } from '@/features/meter-dock/ToRead';
import { figure } from '@/lib/format';
import { url } from '@/lib/url';
import type { CheckRow, PlanView, Reading } from '@/types';
import { say } from '@/words';

/** The resistive check of the new landing before it sees power: each call to the common against its own branch. */
export function Checks({ checks, readings }: { checks: CheckRow[]; readings: Reading[] }) {
    if (checks.length === 0) return null;
    const rows = checks.map((row) => ({
        a: row.a,
        b: row.b,
        label: row.label,
        figure: row.nominal === null ? say('plan.over-the-limit') : `${figure(row.nominal, 'O')} Ω`,
        note: row.blind ?? row.reason,
    }));
    return (
        <section aria-label={say('plan.before-power')} className="border-t border-hair px-5 py-3">
            <h2 className="h-sec">{say('plan.before-power-comes-back-ohms-of')}</h2>
            <p className="text-small text-muted">{say('plan.power-off-and-proved-dead-thermostat')}</p>
            <ToRead rows={rows} mode="O" readings={readings} />
        </section>
    );
}

/** What goes with a plan: what to carry, and its papers. */
export function Papers({ jobId, carry }: { jobId: string; carry: PlanView['carry'] }) {
    return (
        <section aria-label={say('plan.carry-and-papers')} className="border-t border-hair px-5 py-3">
            <h2 className="h-sec">{say('plan.to-carry-and-papers')}</h2>
            <p className="text-small leading-5">{carry.map((item) => `${item.count} × ${item.item}`).join(' · ')}</p>
            <p className="flex flex-wrap gap-x-6">
                <a className="link" href={url('job.wiring-svg', { job: jobId })} target="_blank" rel="noreferrer">
                    {say('plan.drawing-svg')}
                </a>
                <a className="link" href={url('job.wiring-csv', { job: jobId })}>
                    {say('plan.table-csv')}
                </a>
                <a className="link" href={url('job.door-svg', { job: jobId })} target="_blank" rel="noreferrer">
                    {say('plan.door-sheet')}
                </a>
                <a className="link" href={url('job.labels-svg', { job: jobId })} target="_blank" rel="noreferrer">
                    {say('plan.conductor-labels-to-print')}
                </a>
            </p>
        </section>
    );
}
