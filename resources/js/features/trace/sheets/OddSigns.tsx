import { useProbes } from '@/shell/Shell';
import type { TraceView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';
import { modeOf } from '../parts/modeOf';
import { Problem } from '../parts/Problem';
import { useTrace } from '../parts/useTrace';

/** What was odd before the repair, read again one by one: gone, it is struck off by hand; still so, it stays. */
export function OddSigns({ odd }: { odd: TraceView['odd'] }) {
    const { row, problem, closed } = useTrace();
    const probes = useProbes();
    if (odd.length === 0) return null;
    const left = odd.filter((one) => !one.struck).length;
    return (
        <section className="trace__sheet" aria-labelledby="odd">
            <h2 className="h-sec" id="odd">
                {say('trace.odd-signs', { left })}
            </h2>
            <Problem of={problem} />
            <ol>
                {odd.map((one) => (
                    <li key={one.id} className="trace__line">
                        <span className={one.struck ? 'flex-1 text-muted line-through' : 'flex-1'}>
                            <b className="mono">{one.number}</b> {one.test} <span className="mono">{one.result}</span>
                            {one.setup.length > 0 && (
                                <small className="block text-note text-muted">{one.setup.join(' ')}</small>
                            )}
                        </span>
                        {one.struck ? (
                            <span className="font-lab text-lead font-semibold text-verd-ink">
                                <Glyph name="pass" /> {say('trace.struck')}
                            </span>
                        ) : (
                            <span className="flex flex-wrap gap-1.5">
                                {one.again && (
                                    <button
                                        className="trace__chip"
                                        onClick={() => {
                                            if (!one.again) return;
                                            probes.setMode(modeOf(one.again.mode));
                                            probes.set(one.again.a, one.again.b);
                                        }}
                                    >
                                        {say('trace.read-again')}
                                    </button>
                                )}
                                <button
                                    className="trace__chip"
                                    disabled={closed}
                                    aria-label={say('trace.strike-row', { row: one.number })}
                                    onClick={() =>
                                        row('event', {
                                            event: { kind: 'struck', row: one.number },
                                            record: one.id,
                                        })
                                    }
                                >
                                    {say('trace.strike')}
                                </button>
                            </span>
                        )}
                    </li>
                ))}
            </ol>
        </section>
    );
}
