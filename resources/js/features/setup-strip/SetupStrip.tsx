import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/write/api';
import { pointName } from '@/lib/format';
import { useRecord } from '@/lib/write/once';
import { useAskPower, useProbes } from '@/shell/Shell';
import type { Frame, TemporaryThing } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { say } from '@/words';

type Put = Pick<TemporaryThing, 'kind' | 'a' | 'b' | 'label' | 'isolated'>;

/**
 * Everything temporary on this house: a tap puts it on, a tap takes it off. Circuit, meter, pattern and the list of
 * what goes back read it; what a running step has set up stands here too and goes with the step.
 */
export function SetupStrip({ byStep = [] }: { byStep?: string[] }) {
    const { job, strip, power, points } = usePage<Frame>().props;
    const probes = useProbes();
    const ask = useAskPower();
    const [adding, setAdding] = useState(false);
    const { record, answer } = useRecord(job.id);
    const closed = job.closed;
    const put = async (thing: Put, stands: boolean) => {
        const { kind, a, b } = thing;
        const result = await record('temporary-things', { kind, a, b, stands });
        if (result.kind === 'ok') setAdding(false);
    };
    const a = points.find((point) => point.id === probes.a);
    const here: Put[] = [
        {
            kind: 'jumper',
            a: probes.a,
            b: probes.b,
            label: say('setup.jumper', { a: pointName(points, probes.a), b: pointName(points, probes.b) }),
            isolated: true,
        },
        ...(a?.conductor && /\.(near|far)$/.test(a.id)
            ? [{ kind: 'lift', a: a.id, b: '', label: say('setup.lift', { end: a.label }), isolated: true }]
            : []),
    ];
    const problem = answer && answer.kind !== 'ok' ? answer : null;
    const count = strip.standing.length + byStep.length;
    return (
        <section
            aria-label={say('setup.set-up')}
            className="relative flex flex-wrap items-center gap-2 border-b-2 border-t border-ink bg-sunk px-5 py-1.5"
            data-testid="strip"
        >
            <p className="lab mr-1 w-20">
                {say('setup.standing')}
                <b className="block font-lab text-body font-bold text-ink">
                    {count === 0 ? say('setup.nothing') : say('setup.things', { things: count })}
                </b>
            </p>
            {byStep.map((label) => (
                <span key={label} className="thing thing--step">
                    {label}
                    <small>{say('setup.goes-with-the-step')}</small>
                </span>
            ))}
            {strip.standing.map((thing) => (
                <span key={thing.key} className="thing" data-thing={thing.key}>
                    {thing.label}
                    {!closed && (
                        <button
                            className="grid min-h-11 min-w-11 place-items-center"
                            aria-label={say('setup.take-off', { thing: thing.label })}
                            onClick={() => void put(thing, false)}
                        >
                            <Glyph name="cross" />
                        </button>
                    )}
                </span>
            ))}
            {!closed && (
                <button
                    className="min-h-11 border-2 border-dashed border-rule px-3 font-lab text-body font-semibold"
                    aria-expanded={adding}
                    onClick={() => setAdding(!adding)}
                >
                    {say('setup.put-on')}
                </button>
            )}
            {adding && (
                <ul className="basis-full border-t border-hair pt-1.5" aria-label={say('setup.what-can-be-put-on')}>
                    {[...here, ...strip.others].map((thing) => (
                        <li key={thing.kind + thing.a + thing.b} className="inline-block pb-1.5 pr-1.5">
                            <button className="btn btn--small" onClick={() => void put(thing, true)}>
                                {thing.label}
                            </button>
                        </li>
                    ))}
                    {power.state !== 'isolated' && (
                        <li className="basis-full text-small text-caution-ink">
                            {say('setup.all-but-the-door-wants-isolated')}
                        </li>
                    )}
                </ul>
            )}
            {problem && (
                <div className="flex basis-full flex-wrap items-center gap-4">
                    <Bad>{said(problem)}</Bad>
                    {problem.kind === 'invalid' && problem.errors.power && (
                        <button className="link" onClick={() => ask('isolated')}>
                            {say('prove.isolate')}
                        </button>
                    )}
                </div>
            )}
        </section>
    );
}
