import { useState } from 'react';
import { said } from '@/lib/write/api';
import type { Edits } from '@/lib/write/edits';
import type { JumperView, PlaceView, SafetyDevice, SafetyKind } from '@/types';
import { Bad } from '@/ui/State';
import { bold } from '@/ui/marks';
import { list, rich, say } from '@/words';

const KINDS: SafetyKind[] = ['float', 'pump', 'shedding'];

/** Float switches and jumpers that somebody put in: what they break, what they join. */
export function InPlace({
    safety,
    jumpers,
    places,
    screws,
    edits,
    closed,
}: {
    safety: SafetyDevice[];
    jumpers: JumperView[];
    places: PlaceView[];
    screws: Record<string, string[]>;
    edits: Edits;
    closed: boolean;
}) {
    const [breaks, setBreaks] = useState<string[]>([]);
    const [relay, setRelay] = useState(false);
    const [kind, setKind] = useState<SafetyKind>('float');
    const [a, setA] = useState('');
    const [b, setB] = useState('');
    const [place, setPlace] = useState('wall');
    const boards = places.filter(
        (item) => (kind === 'shedding' || !item.outdoors) && (screws[item.place] ?? []).length > 0,
    );
    const [board, setBoard] = useState('');
    const called = (id: string) => {
        const item = places.find((candidate) => candidate.place === id);
        return item === undefined || item.name === '' ? (item?.label ?? id) : item.name;
    };
    const usual = kind === 'shedding' ? boards.find((item) => item.outdoors) : undefined;
    const at = boards.some((item) => item.place === board) ? board : ((usual ?? boards[0])?.place ?? 'indoor');
    const [bad, setBad] = useState('');
    const send = async (op: string, fields: object, done?: () => void) => {
        const answer = await edits.send(op, fields);
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') done?.();
    };
    const free = () => {
        const taken = safety.map((device) => device.id);
        return ['', '-2', '-3', '-4', '-5', '-6'].map((n) => kind + n).find((id) => !taken.includes(id)) ?? kind;
    };
    return (
        <section aria-label={say('survey.found-in-place')} className="border-t border-hair px-5 py-1">
            <details open={safety.length + jumpers.length > 0}>
                <summary className="flex min-h-12 cursor-pointer items-center justify-between gap-3">
                    <h2 className="h-sec">{say('survey.float-switches-and-jumpers-in-place')}</h2>
                    <span className="text-small text-muted">
                        {safety.length + jumpers.length === 0
                            ? say('survey.none-entered')
                            : say('survey.entered', { safety: safety.length + jumpers.length })}
                    </span>
                </summary>
                <ul>
                    {safety.map((device) => (
                        <li key={device.id} className="flex min-h-11 items-center justify-between border-t border-hair">
                            <span>
                                {device.relay
                                    ? rich('survey.in-by-a-relay', {
                                          device: device.label,
                                          breaks: list(device.breaks),
                                          b: bold,
                                      })
                                    : rich('survey.in', {
                                          device: device.label,
                                          breaks: list(device.breaks),
                                          b: bold,
                                      })}
                            </span>
                            {!closed && (
                                <button
                                    className="link"
                                    aria-label={say('survey.remove-in', {
                                        device: device.label,
                                        breaks: list(device.breaks),
                                    })}
                                    onClick={() =>
                                        void send('safety', {
                                            safety: safety.filter((other) => other.id !== device.id),
                                        })
                                    }
                                >
                                    {say('survey.remove')}
                                </button>
                            )}
                        </li>
                    ))}
                    {jumpers.map((jumper, index) => (
                        <li key={index} className="flex min-h-11 items-center justify-between border-t border-hair">
                            <span>
                                {say('survey.jumper')}{' '}
                                <b>
                                    {jumper.a}–{jumper.b}
                                </b>{' '}
                                {jumper.place === 'wall'
                                    ? say('survey.on-the-plate')
                                    : say('survey.at-the-place', { place: called(jumper.place) })}
                            </span>
                            {!closed && (
                                <button
                                    className="link"
                                    aria-label={say('survey.remove-jumper', { a: jumper.a, b: jumper.b })}
                                    onClick={() =>
                                        void send('jumpers', { jumpers: jumpers.filter((_, other) => other !== index) })
                                    }
                                >
                                    {say('survey.remove')}
                                </button>
                            )}
                        </li>
                    ))}
                </ul>
                {!closed && (
                    <div className="mt-2 grid gap-3 sm:grid-cols-2">
                        <div role="group" aria-label={say('survey.add-a-float-switch')}>
                            <div
                                role="radiogroup"
                                aria-label={say('survey.what-opens-it')}
                                className="flex flex-wrap gap-1.5"
                            >
                                {KINDS.map((one) => (
                                    <button
                                        key={one}
                                        type="button"
                                        className="chip"
                                        role="radio"
                                        aria-checked={kind === one}
                                        onClick={() => {
                                            setKind(one);
                                            setBoard('');
                                            setBreaks([]);
                                        }}
                                    >
                                        {say('survey.switch-kind', { kind: one })}
                                    </button>
                                ))}
                            </div>
                            <span className="lab mt-2">{say('survey.it-breaks')}</span>
                            {boards.length > 1 && (
                                <select
                                    aria-label={say('survey.float-switch-at')}
                                    className="pick"
                                    value={at}
                                    onChange={(event) => {
                                        setBoard(event.target.value);
                                        setBreaks([]);
                                    }}
                                >
                                    {boards.map((item) => (
                                        <option key={item.place} value={item.place}>
                                            {called(item.place)}
                                        </option>
                                    ))}
                                </select>
                            )}
                            <div className="mt-1 flex flex-wrap gap-1.5">
                                {(screws[at] ?? [])
                                    .filter((letter) => !['C', 'L', 'S1', 'S2'].includes(letter))
                                    .map((letter) => (
                                        <button
                                            key={letter}
                                            type="button"
                                            className="chip"
                                            role="checkbox"
                                            aria-checked={breaks.includes(letter)}
                                            onClick={() =>
                                                setBreaks(
                                                    breaks.includes(letter)
                                                        ? breaks.filter((other) => other !== letter)
                                                        : [...breaks, letter],
                                                )
                                            }
                                        >
                                            {letter}
                                        </button>
                                    ))}
                                <button
                                    type="button"
                                    className="chip"
                                    role="checkbox"
                                    aria-checked={relay}
                                    onClick={() => setRelay(!relay)}
                                >
                                    {say('survey.by-a-relay')}
                                </button>
                            </div>
                            <button
                                type="button"
                                className="btn btn--small mt-2"
                                disabled={breaks.length === 0}
                                onClick={() =>
                                    void send(
                                        'safety',
                                        {
                                            safety: [
                                                ...safety,
                                                {
                                                    id: free(),
                                                    kind,
                                                    label: say('survey.switch-kind', { kind }),
                                                    breaks,
                                                    relay,
                                                    place: at,
                                                },
                                            ],
                                        },
                                        () => {
                                            setBreaks([]);
                                            setRelay(false);
                                        },
                                    )
                                }
                            >
                                {say('survey.add-float-switch')}
                            </button>
                        </div>
                        <form
                            aria-label={say('survey.add-a-jumper')}
                            onSubmit={(event) => {
                                event.preventDefault();
                                void send(
                                    'jumpers',
                                    { jumpers: [...jumpers, { place, a, b, label: `J${jumpers.length + 1}` }] },
                                    () => {
                                        setA('');
                                        setB('');
                                    },
                                );
                            }}
                        >
                            <span className="lab">{say('survey.a-jumper-joins')}</span>
                            <div className="mt-1 flex items-center gap-1.5">
                                <input
                                    aria-label={say('survey.jumper-from-terminal')}
                                    className="h-11 w-14 border-b-2 border-rule bg-bone text-center font-lab font-bold"
                                    maxLength={12}
                                    value={a}
                                    onChange={(event) => setA(event.target.value)}
                                />
                                <span>{say('survey.and')}</span>
                                <input
                                    aria-label={say('survey.jumper-to-terminal')}
                                    className="h-11 w-14 border-b-2 border-rule bg-bone text-center font-lab font-bold"
                                    maxLength={12}
                                    value={b}
                                    onChange={(event) => setB(event.target.value)}
                                />
                                <select
                                    aria-label={say('survey.jumper-at')}
                                    className="pick !w-auto flex-1"
                                    value={place}
                                    onChange={(event) => setPlace(event.target.value)}
                                >
                                    <option value="wall">{say('survey.on-the-plate')}</option>
                                    {places
                                        .filter((item) => item.place !== 'wall')
                                        .map((item) => (
                                            <option key={item.place} value={item.place}>
                                                {called(item.place)}
                                            </option>
                                        ))}
                                </select>
                            </div>
                            <button className="btn btn--small mt-2" disabled={a.trim() === '' || b.trim() === ''}>
                                {say('survey.add-jumper')}
                            </button>
                        </form>
                    </div>
                )}
                <Bad>{bad}</Bad>
            </details>
        </section>
    );
}
