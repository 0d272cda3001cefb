import { Link, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import { url } from '@/lib/url';
import { useAskPower, usePowerWanted } from '@/shell/Shell';
import type { TraceProps, TraceProposal, TraceView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';
import { say } from '@/words';
import { Chips } from './parts/Chips';
import { Signs } from './parts/Signs';
import { Problem } from './parts/Problem';
import { useTrace } from './parts/useTrace';

/** The best test from here: where, how long, what to set up, what each outcome would leave; two others beside it. */
export function NextTest({
    trace,
    next,
    chosen,
    onChoose,
}: {
    trace: TraceView;
    next: TraceProposal | undefined;
    chosen: number;
    onChoose: (n: number) => void;
}) {
    const { problem, events, row, closed } = useTrace();
    const guided = trace.routines.all.find((one) => one.value === trace.routines.now);
    if (!next) return <section className="trace__next">{say('trace.nothing-further')}</section>;
    return (
        <section className="trace__next" aria-labelledby="next">
            <h2 className="h-sec">
                {trace.second
                    ? say('trace.second-fault')
                    : trace.open.length > 0
                      ? say('trace.run-again')
                      : guided && chosen === 0
                        ? say('trace.next-step-of', { routine: guided.label })
                        : say('trace.next-best')}
            </h2>
            <p className="trace__do" id="next">
                {next.words}
            </p>
            <dl className="trace__meta">
                <div>
                    <dt>{say('trace.where')}</dt>
                    <dd>{next.place}</dd>
                </div>
                <div>
                    <dt>{say('trace.takes')}</dt>
                    <dd>{say('trace.minutes', { minutes: next.minutes })}</dd>
                </div>
                <div>
                    <dt>{say('trace.power')}</dt>
                    <dd>
                        {next.power === null ? (
                            '–'
                        ) : (
                            <State glyph={next.isolated ? 'iso' : 'live'} tone={next.isolated ? 'iso' : 'live'}>
                                {next.power}
                            </State>
                        )}
                    </dd>
                </div>
            </dl>
            <Preparation next={next} />
            {next.before.length > 0 && (
                <button className="btn btn--small my-2" onClick={() => events(next.before)} disabled={closed}>
                    {say('trace.a-new-fuse-is-in')}
                </button>
            )}
            {trace.proof && <Proof proof={trace.proof} />}
            <Take key={next.key} next={next} />
            <Problem of={problem} />
            {next.outcomes.length > 0 && (
                <table className="trace__oc">
                    <thead>
                        <tr>
                            <th scope="col">{say('trace.if-it-shows')}</th>
                            <th scope="col">{say('trace.then')}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {next.outcomes.map((outcome) => (
                            <tr key={outcome.result + outcome.first}>
                                <td className="mono">{outcome.result}</td>
                                <td>
                                    <b>{outcome.first}</b>
                                    <small>
                                        {say('trace.leaves', { count: outcome.leaves, share: outcome.share })}
                                    </small>
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {next.test && (
                <button
                    className="trace__more"
                    disabled={closed}
                    onClick={() =>
                        row(
                            'test',
                            {
                                probe: next.read
                                    ? { mode: next.read.mode, from: next.read.a, to: next.read.b }
                                    : next.look
                                      ? { inspect: next.look.target }
                                      : { see: next.see.map((sign) => sign.key) },
                                result: { cannot: 'no access' },
                            },
                            next.call,
                        )
                    }
                >
                    {say('trace.cannot-reach')}
                </button>
            )}
            {trace.next.length > 1 && (
                <ol className="mt-2 border-t border-hair pt-1" aria-label={say('trace.others')}>
                    {trace.next.map((other, n) =>
                        n === chosen ? null : (
                            <li key={other.key}>
                                <button className="trace__other" onClick={() => onChoose(n)}>
                                    <b>{other.words}</b>
                                    <small>
                                        {other.place} · {say('trace.minutes', { minutes: other.minutes })}
                                    </small>
                                </button>
                            </li>
                        ),
                    )}
                </ol>
            )}
        </section>
    );
}

/** What has to stand first: on the strip already, or put there with one tap. */
function Preparation({ next }: { next: TraceProposal }) {
    const { strip, power } = usePage<TraceProps>().props;
    const { setUp, problem, closed } = useTrace();
    const ask = useAskPower();
    usePowerWanted(next.test === null || next.look ? null : next.isolated ? 'isolated' : 'live');
    const standing = strip.standing.filter((thing) => thing.ofTest).map((thing) => thing.key);
    const ready =
        next.things.every((key) => standing.includes(key)) && standing.every((key) => next.things.includes(key));
    const setup = next.test;
    const stays = strip.standing.filter((thing) => thing.ofTest && next.things.includes(thing.key));
    if (setup === null || next.look) return null;
    const powered = next.isolated ? power.state === 'isolated' : power.state === 'live';
    return (
        <div className="my-1.5">
            <ul className="text-lead">
                {next.setup.map((line) => (
                    <li key={line}>{line}</li>
                ))}
            </ul>
            {!ready && stays.length > 0 && (
                <p className="text-small text-muted">
                    {say('trace.stays', { things: stays.map((thing) => thing.label).join('; ') })}
                </p>
            )}
            <div className="flex flex-wrap items-center gap-2">
                {!ready && (
                    <button className="btn btn--small" onClick={() => setUp(setup)} disabled={closed}>
                        {next.things.length === 0 ? say('trace.all-put-back') : say('trace.it-is-set-up')}
                    </button>
                )}
                {!powered && (
                    <button
                        className="btn btn--small"
                        onClick={() => ask(next.isolated ? 'isolated' : 'live')}
                        disabled={closed}
                    >
                        {next.isolated ? say('trace.prove-dead-first') : say('trace.make-live-first')}
                    </button>
                )}
            </div>
            <Problem of={problem} />
        </div>
    );
}

/** The answer to what is asked: signs by taps, a look by a tap, an event by a tap; a reading by the meter. */
function Take({ next }: { next: TraceProposal }) {
    const { row, closed } = useTrace();
    const [sees, setSees] = useState<Record<string, string>>({});
    if (next.read) {
        return (
            <p className="my-1 text-small text-muted">
                <Glyph name="traced" /> {say('trace.by-the-meter')}
            </p>
        );
    }
    if (next.look) {
        const look = next.look;
        return (
            <div className="my-1">
                <Chips
                    label={say('trace.found')}
                    chips={look.finds}
                    pressed={[]}
                    disabled={closed}
                    onTap={(found) => row('test', { probe: { inspect: look.target }, result: { found } }, next.call)}
                />
            </div>
        );
    }
    if (next.see.length > 0) {
        const all = next.see.every((sign) => sees[sign.key]);
        return (
            <div className="my-1">
                <Signs
                    signs={next.see}
                    answered={sees}
                    onAnswer={(key, answer) => setSees({ ...sees, [key]: answer })}
                />
                <button
                    className="btn btn--go my-1"
                    disabled={closed || !all}
                    onClick={() =>
                        row('test', { probe: { see: next.see.map((sign) => sign.key) }, result: { sees } }, next.call)
                    }
                >
                    {say('trace.seen')}
                </button>
            </div>
        );
    }
    if (next.event?.kind === 'touched') {
        return (
            <div className="my-1">
                <Chips
                    label={say('trace.wiggled')}
                    chips={[
                        { value: 'yes', label: say('trace.it-comes-back') },
                        { value: 'no', label: say('trace.nothing') },
                    ]}
                    pressed={[]}
                    disabled={closed}
                    onTap={(answer) => row('event', { event: { ...next.event, answered: answer === 'yes' } })}
                />
            </div>
        );
    }
    return (
        <button className="btn btn--go my-1" disabled={closed} onClick={() => row('event', { event: next.event })}>
            {say('trace.done')}
        </button>
    );
}

/** A call that is run again is proved by it: its proof in Prove is started, and what is seen here counts there. */
function Proof({ proof }: { proof: NonNullable<TraceView['proof']> }) {
    const { job } = usePage<TraceProps>().props;
    const { record, answer } = useRecord(job.id);
    const { closed } = useTrace();
    return (
        <div className="my-1.5">
            {proof.running ? (
                <p className="text-lead">
                    {say('trace.counts-in-prove', { call: proof.label })}{' '}
                    <Link className="trace__more" href={url('job.prove', { job: job.id })}>
                        {say('trace.to-the-proof')}
                    </Link>
                </p>
            ) : (
                <button
                    className="btn btn--small"
                    disabled={closed}
                    onClick={() => record('steps', { step: proof.step, event: 'start' })}
                >
                    {say('trace.start-the-proof', { call: proof.label })}
                </button>
            )}
            <Problem of={answer && answer.kind !== 'ok' ? said(answer) : null} />
        </div>
    );
}
