import { useState } from 'react';
import type { PlaceView, SafetyDevice, SafetyKind } from '@/types';
import { say } from '@/words';
import { calledIn, type Send } from './send';

const KINDS: SafetyKind[] = ['float', 'pump', 'shedding'];

/** What no safety switch breaks. */
const NEVER = ['C', 'L', 'S1', 'S2'];

/** A switch in the line: what opens it, where it is, what it breaks. */
export function AddSwitch({
    safety,
    places,
    screws,
    send,
}: {
    safety: SafetyDevice[];
    places: PlaceView[];
    screws: Record<string, string[]>;
    send: Send;
}) {
    const [kind, setKind] = useState<SafetyKind>('float');
    const [board, setBoard] = useState('');
    const [breaks, setBreaks] = useState<string[]>([]);
    const [relay, setRelay] = useState(false);
    const boards = places.filter(
        (item) => (kind === 'shedding' || !item.outdoors) && (screws[item.place] ?? []).length > 0,
    );
    const usual = kind === 'shedding' ? boards.find((item) => item.outdoors) : undefined;
    const at = boards.some((item) => item.place === board) ? board : ((usual ?? boards[0])?.place ?? 'indoor');
    const add = () =>
        send(
            'safety',
            {
                safety: [
                    ...safety,
                    {
                        id: freeId(kind, safety),
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
        );
    return (
        <div role="group" aria-label={say('survey.add-a-float-switch')}>
            <Kinds
                kind={kind}
                onKind={(one) => {
                    setKind(one);
                    setBoard('');
                    setBreaks([]);
                }}
            />
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
                            {calledIn(places, item.place)}
                        </option>
                    ))}
                </select>
            )}
            <div className="mt-1 flex flex-wrap gap-1.5">
                {(screws[at] ?? [])
                    .filter((letter) => !NEVER.includes(letter))
                    .map((letter) => (
                        <Ticked
                            key={letter}
                            on={breaks.includes(letter)}
                            onTick={(on) =>
                                setBreaks(on ? [...breaks, letter] : breaks.filter((other) => other !== letter))
                            }
                        >
                            {letter}
                        </Ticked>
                    ))}
                <Ticked on={relay} onTick={setRelay}>
                    {say('survey.by-a-relay')}
                </Ticked>
            </div>
            <button
                type="button"
                className="btn btn--small mt-2"
                disabled={breaks.length === 0}
                onClick={() => void add()}
            >
                {say('survey.add-float-switch')}
            </button>
        </div>
    );
}

function Kinds({ kind, onKind }: { kind: SafetyKind; onKind: (kind: SafetyKind) => void }) {
    return (
        <div role="radiogroup" aria-label={say('survey.what-opens-it')} className="flex flex-wrap gap-1.5">
            {KINDS.map((one) => (
                <button
                    key={one}
                    type="button"
                    className="chip"
                    role="radio"
                    aria-checked={kind === one}
                    onClick={() => onKind(one)}
                >
                    {say('survey.switch-kind', { kind: one })}
                </button>
            ))}
        </div>
    );
}

function Ticked({ on, onTick, children }: { on: boolean; onTick: (on: boolean) => void; children: string }) {
    return (
        <button type="button" className="chip" role="checkbox" aria-checked={on} onClick={() => onTick(!on)}>
            {children}
        </button>
    );
}

const freeId = (kind: SafetyKind, safety: SafetyDevice[]) => {
    const taken = safety.map((device) => device.id);
    return ['', '-2', '-3', '-4', '-5', '-6'].map((n) => kind + n).find((id) => !taken.includes(id)) ?? kind;
};
