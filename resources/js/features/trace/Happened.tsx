import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { pointName } from '@/lib/format';
import { useProbes } from '@/shell/Shell';
import type { TraceProps, TraceView } from '@/types';
import { say } from '@/words';
import { Chips } from './parts/Chips';
import { Problem } from './parts/Problem';
import { useTrace } from './parts/useTrace';

/** What happened beside the tests, by a tap: a fuse opened and when, a new one is in, a spot that was wiggled. */
export function Happened({ trace }: { trace: TraceView }) {
    const { points } = usePage<TraceProps>().props;
    const { row, problem, closed } = useTrace();
    const [blown, setBlown] = useState<string | null>(null);
    const probes = useProbes();
    const event = (body: Record<string, unknown>) => row('event', { event: body });
    const at = pointName(points, probes.a);
    const opened = async (fuse: string, when: string) => {
        // When it opened is a reading of the house; where nobody saw when, it is only known to be open.
        const answer =
            when === ''
                ? await event({ kind: 'fuse-opened', of: fuse })
                : await row(
                      'test',
                      {
                          probe: { see: ['fuse'] },
                          result: { sees: { fuse: 'open' }, fuses: { [fuse]: 'opened' }, when },
                      },
                      trace.call,
                  );
        if (answer.kind === 'ok') setBlown(null);
    };
    return (
        <section className="flex-none border-b border-hair px-5 py-2" aria-labelledby="happened">
            <div className="flex flex-wrap items-center gap-1.5">
                <h2 className="lab mr-2" id="happened">
                    {say('trace.it-happened')}
                </h2>
                {trace.fuses.map((fuse) => (
                    <span key={fuse.id} className="flex flex-wrap items-center gap-1.5">
                        <button
                            className="trace__chip"
                            disabled={closed}
                            aria-expanded={blown === fuse.id}
                            onClick={() => setBlown(blown === fuse.id ? null : fuse.id)}
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
            {blown !== null && (
                <div className="mt-2">
                    <h3 className="lab mb-1">{say('trace.when-did-it-open')}</h3>
                    <Chips
                        label={say('trace.when-did-it-open')}
                        chips={[...trace.moments, { value: '', label: say('trace.nobody-saw') }]}
                        pressed={[]}
                        disabled={closed}
                        onTap={(when) => opened(blown, when)}
                    />
                </div>
            )}
            {trace.wiggled.length > 0 && (
                <ul className="mt-1 flex flex-wrap gap-x-4 text-small" aria-label={say('trace.wiggle-log')}>
                    {trace.wiggled.map((spot) => (
                        <li key={spot.number}>
                            {spot.spot}: <b>{spot.answered ? say('trace.it-comes-back') : say('trace.nothing')}</b>
                        </li>
                    ))}
                </ul>
            )}
            <Problem of={problem} />
        </section>
    );
}
