import { pointName } from '@/lib/format';
import type { Mode, PointInfo } from '@/types';
import { say } from '@/words';

/** A pair that the meter is put on. */
export interface Pair {
    a: string;
    b: string;
    mode: Mode;
}

/** The pairs to which the probes go by themselves after the one in hand. */
export function Then({ pairs, points }: { pairs: Pair[]; points: PointInfo[] }) {
    return (
        <section style={{ paddingTop: 6, paddingBottom: 6 }} data-testid="then">
            <div className="lab">{say('meter.then-by-itself')}</div>
            <ul className="mono text-small">
                {pairs.slice(0, 2).map((pair) => (
                    <li key={pair.mode + pair.a + pair.b} className="flex justify-between gap-3 py-0.5">
                        <span>
                            {pointName(points, pair.a)}
                            {pair.mode === 'A' ? '' : `–${pointName(points, pair.b)}`}
                        </span>
                        <span className="font-sans text-muted">
                            {points.find((point) => point.id === pair.a)?.placeLabel}
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}
