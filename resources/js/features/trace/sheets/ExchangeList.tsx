import type { TraceView } from '@/types';
import { say } from '@/words';
import { Problem } from '../parts/Problem';
import { useTrace } from '../parts/useTrace';

/** A part exchanged wire by wire: the list is made before the first screw, each wire ticked off and on again. */
export function ExchangeList({ exchange }: { exchange: TraceView['exchange'] }) {
    const { row, problem, closed } = useTrace();
    if (!exchange) return null;
    const event = (body: Record<string, unknown>) => row('event', { event: body });
    if (!exchange.wires) {
        return (
            <section className="trace__sheet">
                <button
                    className="btn btn--small"
                    disabled={closed}
                    onClick={() => event({ kind: 'listed', what: exchange.what })}
                >
                    {say('trace.make-the-list', { count: exchange.count })}
                </button>
                <p className="text-small text-muted">{say('trace.before-the-first-screw')}</p>
                <Problem of={problem} />
            </section>
        );
    }
    const left = exchange.wires.filter((wire) => !wire.on).length;
    return (
        <section className="trace__sheet" aria-labelledby="exchange">
            <h2 className="h-sec" id="exchange">
                {say('trace.wire-by-wire', { left })}
            </h2>
            <Problem of={problem} />
            <ol>
                {exchange.wires.map((wire) => (
                    <li key={wire.end} className="trace__line">
                        <span className="min-w-[200px] flex-1 font-lab text-lead">
                            <b>{wire.label}</b> → {wire.screw}
                        </span>
                        <span className="flex gap-1.5" role="group" aria-label={wire.label}>
                            <button
                                className="trace__chip"
                                aria-pressed={wire.off}
                                disabled={closed || wire.off}
                                onClick={() => event({ kind: 'wire-off', of: wire.end })}
                            >
                                {say('trace.wire-off')}
                            </button>
                            <button
                                className="trace__chip"
                                aria-pressed={wire.on}
                                disabled={closed || wire.on || !wire.off}
                                onClick={() => event({ kind: 'wire-on', of: wire.end })}
                            >
                                {say('trace.wire-on')}
                            </button>
                        </span>
                    </li>
                ))}
            </ol>
        </section>
    );
}
