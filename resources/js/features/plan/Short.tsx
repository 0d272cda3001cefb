import type { ShortView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { mono } from '@/ui/marks';
import { number } from '@/lib/numbers';
import { rich } from '@/words';

/** A short as it would be on the wall: which way the current takes, how much, and what opens when. */
export function Short({ short }: { short: ShortView }) {
    const amps = { amps: number(short.amps, 1), b: mono };
    return (
        <div role="alert" data-testid="short" className="flex gap-3 border-y-2 border-fault bg-fault-wash px-5 py-3">
            <span className="text-fault-ink">
                <Glyph name="fault" size={28} />
            </span>
            <div>
                <b className="block font-lab text-title font-bold leading-6 text-fault-ink">
                    {short.call === 'idle'
                        ? rich('plan.short-circuit-as-soon-as-the', amps)
                        : rich('plan.short-circuit-on-this-call-a', amps)}
                </b>
                <p className="text-body">
                    {short.through.map((part, index) => (
                        <span key={part}>
                            {index > 0 && <span className="text-fault-ink"> → </span>}
                            {part}
                        </span>
                    ))}
                    . <b className="font-semibold">{short.opens}</b>
                </p>
            </div>
        </div>
    );
}
