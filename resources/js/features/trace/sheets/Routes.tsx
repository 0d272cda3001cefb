import type { TraceView } from '@/types';
import { say } from '@/words';
import { Problem } from '../parts/Problem';
import { useTrace } from '../parts/useTrace';

const ANSWERS = [
    { found: 'sound', answered: false },
    { found: 'hurt', answered: true },
    { found: 'no_access', answered: null },
] as const;

/** The run of a cable that is suspected, spot by spot: looked at and sound, hurt, or out of reach. */
export function Routes({ routes }: { routes: TraceView['routes'] }) {
    const { row, problem, closed } = useTrace();
    return routes.map((route) => (
        <details key={route.cable} className="trace__sheet">
            <summary>
                {say('trace.route-of', {
                    cable: route.label,
                    done: route.spots.filter((spot) => spot.found).length,
                    all: route.spots.length,
                })}
            </summary>
            <Problem of={problem} />
            <ul>
                {route.spots.map((spot) => (
                    <li key={spot.value} className="trace__line trace__line--two">
                        <span className="font-lab text-lead font-semibold">{spot.label}</span>
                        <span className="flex flex-wrap gap-1.5" role="group" aria-label={spot.label}>
                            {ANSWERS.map((answer) => (
                                <button
                                    key={answer.found}
                                    className="trace__chip"
                                    aria-pressed={spot.found === answer.found}
                                    disabled={closed || spot.found === answer.found}
                                    onClick={() =>
                                        row('event', {
                                            event: {
                                                kind: 'walked',
                                                of: route.cable,
                                                key: spot.value,
                                                ...(answer.answered === null ? {} : { answered: answer.answered }),
                                            },
                                        })
                                    }
                                >
                                    {say('trace.spot-found', { found: answer.found })}
                                </button>
                            ))}
                        </span>
                    </li>
                ))}
            </ul>
        </details>
    ));
}
