import { useState } from 'react';
import type { JumperView, PlaceView } from '@/types';
import { say } from '@/words';
import { calledIn, type Send } from './send';

/** A jumper that somebody put in: which two screws, and where. */
export function AddJumper({ jumpers, places, send }: { jumpers: JumperView[]; places: PlaceView[]; send: Send }) {
    const [a, setA] = useState('');
    const [b, setB] = useState('');
    const [place, setPlace] = useState('wall');
    const add = () =>
        send('jumpers', { jumpers: [...jumpers, { place, a, b, label: `J${jumpers.length + 1}` }] }, () => {
            setA('');
            setB('');
        });
    return (
        <form
            aria-label={say('survey.add-a-jumper')}
            onSubmit={(event) => {
                event.preventDefault();
                void add();
            }}
        >
            <span className="lab">{say('survey.a-jumper-joins')}</span>
            <div className="mt-1 flex items-center gap-1.5">
                <Screw label={say('survey.jumper-from-terminal')} value={a} onChange={setA} />
                <span>{say('survey.and')}</span>
                <Screw label={say('survey.jumper-to-terminal')} value={b} onChange={setB} />
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
                                {calledIn(places, item.place)}
                            </option>
                        ))}
                </select>
            </div>
            <button className="btn btn--small mt-2" disabled={a.trim() === '' || b.trim() === ''}>
                {say('survey.add-jumper')}
            </button>
        </form>
    );
}

function Screw({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
    return (
        <input
            aria-label={label}
            className="h-11 w-14 border-b-2 border-rule bg-bone text-center font-lab font-bold"
            maxLength={12}
            value={value}
            onChange={(event) => onChange(event.target.value)}
        />
    );
}
