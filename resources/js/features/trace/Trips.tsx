import type { TraceProposal, TraceView } from '@/types';
import { useWidth } from '@/lib/hooks';
import { say } from '@/words';

const TOP = 34;
const STEP = 22;

/** The house end to end, and where each test was done: the trips so far, and the next one. */
export function Trips({ trace, next }: { trace: TraceView; next: TraceProposal | undefined }) {
    const [measure, width] = useWidth(800);
    const wide = Math.max(340, Math.min(800, width));
    const x = (place: string) => {
        const n = trace.places.findIndex((one) => one.value === place);
        return trace.places.length < 2 ? wide / 2 : 60 + (Math.max(0, n) * (wide - 130)) / (trace.places.length - 1);
    };
    const points = trace.trips.map((trip, n) => ({ ...trip, x: x(trip.place), y: TOP + n * STEP }));
    const last = points.at(-1);
    const to = trace.places.find((one) => one.label === next?.place);
    const end = { x: x(to?.value ?? trace.at), y: TOP + points.length * STEP };
    const height = end.y + 22;
    return (
        <section className="trace__trips" aria-labelledby="trips" ref={measure}>
            <div className="flex items-baseline justify-between px-5 pt-2">
                <h2 className="h-sec" id="trips">
                    {say('trace.house-end-to-end')}
                </h2>
                <span className="text-note text-muted">
                    {say('trace.tests-and-minutes', { tests: trace.trips.length, minutes: trace.minutes })}
                </span>
            </div>
            <svg viewBox={`0 0 ${wide} ${height}`} className="w-full max-w-[900px]" role="img" aria-labelledby="trips">
                {trace.places.map((place) => (
                    <g key={place.value}>
                        <text x={x(place.value)} y="16" textAnchor="middle" className="trace__place">
                            {place.label}
                        </text>
                        <path d={`M${x(place.value)} 24V${height - 4}`} stroke="var(--rule)" strokeWidth="1.4" />
                    </g>
                ))}
                {points.slice(1).map((point, n) => {
                    const from = points[n];
                    return from ? (
                        <path
                            key={point.number}
                            d={`M${from.x} ${from.y}L${point.x} ${point.y}`}
                            stroke="var(--ink)"
                            strokeWidth="2"
                        />
                    ) : null;
                })}
                {last && (
                    <path
                        d={`M${last.x} ${last.y}L${end.x} ${end.y}`}
                        stroke="var(--copper)"
                        strokeWidth="2.4"
                        strokeDasharray="6 4"
                    />
                )}
                {points.map((point) => (
                    <g key={point.number}>
                        <circle cx={point.x} cy={point.y} r="9" fill="var(--ink)" />
                        <text x={point.x} y={point.y + 4} textAnchor="middle" className="trace__dot">
                            {point.number}
                        </text>
                    </g>
                ))}
                {!trace.finished && (
                    <g>
                        <circle
                            cx={end.x}
                            cy={end.y}
                            r="9"
                            fill="var(--panel)"
                            stroke="var(--copper)"
                            strokeWidth="2.4"
                        />
                        <text x={end.x + 16} y={end.y + 4} className="trace__go">
                            {say('trace.next')}
                        </text>
                    </g>
                )}
            </svg>
        </section>
    );
}
