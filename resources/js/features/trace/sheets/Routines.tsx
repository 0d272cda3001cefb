import type { TraceView } from '@/types';
import { say } from '@/words';
import { Problem } from '../parts/Problem';
import { useTrace } from '../parts/useTrace';

/** The guided routines: a hunt step by step, the most telling first. Its answers are evidence like any other. */
export function Routines({ routines }: { routines: TraceView['routines'] }) {
    const { row, problem, closed } = useTrace();
    if (routines.all.length === 0) return null;
    const now = routines.all.find((one) => one.value === routines.now);
    const follow = (key: string) => row('event', { event: { kind: 'routine', key } });
    return (
        <details className="trace__sheet" open={now !== undefined}>
            <summary>{now ? say('trace.guided-by', { routine: now.label }) : say('trace.guided-routines')}</summary>
            <Problem of={problem} />
            <ul>
                {routines.all.map((one) => (
                    <li key={one.value} className="trace__line trace__line--two">
                        <button
                            className="trace__chip"
                            aria-pressed={one.value === routines.now}
                            disabled={closed}
                            onClick={() => follow(one.value === routines.now ? '' : one.value)}
                        >
                            {one.label}
                        </button>
                        <span className="text-small">{one.step}</span>
                    </li>
                ))}
            </ul>
            {now && (
                <button className="trace__more" disabled={closed} onClick={() => follow('')}>
                    {say('trace.leave-routine')}
                </button>
            )}
        </details>
    );
}
