import { usePage } from '@inertiajs/react';
import { clock, figure, placeOf, pointName } from '@/lib/format';
import { stateName } from '@/lib/names';
import type { HandoverProps, Reading } from '@/types';
import { Unit } from '@/ui/Glyph';
import { outcomeLook, State } from '@/ui/State';
import { say } from '@/words';

/** The readings of one step as the record shows them: expected, verdict and reason beside each, and what was seen. */
export function ReadingTable({
    title,
    state,
    readings,
    signs = [],
}: {
    title: string;
    state: string | null;
    readings: Reading[];
    signs?: HandoverProps['proofs'][number]['signs'];
}) {
    const { points } = usePage<HandoverProps>().props;
    if (readings.length === 0 && signs.length === 0) return null;
    return (
        <div className="mt-2 break-inside-avoid border-t border-rule pt-1.5">
            <div className="flex items-center justify-between gap-4">
                <b className="font-lab text-lead font-semibold">{title}</b>
                {state && (
                    <State
                        glyph={state === 'passed' ? 'pass' : state === 'failed' ? 'fault' : 'need'}
                        tone={state === 'passed' ? 'verd' : state === 'failed' ? 'fault' : 'copper'}
                    >
                        {stateName(state)}
                    </State>
                )}
            </div>
            <table className="text-small">
                <tbody>
                    {readings.map((reading) => (
                        <tr key={reading.id} className="border-b border-hair align-baseline">
                            <td className="mono w-14 py-1 text-muted">{clock(reading.at)}</td>
                            <td className="w-[210px]">
                                {pointName(points, reading.a)}–{pointName(points, reading.b)}{' '}
                                <span className="text-muted max-sm:hidden print:inline">
                                    {placeOf(points, reading.a)}
                                </span>
                            </td>
                            <td className="mono w-20 whitespace-nowrap text-right font-medium">
                                {reading.value === null ? 'OL' : figure(reading.value, reading.mode)}{' '}
                                <Unit unit={reading.unit} size={11} />
                            </td>
                            <td className="mono w-28 whitespace-nowrap pl-3 text-muted">
                                {reading.low !== null &&
                                    reading.high !== null &&
                                    `${figure(reading.low, reading.mode)}–${figure(reading.high, reading.mode)}`}
                            </td>
                            <td className="w-20">
                                <State
                                    glyph={outcomeLook[reading.outcome].glyph}
                                    tone={outcomeLook[reading.outcome].tone}
                                >
                                    {outcomeLook[reading.outcome].word}
                                </State>
                                {reading.simulated && (
                                    <span className="block text-tiny text-muted">{say('handover.simulated')}</span>
                                )}
                                {reading.fromFile !== null && (
                                    <span className="block text-tiny text-muted">{say('handover.from-the-file')}</span>
                                )}
                                {reading.unexplained && (
                                    <span className="block text-tiny text-caution-ink">
                                        {say('handover.unexplained')}
                                    </span>
                                )}
                            </td>
                            <td className="text-note text-muted max-md:hidden print:table-cell">{reading.reason}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {signs.length > 0 && (
                <p className="py-1 text-small">
                    {say('handover.seen-and-heard', {
                        signs: signs
                            .map((sign) =>
                                [
                                    sign.name,
                                    sign.how ?? (sign.seen ? say('handover.yes') : say('handover.no')),
                                    sign.simulated && say('handover.simulated-3'),
                                ]
                                    .filter(Boolean)
                                    .join(' '),
                            )
                            .join(', '),
                    })}
                </p>
            )}
        </div>
    );
}
