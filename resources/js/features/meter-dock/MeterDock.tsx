import { say } from '@/words';
import { Actual } from './parts/Actual';
import { Expected } from './parts/Expected';
import { Go } from './parts/Go';
import { Handle } from './parts/Handle';
import { Keypad } from './parts/Keypad';
import { LastReadings } from './parts/LastReadings';
import { Modes } from './parts/Modes';
import { Probes } from './parts/Probes';
import { Then, type Pair } from './parts/Then';
import { MeterContext } from './state/meter';
import { useMeterKeys } from './state/useMeterKeys';
import { useMeterOf, type MeterProps } from './state/useMeterOf';
import { useOpen } from './state/useOpen';

export type { Recorded } from './state/meter';

/** The meter: modes, probes, expected with its reason, actual, verdict, log, one button. The order never changes. */
export function MeterDock({
    then = [],
    ...props
}: MeterProps & {
    /** Pairs to which the probes go by themselves after this one. */
    then?: Pair[];
}) {
    const meter = useMeterOf(props);
    const [open, setOpen] = useOpen();
    useMeterKeys(meter);
    const { closed, typed, type, record, points } = meter;
    return (
        <MeterContext value={meter}>
            <aside className="dock" aria-label={say('meter.meter-dock')} data-open={open ? '' : undefined}>
                <Handle open={open} onOpen={setOpen} />
                <div className="dock__body">
                    <Modes />
                    <Probes />
                    <Expected />
                    {!closed && <Actual />}
                    {then.length > 0 && !closed && <Then pairs={then} points={points} />}
                    <LastReadings />
                    {!closed && <Go />}
                    {!closed && (
                        <Keypad
                            onKey={(key) => type((old) => (key === 'OL' ? 'OL' : old === 'OL' ? key : old + key))}
                            onErase={() => type((old) => (old === 'OL' ? '' : old.slice(0, -1)))}
                            onRecord={() => void record()}
                            ready={typed.trim() !== ''}
                        />
                    )}
                </div>
            </aside>
        </MeterContext>
    );
}
