import { usePage } from '@inertiajs/react';
import { figure, pointName, range } from '@/lib/format';
import { useProbes } from '@/shell/Shell';
import type { OutcomeName, ProveProps, StepView } from '@/types';
import { Touch } from '@/features/strand-board/parts';
import { say } from '@/words';

const marks: Record<OutcomeName, { d: string; colour: string }> = {
    pass: { d: 'M2.5 8.5 6.3 12.3 13.6 4', colour: 'var(--verd)' },
    fail: { d: 'M3 3 13 13M13 3 3 13', colour: 'var(--fault)' },
    'too-early': { d: 'M8 2V8H13M8 14A6 6 0 1 1 8 2', colour: 'var(--caution)' },
    neutral: { d: 'M8 1.5 15 14.5H1ZM8 6V10', colour: 'var(--caution)' },
};

/**
 * On the conductor's own row: the pairs that this step measures from it, expected beside actual. Touching one puts
 * the probes there.
 */
export function ProbeLines({
    step,
    points,
    y,
    left,
    right,
}: {
    step: StepView;
    points: string[];
    y: number;
    left: number;
    right: number;
}) {
    const { points: all } = usePage<ProveProps>().props;
    const probes = useProbes();
    const mine = step.probes.filter((probe) => points.includes(probe.a));
    return (
        <>
            {mine.map((probe, index) => {
                // Two pairs of one conductor share its row side by side, each as high as a finger needs.
                const shared = mine.length > 1;
                const cell = (right - left - 4) / mine.length;
                const x = left - 6 + index * cell;
                const here = probes.mode === probe.mode && probes.a === probe.a && probes.b === probe.b;
                const idle = probe.optional && !probe.reading && step.state !== 'failed';
                const mark = probe.reading ? marks[probe.reading.outcome] : null;
                const place =
                    { indoor: say('prove.board'), outdoor: say('prove.outside') }[probe.a.split('.')[0] ?? ''] ??
                    say('prove.wall-2');
                return (
                    <Touch
                        key={probe.a + probe.b}
                        name={say('prove.measure-to', {
                            pointName: pointName(all, probe.a),
                            pointName2: pointName(all, probe.b),
                            place,
                        })}
                        pressed={here}
                        onTouch={() => {
                            probes.setMode(probe.mode);
                            probes.set(probe.a, probe.b);
                        }}
                    >
                        <rect
                            className="focus"
                            x={x}
                            y={y - 22}
                            width={cell}
                            height="44"
                            fill={here ? 'var(--copper-wash)' : 'transparent'}
                        />
                        <text className={`c-verb ${idle ? 'f-muted' : ''}`} x={x + 6} y={shared ? y - 5 : y + 5}>
                            {pointName(all, probe.a)}–{pointName(all, probe.b)}{' '}
                            <tspan className="f-muted" fontWeight="500">
                                {place}
                            </tspan>
                        </text>
                        <text
                            className={`c-exp ${shared ? 'c-exp--small' : ''}`}
                            x={shared ? x + 78 : right - 110}
                            y={shared ? y + 14 : y + 5}
                        >
                            {idle ? say('prove.if-it-fails') : range(probe.expected)}
                        </text>
                        <text
                            className={`c-read ${shared ? 'c-read--small' : ''}`}
                            x={shared ? x + cell - 8 : right - 44}
                            y={shared ? y + 14 : y + 6}
                            data-testid={`actual-${probe.a}~${probe.b}`}
                        >
                            {probe.reading?.value != null ? figure(probe.reading.value, probe.mode) : '–'}
                        </text>
                        {mark && (
                            <path
                                d={mark.d}
                                transform={
                                    shared
                                        ? `translate(${x + cell - 23} ${y - 18})`
                                        : `translate(${right - 36} ${y - 8})`
                                }
                                fill="none"
                                stroke={mark.colour}
                                strokeWidth="2.4"
                            />
                        )}
                    </Touch>
                );
            })}
        </>
    );
}
