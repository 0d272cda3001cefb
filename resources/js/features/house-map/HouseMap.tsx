import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/write/api';
import { useDraft } from '@/lib/drafts';
import type { Edits } from '@/lib/write/edits';
import type { CableView, HouseMapView, PlaceView, SurveyProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';
import { HouseDrawing } from './Map';

type Open = { what: 'place'; place: string } | { what: 'add-place' } | { what: 'add-cable' | 'add-supply' } | null;

/** The places of the house, their supplies and the cables between them; each added by a line or a tap. */
export function HouseMap({
    map,
    cables,
    cable,
    onCable,
    onGone,
    edits,
    closed,
}: {
    map: HouseMapView;
    cables: CableView[];
    cable: CableView | undefined;
    onCable: (id: string) => void;
    /** Something was taken out: it can be undone. */
    onGone: (what: string, version: number) => void;
    edits: Edits;
    closed: boolean;
}) {
    const [open, setOpen] = useState<Open>(null);
    const [bad, setBad] = useState('');
    const send = async (op: string, fields: object, gone = '') => {
        const answer = await edits.send(op, fields);
        setBad(answer.kind === 'ok' ? '' : said(answer));
        edits.clear();
        if (answer.kind !== 'ok') return;
        setOpen(null);
        if (gone !== '') onGone(gone, answer.data.version);
    };
    const toggle = (next: Open) => {
        setBad('');
        setOpen((now) => (JSON.stringify(now) === JSON.stringify(next) ? null : next));
    };
    const place = open?.what === 'place' ? map.places.find((item) => item.place === open.place) : undefined;
    return (
        <section aria-label={say('map.house')} className="border-b-2 border-ink bg-panel">
            <HouseDrawing
                map={map}
                cables={cables}
                cable={cable?.id ?? null}
                place={place?.place ?? null}
                onCable={onCable}
                onPlace={(id) => toggle({ what: 'place', place: id })}
            />
            <PlaceList
                map={map}
                cables={cables.length}
                open={place?.place}
                onPlace={(id) => toggle({ what: 'place', place: id })}
            />
            <div className="flex flex-wrap items-center gap-x-5 border-t border-hair px-5">
                {cable && (
                    <span className="flex min-h-11 items-center gap-2 text-small">
                        <b className="grid h-6 w-6 place-items-center bg-copper font-lab text-on-copper">{cable.id}</b>
                        {say('map.from-to', { from: cable.fromLabel, to: cable.toLabel, label: cable.label })}{' '}
                        {cable.conductors.length > 0 && (
                            <State
                                glyph={cable.proved === cable.conductors.length ? 'traced' : 'guess'}
                                tone={cable.proved === cable.conductors.length ? 'verd' : 'caution'}
                            >
                                {say('map.traced', { proved: cable.proved, all: cable.conductors.length })}
                            </State>
                        )}
                    </span>
                )}
                {!closed && (
                    <span className="ml-auto flex flex-wrap gap-x-5 max-sm:ml-0">
                        {cables.length > 1 && cable && (
                            <button
                                className="link"
                                onClick={() =>
                                    void send(
                                        'remove-cable',
                                        { cable: cable.id },
                                        say('map.cable-is-out', { id: cable.id }),
                                    )
                                }
                            >
                                {say('map.take-out-cable', { id: cable.id })}
                            </button>
                        )}
                        <button
                            className="link flex items-center gap-1.5"
                            aria-expanded={open?.what === 'add-cable'}
                            onClick={() => toggle({ what: 'add-cable' })}
                        >
                            <Glyph name="plus" size={13} /> {say('map.add-a-cable')}
                        </button>
                        <button
                            className="link flex items-center gap-1.5"
                            aria-expanded={open?.what === 'add-supply'}
                            onClick={() => toggle({ what: 'add-supply' })}
                        >
                            <Glyph name="plus" size={13} /> {say('map.add-a-supply')}
                        </button>
                        <button
                            className="link flex items-center gap-1.5"
                            aria-expanded={open?.what === 'add-place'}
                            onClick={() => toggle({ what: 'add-place' })}
                        >
                            <Glyph name="plus" size={13} /> {say('map.add-a-place')}
                        </button>
                    </span>
                )}
            </div>
            {place && (
                <PlaceForm
                    key={place.place}
                    place={place}
                    closed={closed}
                    onSend={(op, fields, gone) => void send(op, fields, gone)}
                />
            )}
            {open?.what === 'add-cable' && (
                <LineForm
                    key="cable"
                    label={say('map.a-cable-in-one-line')}
                    example={say('map.cable-example')}
                    onSend={(line) => void send('add-cable', { line })}
                />
            )}
            {open?.what === 'add-supply' && (
                <LineForm
                    key="supply"
                    label={say('map.a-supply-in-one-line')}
                    example={say('map.supply-example')}
                    onSend={(line) => void send('add-supply', { line })}
                />
            )}
            {open?.what === 'add-place' && (
                <NewPlace addable={map.addable} onSend={(fields) => void send('add-place', fields)} />
            )}
            {bad !== '' && (
                <div className="px-5 pb-2">
                    <Bad>{bad}</Bad>
                </div>
            )}
        </section>
    );
}

/** On a phone the places are a list. */
function PlaceList({
    map,
    cables,
    open,
    onPlace,
}: {
    map: HouseMapView;
    cables: number;
    open: string | undefined;
    onPlace: (place: string) => void;
}) {
    return (
        <details className="px-5 sm:hidden">
            <summary className="flex min-h-12 cursor-pointer items-center justify-between font-lab font-semibold">
                {say('map.house')}
                <span className="text-small text-muted">
                    {say('map.so-many', { places: map.places.length, cables })}
                </span>
            </summary>
            <ul>
                {map.places.map((item) => (
                    <li key={item.place} className="border-b border-hair">
                        <button
                            className="flex min-h-12 w-full items-center justify-between gap-3 text-left"
                            aria-expanded={open === item.place}
                            onClick={() => onPlace(item.place)}
                        >
                            <b className="font-lab">{item.name === '' ? item.label : item.name}</b>
                            <span className="text-right text-small text-muted">{item.units.join(', ')}</span>
                        </button>
                    </li>
                ))}
            </ul>
        </details>
    );
}

const field = 'h-11 min-w-0 border-b-2 border-rule bg-bone px-3';

function PlaceForm({
    place,
    closed,
    onSend,
}: {
    place: PlaceView;
    closed: boolean;
    onSend: (op: string, fields: object, gone?: string) => void;
}) {
    const { job } = usePage<SurveyProps>().props;
    const [name, setName] = useDraft(`${job.id}/place/${place.place}`, place.name);
    return (
        <form
            className="flex flex-wrap items-center gap-3 border-t border-hair px-5 py-2"
            onSubmit={(event) => {
                event.preventDefault();
                onSend('name-place', { place: place.place, name });
            }}
        >
            <label className="flex items-center gap-2">
                <span className="lab">{say('map.is-called', { label: place.label })}</span>
                <input
                    className={field}
                    maxLength={40}
                    disabled={closed}
                    value={name}
                    placeholder={place.label}
                    onChange={(event) => setName(event.target.value)}
                />
            </label>
            {!closed && <button className="btn btn--small">{say('map.keep-name')}</button>}
            <span className="text-small text-muted">{[...place.units, ...place.supplies].join(' · ')}</span>
            {place.removable && !closed && (
                <button
                    type="button"
                    className="link ml-auto"
                    onClick={() =>
                        onSend('remove-place', { place: place.place }, say('map.place-is-out', { label: place.label }))
                    }
                >
                    {say('map.take-out-place')}
                </button>
            )}
        </form>
    );
}

function LineForm({ label, example, onSend }: { label: string; example: string; onSend: (line: string) => void }) {
    const [line, setLine] = useState('');
    return (
        <form
            className="border-t border-hair px-5 py-2"
            onSubmit={(event) => {
                event.preventDefault();
                onSend(line);
            }}
        >
            <label className="lab" htmlFor="map-line">
                {label}
            </label>
            <div className="mt-1 flex gap-3">
                <input
                    id="map-line"
                    autoFocus
                    className={`mono flex-1 ${field}`}
                    autoComplete="off"
                    autoCapitalize="off"
                    spellCheck={false}
                    maxLength={120}
                    value={line}
                    placeholder={example}
                    onChange={(event) => setLine(event.target.value)}
                />
                <button className="btn btn--small" disabled={line.trim() === ''}>
                    {say('map.add')}
                </button>
            </div>
        </form>
    );
}

function NewPlace({ addable, onSend }: { addable: HouseMapView['addable']; onSend: (fields: object) => void }) {
    const [place, setPlace] = useState(addable[0]?.place ?? '');
    const units = addable.find((item) => item.place === place)?.units ?? [];
    const [unit, setUnit] = useState('');
    const [name, setName] = useState('');
    return (
        <form
            className="flex flex-wrap items-center gap-3 border-t border-hair px-5 py-2"
            onSubmit={(event) => {
                event.preventDefault();
                onSend({ place, name, unit: units.some((item) => item.id === unit) ? unit : null });
            }}
        >
            <select
                aria-label={say('map.what-place')}
                className="pick"
                value={place}
                onChange={(event) => {
                    setPlace(event.target.value);
                    setUnit('');
                }}
            >
                {addable.map((item) => (
                    <option key={item.place} value={item.place}>
                        {item.label}
                    </option>
                ))}
            </select>
            <select
                aria-label={say('map.what-stands-there')}
                className="pick"
                value={unit}
                onChange={(event) => setUnit(event.target.value)}
            >
                <option value="">{say('map.nothing-known-yet')}</option>
                {units.map((item) => (
                    <option key={item.id} value={item.id}>
                        {item.title}
                    </option>
                ))}
            </select>
            <input
                aria-label={say('map.what-it-is-called')}
                className={field}
                maxLength={40}
                value={name}
                placeholder={say('map.place-example')}
                onChange={(event) => setName(event.target.value)}
            />
            <button className="btn btn--small" disabled={place === ''}>
                {say('map.add')}
            </button>
        </form>
    );
}
