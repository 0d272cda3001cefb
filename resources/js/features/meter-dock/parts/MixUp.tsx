import { clsx } from 'clsx';
import { signUnit } from '@/lib/format';
import { cut } from '@/lib/numbers';
import { say } from '@/words';
import { parsed, useMeter } from '../state/meter';

/**
 * A figure a thousand times off the expected band: the meter stood on millivolts, or on kilohms. Asked, never changed
 * unasked.
 */
export function MixUp() {
    const { typed, type, expected, probes } = useMeter();
    const unit = signUnit[probes.mode];
    const value = parsed(typed);
    if (value === null || value === 0 || expected?.low == null || expected.high == null || expected.high < 1)
        return null;
    const [low, high] = [0.7 * expected.low, 1.3 * expected.high];
    const [other, right] =
        value / 1000 >= low && value / 1000 <= high
            ? [`m${unit}`, value / 1000]
            : value * 1000 >= low && value * 1000 <= high
              ? [`k${unit}`, value * 1000]
              : [null, 0];
    if (other === null) return null;
    return (
        <p
            role="alert"
            className={clsx(
                'flex flex-wrap items-center gap-x-3 border-l-[6px] border-caution bg-caution-wash px-2 py-1',
                'text-small',
            )}
        >
            {say('meter.did-the-meter-stand-on-is', { other, typed, right: cut(right, 3), unit })}
            <button type="button" className="link" onClick={() => type(String(cut(right, 3)))}>
                {say('meter.yes-take', { right: cut(right, 3), unit })}
            </button>
        </p>
    );
}
