import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { post, said } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import { clock, figure, pointName, range, signUnit } from '@/lib/format';
import { useKeys } from '@/lib/hooks';
import { useAskPower, useProbes } from '@/shell/Shell';
import { url } from '@/lib/url';
import type { Expectation, Frame, Mode, OutcomeName, PointInfo, Reading } from '@/types';
import { Glyph, Unit, type GlyphName } from '@/ui/Glyph';
import { useOutbox } from '@/lib/write/outbox';
import { cut } from '@/lib/numbers';
import { Bad, State } from '@/ui/State';
import { Keypad } from './Keypad';
import { PointPicker } from './PointPicker';
import { Repeat } from './Repeat';
import { Ruler } from './Ruler';
import { Log } from './Log';
import { Tells } from './Tells';
import { Then, type Pair } from './Then';
import { useExpectation } from './useExpectation';
import { useOpen } from './useOpen';
import { useTyped } from './useTyped';
import { Verdict } from './Verdict';
import { say } from '@/words';

const modes: { mode: Mode; sign: string | GlyphName; word: string }[] = [
    { mode: 'V', sign: 'V~', word: say('meter.volts') },
    { mode: 'O', sign: 'ohm', word: say('meter.ohms') },
    { mode: 'A', sign: 'A~', word: say('meter.clamp') },
    { mode: 'B', sign: 'beep', word: say('meter.beep') },
];

/** What was just recorded: taken and judged, or kept on this device until there is a signal. */
export interface Recorded {
    a: string;
    b: string;
    outcome: OutcomeName | 'kept';
}

/**
 * The meter: modes, probes, expected with its reason, actual, verdict, log, one button. The order never changes.
 *
 * @param since from when on an earlier reading of the same points still counts here; none does if not given
 */
export function MeterDock({
    stage,
    step = null,
    call = null,
    readings,
    canRecord = true,
    since,
    onRecorded,
    then = [],
}: {
    stage: string;
    step?: string | null;
    call?: string | null;
    readings: Reading[];
    canRecord?: boolean;
    since?: string | null;
    onRecorded?: (reading: Recorded) => void;
    /** Pairs to which the probes go by themselves after this one. */
    then?: Pair[];
}) {
    const { job, power, points } = usePage<Frame>().props;
    const probes = useProbes();
    const askPower = useAskPower();
    const [typed, setTyped] = useTyped([job.id, 'meter', stage, step, call, since].join('/'), probes, points);
    const { record: write, answer, clear } = useRecord<Reading>(job.id);
    const [sheet, setSheet] = useOpen();
    const [correcting, setCorrecting] = useState<Reading | null>(null);
    const { mode, a, b } = probes;
    const { expected, problem } = useExpectation({
        jobId: job.id,
        stage,
        step,
        call,
        mode,
        a,
        b,
        state: `${job.version}/${power.state}/${readings.length}`,
    });

    const here = (reading: Reading) =>
        reading.a === a &&
        reading.b === b &&
        reading.mode === mode &&
        reading.step === step &&
        (reading.call ?? 'idle') === (call ?? 'idle');
    const known =
        since === undefined
            ? null
            : (readings.find((reading) => here(reading) && (since === null || reading.at >= since)) ?? null);
    // What was just recorded, until the page has been read again; then the last reading of these points.
    const last =
        answer?.kind === 'ok' && here(answer.data)
            ? (readings.find((reading) => reading.id === answer.data.id) ?? answer.data)
            : known;
    const value = parsed(typed) ?? (typed === '' ? (last?.value ?? null) : null);
    const closed = job.closed || !canRecord;
    const pair = [stage, step, call, mode, a, b].join('|');
    // What was refused belongs to the pair that it was typed for; another pair starts clean.
    const [refusedAt, setRefusedAt] = useState(pair);
    const mine = correcting !== null || refusedAt === pair ? answer : null;
    const errors = mine?.kind === 'invalid' ? mine.errors : {};
    const kept = useOutbox().find(
        ({ url: to, body }) =>
            to === url('job.readings', { job: job.id }) &&
            body.a === a &&
            body.b === b &&
            body.mode === mode &&
            (body.step ?? null) === step,
    );

    // The meter shows the same as on the pair before: one tap.
    const before = step === null ? undefined : readings.find((reading) => reading.step === step);
    const same =
        typed === '' && before?.mode === mode && before.value !== null && !last && !closed
            ? String(before.value)
            : null;
    const record = async (figure = typed) => {
        if (figure.trim() === '') return;
        // What is typed while the answer is on its way is the next reading, and stays.
        // The probes go on at once, before the page is read again: the next figure typed belongs to the next pair.
        const place = correcting
            ? {
                  stage,
                  step: correcting.step,
                  call: correcting.call,
                  mode: correcting.mode,
                  a: correcting.a,
                  b: correcting.b,
                  corrects: correcting.id,
              }
            : { stage, step, call, mode, a, b };
        setRefusedAt(pair);
        await write('readings', { ...place, value: figure }, (reading) => {
            setTyped((now) => (now === figure ? '' : now));
            setCorrecting(null);
            // Kept on the device counts as read: the next figure belongs to the next pair, with a signal or without.
            onRecorded?.(reading ?? { a: place.a, b: place.b, outcome: 'kept' });
        });
    };

    // Why the simulated meter did not read, while the probes stay where they were.
    const [unread, setUnread] = useState({ pair: '', says: '' });
    // In practice the simulated meter fills the field; recording it stays the person's act, and it is marked.
    const simulate = async () => {
        const answer = await post<{ value: string }>(url('job.simulated-reading', { job: job.id }), {
            stage,
            step,
            call,
            mode,
            a,
            b,
        });
        setUnread({ pair, says: said(answer) });
        if (answer.kind === 'ok') {
            setTyped(answer.data.value);
            focusActual();
        }
    };

    const move = (by: number) => {
        const index = points.findIndex((point) => point.id === a);
        const next = points[(index + by + points.length) % points.length];
        if (next) probes.set(next.id, b);
    };
    const select = (next: Mode) => {
        probes.setMode(next);
        setTyped('');
        clear();
    };
    useKeys({
        v: () => select('V'),
        o: () => select('O'),
        a: () => select('A'),
        b: () => select('B'),
        '[': () => move(-1),
        ']': () => move(1),
        x: probes.swap,
        r: focusActual,
        '=': () => {
            if (same !== null) void record(same);
        },
    });

    return (
        <aside className="dock" aria-label={say('meter.meter-dock')} data-open={sheet ? '' : undefined}>
            <button
                className="dock__handle flex min-h-14 items-center justify-between gap-3 px-4 text-left"
                aria-expanded={sheet}
                onClick={() => setSheet(!sheet)}
            >
                <span>
                    <span className="lab">
                        {say('meter.expected', { pointName: pointName(points, a), pointName2: pointName(points, b) })}
                    </span>
                    <b className="mono block text-title font-medium">
                        {expected ? range(expected) : '…'} <Unit unit={signUnit[mode]} />
                    </b>
                </span>
                <span className="mono text-figure">{last?.value != null ? figure(last.value, mode) : '–'}</span>
                <span className="font-lab font-semibold underline underline-offset-4">
                    {sheet ? say('meter.fold-meter') : say('meter.meter')}
                </span>
            </button>
            <div className="dock__body">
                <div className="modes" role="group" aria-label={say('meter.meter-mode')}>
                    {modes.map((item) => (
                        <button key={item.mode} aria-pressed={item.mode === mode} onClick={() => select(item.mode)}>
                            <span>
                                {item.sign.length <= 2 ? item.sign : <Glyph name={item.sign as GlyphName} size={18} />}
                            </span>
                            <small>{item.word}</small>
                        </button>
                    ))}
                </div>
                <section style={{ paddingTop: 4, paddingBottom: 4 }}>
                    <ProbeRow name="A" points={points} value={a} onChange={(id) => probes.set(id, b)} />
                    {mode !== 'A' && (
                        <ProbeRow name="B" points={points} value={b} onChange={(id) => probes.set(a, id)} />
                    )}
                </section>
                <section className="dock__expected">
                    <div className="exp">
                        <span className="lab">{say('meter.expected-2')}</span>
                        <span className="mono" data-testid="expected">
                            {expected ? range(expected) : '…'}{' '}
                            {expected && !expected.refused && !expected.overLimit && (
                                <Unit unit={signUnit[mode]} size={15} />
                            )}
                        </span>
                    </div>
                    {expected && <Ruler expected={expected} value={value} />}
                    <p className="mt-1 text-small" data-testid="reason">
                        {expected?.reason ?? problem}
                    </p>
                    {expected?.notes.map((note) => (
                        <p key={note} className="mt-1 flex items-start gap-2 text-small">
                            <Glyph
                                name={expected.harms?.includes(note) ? 'fault' : 'caution'}
                                style={{
                                    color: `var(--${expected.harms?.includes(note) ? 'fault' : 'caution'})`,
                                    marginTop: 1,
                                }}
                            />
                            <span>{note}</span>
                        </p>
                    ))}
                    {expected?.decidedBy && (
                        <button
                            className="link"
                            onClick={() =>
                                expected.decidedBy && probes.set(expected.decidedBy[0] ?? a, expected.decidedBy[1] ?? b)
                            }
                        >
                            {say('meter.0-v-alone-does-not-decide', {
                                pointName: pointName(points, expected.decidedBy[0] ?? ''),
                                pointName2: pointName(points, expected.decidedBy[1] ?? ''),
                            })}
                        </button>
                    )}
                    {(mode === 'V' || mode === 'O') && !expected?.refused && (
                        <Tells
                            key={`${step}/${call}/${mode}/${a}/${b}`}
                            jobId={job.id}
                            stage={stage}
                            step={step}
                            call={call}
                            mode={mode}
                            a={a}
                            b={b}
                        />
                    )}
                </section>
                {!closed && (
                    <section className="dock__actual" style={{ paddingBottom: 6 }}>
                        <label className="lab" htmlFor="actual">
                            {correcting
                                ? say('meter.actual-in-place-of-at', {
                                      correcting: shown(correcting),
                                      at: clock(correcting.at),
                                  })
                                : say('meter.actual')}
                        </label>
                        {correcting && (
                            <button type="button" className="link" onClick={() => setCorrecting(null)}>
                                {say('meter.leave-it-as-it-was')}
                            </button>
                        )}
                        <div className="act" data-bad={errors.value ? '' : undefined}>
                            <input
                                id="actual"
                                inputMode="decimal"
                                autoComplete="off"
                                placeholder={say('meter.type-the-reading')}
                                value={typed}
                                aria-invalid={!!errors.value}
                                aria-describedby="actual-bad"
                                onChange={(event) => setTyped(event.target.value)}
                                onKeyDown={(event) => {
                                    if (event.key === 'Enter') void record();
                                    if (event.key === 'Escape') event.currentTarget.blur();
                                    if (event.key === '=' && same !== null) {
                                        event.preventDefault();
                                        void record(same);
                                    }
                                }}
                            />
                            <em>
                                <Unit unit={signUnit[mode]} size={18} />
                            </em>
                        </div>
                        {job.practice && (
                            <>
                                <button type="button" className="link" onClick={() => void simulate()}>
                                    {say('meter.simulated-meter-reads')}
                                </button>
                                <Bad>{unread.pair === pair && unread.says}</Bad>
                            </>
                        )}
                        <MixUp typed={typed} expected={expected} unit={signUnit[mode]} onTake={setTyped} />
                        {kept && typed === '' ? (
                            <p className="py-2 text-small" role="status" data-testid="kept">
                                <State glyph="caution" tone="caution">
                                    {say('meter.is-kept-on-this-device', {
                                        value: String(kept.body.value),
                                        signUnit: signUnit[mode],
                                    })}
                                </State>{' '}
                                {kept.refused ?? kept.waits ?? say('meter.no-signal-it-is-sent-and')}
                            </p>
                        ) : (
                            <Verdict key={pair} jobId={job.id} reading={last} typed={typed} closed={closed} />
                        )}
                        <Bad id="actual-bad">{mine && mine.kind !== 'ok' ? said(mine) : null}</Bad>
                        {errors.power && (
                            <button
                                className="link"
                                onClick={() => askPower(mode === 'V' || mode === 'A' ? 'live' : 'isolated')}
                            >
                                {mode === 'V' || mode === 'A' ? say('meter.make-live') : say('meter.isolate')}
                            </button>
                        )}
                    </section>
                )}
                {then.length > 0 && !closed && <Then pairs={then} points={points} />}
                <section className="dock__log min-h-24 flex-1" style={{ borderBottom: 0 }}>
                    <div className="lab mb-0.5">{say('meter.last-readings')}</div>
                    <Log
                        jobId={job.id}
                        readings={readings}
                        points={points}
                        closed={closed}
                        onPick={(reading) => {
                            probes.setMode(reading.mode);
                            probes.set(reading.a, reading.b);
                        }}
                        onCorrect={(reading) => {
                            setCorrecting(reading);
                            focusActual();
                        }}
                    />
                </section>
                {!closed && (
                    <div className="dock__go grid gap-2 border-t border-hair px-4 pb-3.5 pt-2.5">
                        <Repeat
                            same={same}
                            surprising={last?.outcome === 'fail' && typed === ''}
                            onSame={(figure) => void record(figure)}
                            onAgain={focusActual}
                        />
                        <button
                            className={clsx(
                                'btn w-full justify-between text-left whitespace-normal!',
                                typed.trim() === '' ? 'btn--off' : 'btn--go',
                            )}
                            aria-disabled={typed.trim() === ''}
                            onClick={() => void record()}
                        >
                            {say('meter.record-reading')} <span className="key">{say('meter.enter')}</span>
                        </button>
                    </div>
                )}
                {!closed && (
                    <Keypad
                        onKey={(key) => setTyped((old) => (key === 'OL' ? 'OL' : old === 'OL' ? key : old + key))}
                        onErase={() => setTyped((old) => (old === 'OL' ? '' : old.slice(0, -1)))}
                        onRecord={() => void record()}
                        ready={typed.trim() !== ''}
                    />
                )}
            </div>
        </aside>
    );
}

/**
 * A figure a thousand times off the expected band: the meter stood on millivolts, or on kilohms. Asked, never changed
 * unasked.
 */
function MixUp({
    typed,
    expected,
    unit,
    onTake,
}: {
    typed: string;
    expected: Expectation | null;
    unit: string;
    onTake: (value: string) => void;
}) {
    const value = parsed(typed);
    if (value === null || value === 0 || expected?.low == null || expected.high == null || expected.high < 1)
        return null;
    const [low, high] = [0.7 * expected.low, 1.3 * expected.high];
    const [other, right] =
        value / 1000 >= low && value / 1000 <= high
            ? [`m${unit}`, value / 1000]
            : value * 1000 >= low && value * 1000 <= high
              ? [`k${unit}`, value * 1000]
              : [null, 0];
    if (other === null) return null;
    return (
        <p
            role="alert"
            className={clsx(
                'flex flex-wrap items-center gap-x-3 border-l-[6px] border-caution bg-caution-wash px-2 py-1',
                'text-small',
            )}
        >
            {say('meter.did-the-meter-stand-on-is', { other, typed, right: cut(right, 3), unit })}
            <button type="button" className="link" onClick={() => onTake(String(cut(right, 3)))}>
                {say('meter.yes-take', { right: cut(right, 3), unit })}
            </button>
        </p>
    );
}

const focusActual = () => document.getElementById('actual')?.focus();

function parsed(typed: string): number | null {
    const number = Number(typed.trim().replace(',', '.'));
    return typed.trim() !== '' && Number.isFinite(number) && number >= 0 ? number : null;
}

function ProbeRow({
    name,
    points,
    value,
    onChange,
}: {
    name: 'A' | 'B';
    points: PointInfo[];
    value: string;
    onChange: (id: string) => void;
}) {
    const places = [...new Set(points.map((point) => point.place))];
    const [picking, setPicking] = useState(false);
    return (
        <>
            <div className="probe">
                <span className={`pin ${name === 'B' ? 'pin--b' : ''}`}>{name}</span>
                <select
                    aria-label={say('meter.probe', { name })}
                    value={value}
                    onChange={(event) => onChange(event.target.value)}
                >
                    {places.map((place) => (
                        <optgroup
                            key={place}
                            label={points.find((point) => point.place === place)?.placeLabel ?? place}
                        >
                            {points
                                .filter((point) => point.place === place)
                                .map((point) => (
                                    <option key={point.id} value={point.id}>
                                        {point.label} ·{' '}
                                        {point.conductor
                                            ? say('meter.conductor-end', { placeLabel: point.placeLabel })
                                            : point.placeLabel}
                                    </option>
                                ))}
                        </optgroup>
                    ))}
                </select>
                <button
                    type="button"
                    className="link px-1"
                    aria-expanded={picking}
                    aria-label={say('meter.find-for', { name })}
                    onClick={() => setPicking(!picking)}
                >
                    {say('meter.find')}
                </button>
            </div>
            {picking && (
                <PointPicker
                    name={name}
                    points={points}
                    value={value}
                    onPick={(id) => {
                        onChange(id);
                        setPicking(false);
                    }}
                />
            )}
        </>
    );
}

function shown(reading: Reading): string {
    return reading.value === null ? 'OL' : `${figure(reading.value, reading.mode)} ${reading.unit}`;
}
