import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { useAskPower } from '@/shell/Shell';
import type { TraceProps, TraceProposal, TraceView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';
import { useTrace } from './useTrace';

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
    if (!next) return <section className="trace__next">{say('trace.nothing-further')}</section>;
    return (
        <section className="trace__next" aria-labelledby="next">
            <div className="flex items-baseline justify-between gap-3">
                <h2 className="h-sec">
                    {trace.second
                        ? say('trace.second-fault')
                        : trace.open.length > 0
                          ? say('trace.run-again')
                          : say('trace.next-best')}
                </h2>
                <span className="text-note text-muted">{say('trace.parts-bits', { bits: next.bits })}</span>
            </div>
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
            <Take key={next.key} next={next} />
            {problem && (
                <p role="alert">
                    <Bad>{problem}</Bad>
                </p>
            )}
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
    const standing = strip.standing.map((thing) => thing.key);
    const ready =
        next.things.every((key) => standing.includes(key)) && standing.every((key) => next.things.includes(key));
    const setup = next.test;
    if (setup === null) return null;
    const powered = next.isolated ? power.state === 'isolated' : power.state === 'live';
    return (
        <div className="my-1.5">
            <ul className="text-lead">
                {next.setup.map((line) => (
                    <li key={line}>{line}</li>
                ))}
            </ul>
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
            {problem && (
                <p role="alert">
                    <Bad>{problem}</Bad>
                </p>
            )}
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
            <div className="my-1 flex flex-wrap gap-1.5" role="group" aria-label={say('trace.found')}>
                {look.finds.map((find) => (
                    <button
                        key={find.value}
                        className="trace__chip"
                        disabled={closed}
                        onClick={() =>
                            row('test', { probe: { inspect: look.target }, result: { found: find.value } }, next.call)
                        }
                    >
                        {find.label}
                    </button>
                ))}
            </div>
        );
    }
    if (next.see.length > 0) {
        const all = next.see.every((sign) => sees[sign.key]);
        return (
            <div className="my-1">
                <ul className="trace__signs">
                    {next.see.map((sign) => (
                        <li key={sign.key}>
                            <span className="font-lab text-lead font-semibold">{sign.label}</span>
                            <span className="flex flex-wrap gap-1.5" role="group" aria-label={sign.label}>
                                {sign.answers.map((answer) => (
                                    <button
                                        key={answer.value}
                                        className="trace__chip"
                                        aria-pressed={sees[sign.key] === answer.value}
                                        onClick={() => setSees({ ...sees, [sign.key]: answer.value })}
                                    >
                                        {answer.label}
                                    </button>
                                ))}
                            </span>
                        </li>
                    ))}
                </ul>
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
    return (
        <button className="btn btn--go my-1" disabled={closed} onClick={() => row('event', { event: next.event })}>
            {say('trace.done')}
        </button>
    );
}
