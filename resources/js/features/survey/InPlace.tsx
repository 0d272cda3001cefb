import { useState } from 'react';
import { said } from '@/lib/api';
import type { Edits } from '@/lib/edits';
import type { JumperView, SafetyDevice } from '@/types';
import { Bad } from '@/ui/State';

/** Float switches and jumpers that somebody put in: what they break, what they join. */
export function InPlace({
    safety,
    jumpers,
    screws,
    edits,
    closed,
}: {
    safety: SafetyDevice[];
    jumpers: JumperView[];
    screws: string[];
    edits: Edits;
    closed: boolean;
}) {
    const [breaks, setBreaks] = useState<string[]>([]);
    const [relay, setRelay] = useState(false);
    const [a, setA] = useState('');
    const [b, setB] = useState('');
    const [place, setPlace] = useState('wall');
    const [bad, setBad] = useState('');
    const send = async (op: string, fields: object, done?: () => void) => {
        const answer = await edits.send(op, fields);
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') done?.();
    };
    const free = () => {
        const taken = safety.map((device) => device.id);
        return (
            ['float', 'float-2', 'float-3', 'float-4', 'float-5', 'float-6'].find((id) => !taken.includes(id)) ??
            'float'
        );
    };
    return (
        <section aria-label="Found in place" className="border-t border-hair px-5 py-1">
            <details open={safety.length + jumpers.length > 0}>
                <summary className="flex min-h-12 cursor-pointer items-center justify-between gap-3">
                    <h2 className="h-sec">Float switches and jumpers in place</h2>
                    <span className="text-small text-muted">
                        {safety.length + jumpers.length === 0
                            ? 'none entered'
                            : `${safety.length + jumpers.length} entered`}
                    </span>
                </summary>
                <ul>
                    {safety.map((device) => (
                        <li key={device.id} className="flex min-h-11 items-center justify-between border-t border-hair">
                            <span>
                                {device.label} in <b>{device.breaks.join(' and ')}</b>
                                {device.relay && ', by a relay'}
                            </span>
                            {!closed && (
                                <button
                                    className="link"
                                    aria-label={`Remove ${device.label} in ${device.breaks.join(' and ')}`}
                                    onClick={() =>
                                        void send('safety', {
                                            safety: safety.filter((other) => other.id !== device.id),
                                        })
                                    }
                                >
                                    Remove
                                </button>
                            )}
                        </li>
                    ))}
                    {jumpers.map((jumper, index) => (
                        <li key={index} className="flex min-h-11 items-center justify-between border-t border-hair">
                            <span>
                                jumper{' '}
                                <b>
                                    {jumper.a}–{jumper.b}
                                </b>{' '}
                                {jumper.place === 'wall'
                                    ? 'on the plate'
                                    : jumper.place === 'indoor'
                                      ? 'on the board'
                                      : 'outdoors'}
                            </span>
                            {!closed && (
                                <button
                                    className="link"
                                    aria-label={`Remove jumper ${jumper.a}–${jumper.b}`}
                                    onClick={() =>
                                        void send('jumpers', { jumpers: jumpers.filter((_, other) => other !== index) })
                                    }
                                >
                                    Remove
                                </button>
                            )}
                        </li>
                    ))}
                </ul>
                {!closed && (
                    <div className="mt-2 grid gap-3 sm:grid-cols-2">
                        <div role="group" aria-label="Add a float switch">
                            <span className="lab">A float switch breaks</span>
                            <div className="mt-1 flex flex-wrap gap-1.5">
                                {screws
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
                                    by a relay
                                </button>
                            </div>
                            <button
                                type="button"
                                className="btn btn--small mt-2"
                                disabled={breaks.length === 0}
                                onClick={() =>
                                    void send(
                                        'safety',
                                        { safety: [...safety, { id: free(), label: 'float switch', breaks, relay }] },
                                        () => {
                                            setBreaks([]);
                                            setRelay(false);
                                        },
                                    )
                                }
                            >
                                Add float switch
                            </button>
                        </div>
                        <form
                            aria-label="Add a jumper"
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
                            <span className="lab">A jumper joins</span>
                            <div className="mt-1 flex items-center gap-1.5">
                                <input
                                    aria-label="Jumper from terminal"
                                    className="h-11 w-14 border-b-2 border-rule bg-bone text-center font-lab font-bold"
                                    maxLength={12}
                                    value={a}
                                    onChange={(event) => setA(event.target.value)}
                                />
                                <span>and</span>
                                <input
                                    aria-label="Jumper to terminal"
                                    className="h-11 w-14 border-b-2 border-rule bg-bone text-center font-lab font-bold"
                                    maxLength={12}
                                    value={b}
                                    onChange={(event) => setB(event.target.value)}
                                />
                                <select
                                    aria-label="Jumper at"
                                    className="pick !w-auto flex-1"
                                    value={place}
                                    onChange={(event) => setPlace(event.target.value)}
                                >
                                    <option value="wall">on the plate</option>
                                    <option value="indoor">on the board</option>
                                    <option value="outdoor">outdoors</option>
                                </select>
                            </div>
                            <button className="btn btn--small mt-2" disabled={a.trim() === '' || b.trim() === ''}>
                                Add jumper
                            </button>
                        </form>
                    </div>
                )}
                <Bad>{bad}</Bad>
            </details>
        </section>
    );
}
