import { useState } from 'react';
import { said } from '@/lib/write/api';
import type { Edits } from '@/lib/write/edits';
import type { JumperView, PlaceView, SafetyDevice } from '@/types';
import { Bad } from '@/ui/State';
import { bold } from '@/ui/marks';
import { list, rich, say } from '@/words';
import { AddJumper } from './AddJumper';
import { AddSwitch } from './AddSwitch';
import { calledIn, type Send } from './send';

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
    const [bad, setBad] = useState('');
    const send: Send = async (op, fields, done) => {
        const answer = await edits.send(op, fields);
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') done?.();
    };
    const count = safety.length + jumpers.length;
    return (
        <section aria-label={say('survey.found-in-place')} className="border-t border-hair px-5 py-1">
            <details open={count > 0}>
                <summary className="flex min-h-12 cursor-pointer items-center justify-between gap-3">
                    <h2 className="h-sec">{say('survey.float-switches-and-jumpers-in-place')}</h2>
                    <span className="text-small text-muted">
                        {count === 0 ? say('survey.none-entered') : say('survey.entered', { safety: count })}
                    </span>
                </summary>
                <ul>
                    <Switches safety={safety} send={closed ? null : send} />
                    <Jumpers jumpers={jumpers} places={places} send={closed ? null : send} />
                </ul>
                {!closed && (
                    <div className="mt-2 grid gap-3 sm:grid-cols-2">
                        <AddSwitch safety={safety} places={places} screws={screws} send={send} />
                        <AddJumper jumpers={jumpers} places={places} send={send} />
                    </div>
                )}
                <Bad>{bad}</Bad>
            </details>
        </section>
    );
}

function Switches({ safety, send }: { safety: SafetyDevice[]; send: Send | null }) {
    return safety.map(({ id, relay, label: device, ...it }) => {
        const breaks = list(it.breaks);
        return (
            <li key={id} className="flex min-h-11 items-center justify-between border-t border-hair">
                <span>
                    {relay
                        ? rich('survey.in-by-a-relay', { device, breaks, b: bold })
                        : rich('survey.in', { device, breaks, b: bold })}
                </span>
                {send && (
                    <button
                        className="link"
                        aria-label={say('survey.remove-in', { device, breaks })}
                        onClick={() => void send('safety', { safety: safety.filter((other) => other.id !== id) })}
                    >
                        {say('survey.remove')}
                    </button>
                )}
            </li>
        );
    });
}

function Jumpers({ jumpers, places, send }: { jumpers: JumperView[]; places: PlaceView[]; send: Send | null }) {
    return jumpers.map((jumper, index) => (
        <li key={index} className="flex min-h-11 items-center justify-between border-t border-hair">
            <span>
                {say('survey.jumper')}{' '}
                <b>
                    {jumper.a}–{jumper.b}
                </b>{' '}
                {jumper.place === 'wall'
                    ? say('survey.on-the-plate')
                    : say('survey.at-the-place', { place: calledIn(places, jumper.place) })}
            </span>
            {send && (
                <button
                    className="link"
                    aria-label={say('survey.remove-jumper', { a: jumper.a, b: jumper.b })}
                    onClick={() => void send('jumpers', { jumpers: jumpers.filter((_, other) => other !== index) })}
                >
                    {say('survey.remove')}
                </button>
            )}
        </li>
    ));
}
