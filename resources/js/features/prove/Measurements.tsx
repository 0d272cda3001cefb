import { usePage } from '@inertiajs/react';
import { figure, pointName, range } from '@/lib/format';
import { useProbes } from '@/shell/Shell';
import type { ProveProps, StepView } from '@/types';
import { Unit } from '@/ui/Glyph';
import { outcomeLook, State } from '@/ui/State';
import { say } from '@/words';

/**
 * What the step asks the meter: expected beside actual, each with its verdict; touching a row puts the probes there.
 */
export function Measurements({ probes: pairs }: { probes: StepView['probes'] }) {
    const { points } = usePage<ProveProps>().props;
    const probes = useProbes();
    return (
        <section className="border-t border-hair" aria-label={say('prove.measure')}>
            <table className="text-body">
                <thead>
                    <tr className="lab [&>th]:py-2 [&>th]:font-semibold">
                        <th className="pl-5">{say('prove.measure')}</th>
                        <th className="text-right">{say('prove.expected')}</th>
                        <th className="text-right">{say('prove.actual')}</th>
                        <th className="w-[130px] pl-4 pr-5">{say('prove.verdict')}</th>
                    </tr>
                </thead>
                <tbody>
                    {pairs.map((probe) => {
                        const here = probes.mode === probe.mode && probes.a === probe.a && probes.b === probe.b;
                        const look = probe.reading ? outcomeLook[probe.reading.outcome] : null;
                        const place = points.find((point) => point.id === probe.a)?.placeLabel ?? '';
                        return (
                            <tr
                                key={probe.a + probe.b}
                                className={`border-t border-hair ${here ? 'picked' : ''}`}
                                data-probe={`${probe.a}~${probe.b}`}
                            >
                                <td className="pl-5">
                                    <button
                                        className="flex min-h-11 flex-col items-start justify-center text-left"
                                        onClick={() => {
                                            probes.setMode(probe.mode);
                                            probes.set(probe.a, probe.b);
                                        }}
                                    >
                                        <b className="font-lab text-lead font-semibold">
                                            {probe.mode === 'A'
                                                ? say('prove.clamp-round', { conductor: pointName(points, probe.a) })
                                                : `${pointName(points, probe.a)}–${pointName(points, probe.b)}`}{' '}
                                            <span className="font-medium text-muted">{place}</span>
                                        </b>
                                        <span className="text-note text-muted">{probe.shows}</span>
                                    </button>
                                </td>
                                <td className="mono whitespace-nowrap text-right text-muted">
                                    {range(probe.expected)}{' '}
                                    <Unit unit={{ O: 'Ω', A: 'A' }[probe.mode as string] ?? 'V'} />
                                </td>
                                <td className="mono whitespace-nowrap text-right text-title font-medium">
                                    {probe.reading
                                        ? probe.reading.value === null
                                            ? 'OL'
                                            : figure(probe.reading.value, probe.mode)
                                        : '–'}
                                </td>
                                <td className="pl-4 pr-5">
                                    {look ? (
                                        <State glyph={look.glyph} tone={look.tone}>
                                            {look.word}
                                        </State>
                                    ) : (
                                        <State glyph="need" tone="muted">
                                            {say('prove.open')}
                                        </State>
                                    )}
                                </td>
                            </tr>
                        );
                    })}
                </tbody>
            </table>
        </section>
    );
}

/** Why each reading that is not as expected is not, from the circuit. */
export function Reasons({ step }: { step: StepView }) {
    const { points } = usePage<ProveProps>().props;
    return (
        <>
            {step.probes
                .filter((probe) => probe.reading && probe.reading.outcome !== 'pass')
                .map((probe) => (
                    <p key={probe.a + probe.b} className="border-t border-hair px-5 py-2 text-small" data-testid="why">
                        <b>
                            {pointName(points, probe.a)}–{pointName(points, probe.b)}:
                        </b>{' '}
                        {probe.reading?.reason}
                    </p>
                ))}
        </>
    );
}
