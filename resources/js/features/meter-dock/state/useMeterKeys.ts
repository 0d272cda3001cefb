import { useKeys } from '@/lib/hooks';
import type { Mode } from '@/types';
import { focusActual, type Meter } from './meter';

/** Sets the meter to another mode: what was typed in the old one is gone. */
export const select = (meter: Meter, mode: Mode) => {
    meter.probes.setMode(mode);
    meter.type('');
    meter.clear();
};

/** The single keys of the meter. */
export function useMeterKeys(meter: Meter): void {
    const { points, probes, same } = meter;
    const move = (by: number) => {
        const index = points.findIndex((point) => point.id === probes.a);
        const next = points[(index + by + points.length) % points.length];
        if (next) probes.set(next.id, probes.b);
    };
    useKeys({
        v: () => select(meter, 'V'),
        o: () => select(meter, 'O'),
        a: () => select(meter, 'A'),
        b: () => select(meter, 'B'),
        '[': () => move(-1),
        ']': () => move(1),
        x: probes.swap,
        r: focusActual,
        '=': () => {
            if (same !== null) void meter.record(same);
        },
    });
}
