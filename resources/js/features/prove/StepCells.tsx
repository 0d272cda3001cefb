import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { useState, type ReactNode } from 'react';
import { newId, post, said } from '@/lib/write/api';
import { reload } from '@/lib/reload';
import { useRecord } from '@/lib/write/once';
import { useOutbox } from '@/lib/write/outbox';
import { clock, countdown, placeOf, pointName } from '@/lib/format';
import { useSecondsLeft } from '@/lib/hooks';
import { meterUsed } from '@/lib/keys';
import { useAskPower, usePowerWanted } from '@/shell/Shell';
import { url } from '@/lib/url';
import type { ProveProps, StepView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, outcomeLook, State } from '@/ui/State';
import { Tag } from '@/ui/Tag';
import { Answers } from '@/features/signs/Answers';
import { toRead } from './school';
import { list, say } from '@/words';

const DROP_OFF = 'drop-off';

/** A button that keeps to the width of its cell. */
const fits = 'btn btn--small max-w-full text-left whitespace-normal!';

/** What is said when a step's set-up stands, and when it is over, by its method. */
const SAID: Record<string, [begins: string, ends: string]> = {
    'pre-check': [say('prove.face-is-off'), say('prove.ohms-are-done')],
    'at-rest': [say('prove.nothing-is-called'), say('prove.rest-is-done')],
    looks: [say('prove.look-round'), say('prove.looked-at-all')],
    cable: [say('prove.cable-is-lifted'), say('prove.conductors-are-back')],
    continuity: [say('prove.lifted-and-asked'), say('prove.conductors-are-back')],
    'float-lift': [say('prove.float-is-up'), say('prove.float-is-down')],
    shed: [say('prove.shed-command-given'), say('prove.shed-command-over')],
    'board-jumper': [say('prove.jumper-is-on'), say('prove.jumper-is-out-cable-is-back')],
    jumper: [say('prove.jumper-is-on'), say('prove.jumper-is-out-face-is-on')],
    'aux-alone': [say('prove.jumper-is-on'), say('prove.jumper-is-out-face-is-on')],
};
const begins = ({ method, state }: StepView) =>
    SAID[method]?.[0] ?? (state === 'open' ? say('prove.call-is-on') : say('prove.call-again'));
const ends = ({ method }: StepView) => SAID[method]?.[1] ?? say('prove.call-has-ended');

/** The four cells of a step: power, do, wait, see and hear. */
export function StepCells({
    step,
    closed,
    onStep,
}: {
    step: StepView;
    closed: boolean;
    onStep: (key: string) => void;
}) {
    const { job, power, now, steps, points } = usePage<ProveProps>().props;
    const ask = useAskPower();
    const { record: send, answer: problem } = useRecord(job.id);
    // Signs that one tap answers together: until the last of them is written the step does not end.
    const [answering, setAnswering] = useState(0);
    const off = step.running && step.offAt !== null;
    const left = useSecondsLeft(off ? step.outBy : step.running ? step.readyAt : null, now);
    const wants = step.staysDead || (step.isolated && !step.running) ? 'isolated' : 'live';
    const anyPower = step.method === 'looks';
    const agrees = anyPower || power.state === wants;
    usePowerWanted(anyPower ? null : wants);
    const ready =
        toRead(step).every((probe) => probe.reading?.outcome === 'pass') &&
        step.signs.every((sign) => sign.outcome === 'pass' || sign.key === DROP_OFF);
    // What falls out is asked for after the call, everything else while it stands.
    const asked = (sign: StepView['signs'][number]) => (sign.key === DROP_OFF) === off;
    // An answer that waits on this device is an answer: it is not asked again.
    const kept = useKeptSigns(job.id, step.key);
    const open = step.signs.filter((sign) => asked(sign) && !sign.outcome && !kept.has(sign.key));
    // What the step still needs: named where it is little, counted where it is much.
    const unread = toRead(step).filter((probe) => !probe.reading);
    const unseen = step.signs.filter((sign) => !sign.optional && !sign.outcome && !kept.has(sign.key));
    const many = unread.length + unseen.length > 3;
    const missing = many
        ? say('prove.so-many-missing', { readings: unread.length, answers: unseen.length })
        : list([
              ...unread.map((probe) => {
                  const place = placeOf(points, probe.a);
                  const a = pointName(points, probe.a);
                  return probe.mode === 'A'
                      ? say('prove.amps-at', { a, place })
                      : say('prove.pair-at', { a, b: pointName(points, probe.b), place });
              }),
              ...unseen.map((sign) => `“${sign.text}”`),
          ]);
    // In practice the simulated house is looked at: what runs in it is recorded, marked as simulated.
    const look = async () => {
        const answer = await post<{ signs: Record<string, boolean> }>(url('job.simulated-signs', { job: job.id }), {
            step: step.key,
        });
        if (answer.kind !== 'ok') return;
        for (const sign of step.signs.filter(asked))
            await post(url('job.signs', { job: job.id }), {
                id: newId(),
                step: step.key,
                sign: sign.key,
                seen: answer.data.signs[sign.key] ?? false,
            });
        await reload();
    };
    const higher = steps.filter((candidate) => candidate.follows === step.key);
    const begin = (event: 'start' | 'forced' | 'again' = 'start') => {
        meterUsed();
        return send('steps', { step: step.key, event });
    };
    const join = async (next: StepView) => {
        meterUsed();
        const answer = await send('steps', { step: next.key, event: 'start' });
        if (answer.kind === 'ok') onStep(next.key);
    };
    // A run that has ended keeps what was taken in it: called again for one figure, or everything anew.
    const goesOn = step.startedAt !== null && !step.running && (!step.readAgain || unseen.length > 0);
    const powerProblem = problem?.kind === 'invalid' && problem.errors.power;

    return (
        <>
            <div
                className={clsx(
                    'grid grid-cols-2 [grid-auto-flow:dense] border-b border-hair',
                    'md:grid-cols-[176px_minmax(0,1fr)_minmax(0,0.75fr)_minmax(0,1.6fr)]',
                )}
            >
                <Cell label={say('prove.1-power')}>
                    <PowerLine word={say('prove.wanted')} state={anyPower ? null : wants} />
                    <PowerLine word={say('prove.now')} state={power.state} />
                    {agrees ? (
                        <p className="mt-1 flex items-center gap-1.5 text-small text-verd-ink">
                            <Glyph name="tick" /> {say('prove.flag-agrees')}
                        </p>
                    ) : (
                        !closed && (
                            <button className="link" onClick={() => ask(wants)}>
                                {wants === 'live' ? say('prove.make-live') : say('prove.isolate')}
                            </button>
                        )
                    )}
                </Cell>
                <Cell label={say('prove.2-do')} wide>
                    <div className="my-1.5 flex flex-wrap items-center gap-1.5">
                        {step.closes.length > 0 && (
                            <>
                                <Tag kind="solid">{step.hot}</Tag>
                                <span className="text-muted">
                                    {step.isolated ? say('prove.to') : say('prove.closes')}
                                </span>
                            </>
                        )}
                        {step.closes.map((printed) => (
                            <Tag key={printed}>{printed}</Tag>
                        ))}
                    </div>
                    <p className="text-small">
                        <b className="font-semibold">
                            {say('prove.at-the', { places: step.places.join(say('prove.then-the')) })}
                        </b>{' '}
                        {step.do}
                    </p>
                    {step.buildUp.length > 0 && (
                        <ol className="mt-1 list-inside list-decimal text-small">
                            {step.buildUp.map((screw) => (
                                <li key={screw}>{screw}</li>
                            ))}
                        </ol>
                    )}
                    {step.beside.length > 0 && (
                        <p className="mt-1 flex items-start gap-2 text-small font-semibold text-caution-ink">
                            <Glyph name="caution" style={{ marginTop: 2 }} /> <span>{step.beside.join(' ')}</span>
                        </p>
                    )}
                    {!closed && step.running && !off && missing !== '' && (
                        <p className="mt-2 text-small text-caution-ink" data-testid="missing">
                            {say('prove.still-missing', { missing })}
                        </p>
                    )}
                    {!closed && !step.running && step.startedAt !== null && step.state === 'open' && (
                        <p className="mt-2 text-small font-semibold text-caution-ink" data-testid="missing">
                            {say('prove.ended-without', { missing })}
                        </p>
                    )}
                    {!closed && (
                        <div className="mt-2 flex flex-wrap gap-2">
                            {!step.running ? (
                                <>
                                    {goesOn && (
                                        <button
                                            className={clsx(fits, step.state !== 'passed' && 'btn--go')}
                                            onClick={() => void begin('again')}
                                        >
                                            {step.state === 'open'
                                                ? say('prove.again-for-what-is-missing')
                                                : say('prove.again-for-one-figure')}
                                        </button>
                                    )}
                                    <button className={clsx(fits, !goesOn && 'btn--go')} onClick={() => void begin()}>
                                        {goesOn ? say('prove.everything-anew') : begins(step)}
                                    </button>
                                    {step.forced && (
                                        <button
                                            className={fits}
                                            title={step.forced.reason}
                                            onClick={() => void begin('forced')}
                                        >
                                            {say('prove.forced-in-the-test-menu', {
                                                wait: countdown(step.forced.seconds),
                                            })}
                                        </button>
                                    )}
                                </>
                            ) : (
                                <button
                                    className={clsx(
                                        'btn btn--small',
                                        ready && higher.every((next) => next.state === 'passed') && 'btn--go',
                                    )}
                                    disabled={off || answering > 0}
                                    onClick={() =>
                                        void send('steps', {
                                            step: step.key,
                                            event: step.dropOff && !step.dropped ? 'off' : 'end',
                                        })
                                    }
                                >
                                    {ends(step)}
                                </button>
                            )}
                            {step.running &&
                                !off &&
                                higher.map((next) => (
                                    <button
                                        key={next.key}
                                        className={clsx(
                                            'btn btn--small',
                                            ready && next.state !== 'passed' && 'btn--go',
                                        )}
                                        onClick={() => void join(next)}
                                    >
                                        {say('prove.ask-for-more', { callLabel: next.callLabel })}
                                    </button>
                                ))}
                        </div>
                    )}
                </Cell>
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
                <Cell label={say('prove.4-see-and-hear')} wide>
                    {job.practice && step.running && !closed && step.signs.length > 0 && (
                        <button className="link" onClick={() => void look()}>
                            {say('prove.look-and-listen-simulated')}
                        </button>
                    )}
                    {!closed && step.running && (open.length > 1 || answering > 0) && (
                        <button
                            className="btn btn--small mt-1 flex! w-fit"
                            disabled={answering > 0}
                            onClick={async () => {
                                setAnswering(open.length);
                                for (const sign of open)
                                    await send('signs', { step: step.key, sign: sign.key, seen: true });
                                setAnswering(0);
                            }}
                        >
                            {say('prove.all-seen', { signs: answering > 0 ? answering : open.length })}
                        </button>
                    )}
                    {step.signs.length === 0 && (
                        <p className="mt-1 text-small text-muted">{say('prove.nothing-to-see-or-hear-the')}</p>
                    )}
                    <ul className="mt-1 divide-y divide-hair">
                        {step.signs.map((sign) => (
                            <li key={sign.key} className="flex min-h-11 flex-wrap items-center gap-x-2 py-1 text-small">
                                <Glyph name={sign.sense === 'ear' ? 'ear' : 'eye'} size={18} />
                                <span className="flex-1">
                                    {sign.text}
                                    {sign.outcome && (
                                        <span className="block" title={sign.reason ?? ''}>
                                            <State
                                                glyph={outcomeLook[sign.outcome].glyph}
                                                tone={outcomeLook[sign.outcome].tone}
                                            >
                                                {sign.how
                                                    ? sign.how
                                                    : sign.outcome === 'pass'
                                                      ? say('prove.yes-2')
                                                      : sign.outcome === 'fail'
                                                        ? say('prove.no-2')
                                                        : say('prove.too-early')}
                                            </State>{' '}
                                            <span className="mono text-muted">{sign.at && clock(sign.at)}</span>
                                            {sign.simulated && (
                                                <span className="text-muted"> {say('prove.simulated-2')}</span>
                                            )}
                                        </span>
                                    )}
                                </span>
                                {!closed && step.running && !asked(sign) && !sign.outcome && (
                                    <span className="text-muted">
                                        {off ? say('prove.not-looked-at') : say('prove.after-the-call')}
                                    </span>
                                )}
                                {kept.has(sign.key) && (
                                    <State glyph="wait" tone="caution">
                                        {say('prove.kept-on-device', {
                                            answer: kept.get(sign.key) ? say('prove.yes-2') : say('prove.no-2'),
                                        })}
                                    </State>
                                )}
                                {!closed && step.running && asked(sign) && !kept.has(sign.key) && (
                                    <Answers
                                        sign={sign}
                                        onAnswer={(seen, how) =>
                                            void send('signs', { step: step.key, sign: sign.key, seen, how })
                                        }
                                    />
                                )}
                            </li>
                        ))}
                    </ul>
                </Cell>
            </div>
            {problem && problem.kind !== 'ok' && (
                <div className="flex flex-wrap items-center gap-4 border-b border-fault bg-fault-wash px-5 py-2">
                    <Bad>{said(problem)}</Bad>
                    {powerProblem && (
                        <button className="link" onClick={() => ask(step.isolated ? 'isolated' : 'live')}>
                            {step.isolated ? say('prove.isolate') : say('prove.make-live')}
                        </button>
                    )}
                </div>
            )}
            {step.signs
                .filter((sign) => sign.outcome === 'fail' || sign.how)
                .map((sign) => (
                    <p
                        key={sign.key}
                        role={sign.danger ? 'alert' : undefined}
                        className={clsx(
                            'border-b border-hair px-5 py-2 text-small',
                            sign.danger && 'border-l-[6px] border-l-fault bg-fault-wash font-semibold',
                        )}
                    >
                        <b>
                            {sign.how
                                ? say('prove.neither-2', { sign: sign.text, how: sign.how })
                                : say('prove.no-3', { sign: sign.text })}
                        </b>{' '}
                        {sign.reason}
                    </p>
                ))}
        </>
    );
}

const POWER = {
    live: { glyph: 'live', tone: 'live', word: say('prove.live-24-v') },
    isolated: { glyph: 'iso', tone: 'iso', word: say('prove.isolated') },
    'not-proved': { glyph: 'caution', tone: 'caution', word: say('prove.not-proved') },
} as const;

/** What power a step wants, or what it is now; a look wants none. */
function PowerLine({ word, state }: { word: string; state: keyof typeof POWER | null }) {
    const look = state === null ? null : POWER[state];
    return (
        <p className="mt-1 flex flex-wrap items-center gap-x-2">
            <span className="lab w-12">{word}</span>
            {look ? (
                <State glyph={look.glyph} tone={look.tone}>
                    {look.word}
                </State>
            ) : (
                <span className="text-muted">{say('prove.any')}</span>
            )}
        </p>
    );
}

/** On a phone power and wait stand side by side, the others take the whole width. */
function Cell({ label, children, wide }: { label: string; children: ReactNode; wide?: boolean }) {
    return (
        <div
            className={clsx(
                'border-hair px-4 py-2 max-md:border-b md:border-l md:first:border-l-0 md:first:pl-5',
                wide && 'max-md:col-span-2',
            )}
        >
            <span className="lab">{label}</span>
            {children}
        </div>
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

/** Signs of this step that were answered and wait on this device: by key, whether they were seen. */
function useKeptSigns(jobId: string, step: string): Map<string, boolean> {
    return new Map(
        useOutbox()
            .filter((row) => row.url === url('job.signs', { job: jobId }) && row.body.step === step && !row.refused)
            .map((row) => [String(row.body.sign), row.body.seen === true]),
    );
}
