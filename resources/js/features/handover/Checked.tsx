import { usePage } from '@inertiajs/react';
import { clock, figure, pointName } from '@/lib/format';
import { rounded } from '@/lib/units';
import type { HandoverProps, LoadCheck, Measurement, Reading } from '@/types';
import { Unit } from '@/ui/Glyph';
import { outcomeLook, State } from '@/ui/State';
import { say } from '@/words';

/** The supply loaded and unloaded, the current of each call, temperature split and airflow, where they were taken. */
export function CheckedLoads({ loads, measurements }: { loads: LoadCheck[]; measurements: Measurement[] }) {
    if (loads.length === 0 && measurements.length === 0) return null;
    return (
        <section className="break-inside-avoid" aria-label={say('handover.loads-and-air')}>
            <h3 className="h-sec mb-1 mt-5">{say('handover.loads-and-air')}</h3>
            {loads.length > 0 && (
                <table className="text-small">
                    <tbody>
                        {loads.map((check) => (
                            <tr key={check.call} className="border-b border-hair align-baseline">
                                <th className="w-32 py-1 text-left font-lab font-semibold">{check.label}</th>
                                <td className="mono w-24 whitespace-nowrap">
                                    {check.read.volts?.value != null && `${figure(check.read.volts.value, 'V')} V`}
                                </td>
                                <td className="mono w-24 whitespace-nowrap">
                                    {check.read.amps?.value != null && `${figure(check.read.amps.value, 'A')} A`}
                                </td>
                                <td className="text-note text-muted">
                                    {check.verdict?.reason ?? (check.call === 'idle' ? say('handover.at-rest') : '')}
                                    {check.read.amps &&
                                        check.read.amps.outcome !== 'pass' &&
                                        ` ${check.read.amps.reason}`}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {measurements.map((row) => (
                <p key={row.id} className="border-b border-hair py-1 text-small">
                    <b className="font-semibold">
                        {row.title}
                        {row.callLabel && `, ${row.callLabel}`}
                    </b>{' '}
                    {row.lines[0]?.value != null &&
                        `${rounded(row.lines[0].value)} ${row.lines[0].unit.replace('Δ', '')}. `}
                    {row.verdict} {row.simulated && say('handover.simulated-3')}
                </p>
            ))}
        </section>
    );
}

/** Readings that nothing explained, and those that were explained later. */
export function Unexplained({ readings }: { readings: Reading[] }) {
    const { points } = usePage<HandoverProps>().props;
    if (readings.length === 0) return null;
    return (
        <section className="break-inside-avoid" aria-label={say('handover.unexplained-readings')}>
            <h3 className="h-sec mb-1 mt-5">{say('handover.unexplained-readings')}</h3>
            {readings.map((reading) => (
                <p key={reading.id} className="border-b border-hair py-1 text-small">
                    <span className="mono text-muted">{clock(reading.at)}</span> {pointName(points, reading.a)}
                    {reading.mode !== 'A' && `–${pointName(points, reading.b)}`}{' '}
                    <span className="mono">
                        {reading.value === null ? 'OL' : figure(reading.value, reading.mode)}{' '}
                        <Unit unit={reading.unit} size={11} />
                    </span>{' '}
                    <State
                        glyph={reading.unexplained ? 'flag' : outcomeLook.pass.glyph}
                        tone={reading.unexplained ? 'caution' : 'verd'}
                    >
                        {reading.unexplained
                            ? say('handover.unexplained')
                            : say('handover.explained', { note: reading.note })}
                    </State>{' '}
                    <span className="text-muted">{reading.reason}</span>
                </p>
            ))}
        </section>
    );
}
