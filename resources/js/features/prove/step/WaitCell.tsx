import { countdown } from '@/lib/format';
import { say } from '@/words';
import { Cell } from './Cell';
import { useRun } from './useRun';

/** How long it takes until it can be judged, or until everything has to be out. */
export function WaitCell() {
    const { step, off, left } = useRun();
    return (
        <Cell label={say('prove.3-wait')}>
            <div
                className="mono text-sum font-medium leading-10 tracking-tight"
                role="timer"
                aria-label={say('prove.time-left')}
                data-testid="timer"
            >
                {step.running ? countdown(Math.max(0, left)) : countdown(step.wait.seconds)}
            </div>
            <Slots
                total={off ? (step.dropOff?.seconds ?? 0) : step.wait.seconds}
                left={step.running ? left : step.wait.seconds}
            />
            <p className="mt-1 text-small">
                {step.running && left <= 0
                    ? off
                        ? say('prove.over-all-has-to-be-out')
                        : say('prove.over-judge-now')
                    : off
                      ? step.dropOff?.reason
                      : step.wait.reason}
            </p>
        </Cell>
    );
}

/** The wait in five slots that empty. */
function Slots({ total, left }: { total: number; left: number }) {
    const part = total === 0 ? 0 : left / total;
    return (
        <svg className="max-w-full" width="132" height="12" viewBox="0 0 132 12" aria-hidden="true">
            {[0, 1, 2, 3, 4].map((slot) => {
                const filled = Math.max(0, Math.min(1, part * 5 - slot));
                return (
                    <g key={slot}>
                        <rect
                            x={slot * 27 + 0.8}
                            y="0.8"
                            width="22"
                            height="10"
                            fill="none"
                            stroke="var(--caution)"
                            strokeWidth="1.6"
                        />
                        <rect x={slot * 27 + 0.8} y="0.8" width={22 * filled} height="10" fill="var(--caution)" />
                    </g>
                );
            })}
        </svg>
    );
}
