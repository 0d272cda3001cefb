import { usePage } from '@inertiajs/react';
import { pointName } from '@/lib/format';
import { useProbes } from '@/shell/Shell';
import type { TraceProps, TraceView } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { useTrace } from './useTrace';

/** What happened beside the tests, by one tap: a fuse opened, a new one is in, it answered when it was touched. */
export function Happened({ fuses }: { fuses: TraceView['fuses'] }) {
    const { points } = usePage<TraceProps>().props;
    const { row, problem, closed } = useTrace();
    const probes = useProbes();
    const event = (body: Record<string, unknown>) => row('event', { event: body });
    const at = pointName(points, probes.a);
    return (
        <section className="flex-none border-b border-hair px-5 py-2" aria-labelledby="happened">
            <div className="flex flex-wrap items-center gap-1.5">
                <h2 className="lab mr-2" id="happened">
                    {say('trace.it-happened')}
                </h2>
                {fuses.map((fuse) => (
                    <span key={fuse.id} className="flex flex-wrap items-center gap-1.5">
                        <button
                            className="trace__chip"
                            disabled={closed}
                            onClick={() => event({ kind: 'fuse-opened', of: fuse.id })}
                        >
                            {say('trace.fuse-opened', { supply: fuse.id })}
                        </button>
                        <button
                            className="trace__chip"
                            disabled={closed}
                            onClick={() => event({ kind: 'fuse-replaced', of: fuse.id })}
                        >
                            {say('trace.new-fuse', { supply: fuse.id })}
                        </button>
                        <span className="text-small text-muted">
                            {say('trace.fuse-now', { now: fuse.now, spent: fuse.spent })}
                        </span>
                    </span>
                ))}
                <button
                    className="trace__chip"
                    disabled={closed}
                    onClick={() => event({ kind: 'touched', of: probes.a, answered: true })}
                >
                    {say('trace.answers-when-touched', { point: at })}
                </button>
                <button
                    className="trace__chip"
                    disabled={closed}
                    onClick={() => event({ kind: 'touched', of: probes.a, answered: false })}
                >
                    {say('trace.touched-nothing', { point: at })}
                </button>
            </div>
            {problem && (
                <p role="alert">
                    <Bad>{problem}</Bad>
                </p>
            )}
        </section>
    );
}
