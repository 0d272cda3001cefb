import { useState } from 'react';
import { post, said } from '@/lib/write/api';
import { figure } from '@/lib/format';
import { faultPlace } from '@/lib/names';
import { url } from '@/lib/url';
import type { FaultsByPlace, Tells as Answer } from '@/types';
import { Unit } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import type { Asked } from '../state/useExpectation';
import { say } from '@/words';

const perPlace = 2;

/** More faults than this in one reading are counted, not named. */
const mostNamed = 8;

/**
 * What these two points would read with each single fault: what this reading can tell apart, and what it cannot,
 * before it is taken.
 */
export function Tells(asked: Asked) {
    const [answer, setAnswer] = useState<Answer | null>(null);
    const [bad, setBad] = useState('');
    const [working, setWorking] = useState(false);
    const ask = async () => {
        const { jobId, ...body } = asked;
        setWorking(true);
        const result = await post<Answer>(url('job.tells', { job: jobId }), body);
        setWorking(false);
        setBad(result.kind === 'ok' ? '' : said(result));
        if (result.kind === 'ok') setAnswer(result.data);
    };
    if (!answer) {
        return (
            <>
                <button className="link" onClick={() => void ask()} disabled={working}>
                    {working ? say('meter.putting-every-single-fault-in') : say('meter.what-would-this-tell')}
                </button>
                <Bad>{bad}</Bad>
            </>
        );
    }
    const empty = (places: FaultsByPlace) => Object.keys(places).length === 0;
    const groups = answer.groups
        .filter((group) => !empty(group.places))
        .sort((one, other) => Number(one.expected) - Number(other.expected));
    return (
        <div
            data-testid="tells"
            role="group"
            aria-label={say('meter.what-this-reading-would-tell')}
            tabIndex={0}
            className="mt-1 max-h-52 overflow-y-auto border-t border-hair pt-1 text-small"
        >
            <b className="font-lab font-semibold">
                {answer.suspects === null
                    ? say('meter.with-one-fault-in-the-house')
                    : say('meter.of-the-faults-still-in-question', { suspects: answer.suspects })}
            </b>
            <ul>
                {groups.map((group, index) => (
                    <li key={index} className="border-b border-hair py-1">
                        <span className="mono">
                            {group.value === null ? say('meter.nothing') : `${figure(group.value, asked.mode)} `}
                            {group.value !== null && <Unit unit={answer.unit} size={12} />}
                        </span>
                        {group.expected && (
                            <span className="text-caution-ink"> {say('meter.as-expected-so-it-cannot-tell')}</span>
                        )}
                        : <Places places={group.places} most={mostNamed} />
                    </li>
                ))}
            </ul>
            {groups.length === 0 && <p>{say('meter.nothing-in-question-would-change-it')}</p>}
            {groups.length === 1 && groups[0]?.expected && (
                <p className="font-semibold">{say('meter.this-reading-tells-nothing-here-take')}</p>
            )}
        </div>
    );
}

/**
 * Faults by the place where they are, two of each named and the others counted; where there are too many to read, all
 * are counted.
 */
export function Places({ places, most = Infinity }: { places: FaultsByPlace; most?: number }) {
    const all = Object.values(places).flat().length;
    if (all > most) {
        return (
            <>
                {Object.entries(places)
                    .map(([place, titles]) => say('meter.of', { titles: titles.length, place: faultPlace(place) }))
                    .join(', ')}
            </>
        );
    }
    return (
        <>
            {Object.entries(places).map(([place, titles], index) => (
                <span key={place}>
                    {index > 0 && '; '}
                    <b className="font-semibold">{faultPlace(place)}</b> {titles.slice(0, perPlace).join(', ')}
                    {titles.length > perPlace && say('meter.and-more', { titles: titles.length - perPlace })}
                </span>
            ))}
        </>
    );
}
