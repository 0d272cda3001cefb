import { figure, pointName, range, signUnit } from '@/lib/format';
import { Unit } from '@/ui/Glyph';
import { say } from '@/words';
import { useMeter } from '../state/meter';

/** What stays of the meter on a phone while it is folded. */
export function Handle({ open, onOpen }: { open: boolean; onOpen: (open: boolean) => void }) {
    const { probes, points, expected, last } = useMeter();
    return (
        <button
            className="dock__handle flex min-h-14 items-center justify-between gap-3 px-4 text-left"
            aria-expanded={open}
            onClick={() => onOpen(!open)}
        >
            <span>
                <span className="lab">
                    {say('meter.expected', {
                        pointName: pointName(points, probes.a),
                        pointName2: pointName(points, probes.b),
                    })}
                </span>
                <b className="mono block text-title font-medium">
                    {expected ? range(expected) : '…'} <Unit unit={signUnit[probes.mode]} />
                </b>
            </span>
            <span className="mono text-figure">{last?.value != null ? figure(last.value, probes.mode) : '–'}</span>
            <span className="font-lab font-semibold underline underline-offset-4">
                {open ? say('meter.fold-meter') : say('meter.meter')}
            </span>
        </button>
    );
}
