import { clsx } from 'clsx';
import { useRef, useState } from 'react';
import { newId, said, upload } from '@/lib/write/api';
import { useOnce } from '@/lib/write/once';
import { again, keep, useOutbox, type Kept } from '@/lib/write/outbox';
import { useDraft } from '@/lib/drafts';
import { reduced } from '@/lib/picture';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import { number } from '@/lib/numbers';
import type { CableView, PhotoView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { PhotoMarks } from './PhotoMarks';
import { say } from '@/words';

const places = [
    { key: 'wall', word: say('survey.wall-plate') },
    { key: 'indoor', word: say('survey.indoor-board') },
    { key: 'outdoor', word: say('survey.outdoor-terminals') },
];
const most = 10_000_000;

/** Photographs of the three places, before anything is touched; or the reason why there is none. */
export function Photos({
    jobId,
    photos,
    cables,
    closed,
}: {
    jobId: string;
    photos: PhotoView[];
    cables: CableView[];
    closed: boolean;
}) {
    const [looking, setLooking] = useState<string | null>(null);
    const shown = photos.find((photo) => photo.id === looking && photo.url !== null);
    const outdoor = cables.some((cable) => cable.to === 'outdoor');
    return (
        <section id="photos" aria-label={say('survey.photographs')} className="border-t-2 border-ink px-5 py-3">
            <h2 className="h-sec">{say('survey.photographs-before-anything-is-moved')}</h2>
            <div className="mt-2 grid gap-x-6 gap-y-4 sm:grid-cols-2">
                {places
                    .filter((place) => place.key !== 'outdoor' || outdoor)
                    .map((place) => (
                        <PlaceOf
                            key={place.key}
                            jobId={jobId}
                            place={place.key}
                            word={place.word}
                            photos={photos.filter((photo) => photo.place === place.key)}
                            closed={closed}
                            onLook={setLooking}
                        />
                    ))}
            </div>
            {shown && (
                <PhotoMarks
                    jobId={jobId}
                    photo={shown}
                    cables={cables}
                    closed={closed}
                    onClose={() => setLooking(null)}
                />
            )}
        </section>
    );
}

function PlaceOf({
    jobId,
    place,
    word,
    photos,
    closed,
    onLook,
}: {
    jobId: string;
    place: string;
    word: string;
    photos: PhotoView[];
    closed: boolean;
    onLook: (id: string) => void;
}) {
    const [bad, setBad] = useState('');
    const [working, setWorking] = useState(false);
    const waiting = useOutbox().filter(
        (row) => row.url === url('job.photos', { job: jobId }) && row.body.place === place,
    );
    const [why, setWhy] = useDraft<string | null>(`${jobId}/no-photo/${place}`, null);
    const chooser = useRef<HTMLInputElement>(null);
    const ids = useRef(new WeakMap<File, string>());
    const skip = useOnce<PhotoView>();
    const taken = photos.filter((photo) => photo.url !== null);
    const skipped = photos.find((photo) => photo.skipped !== null);

    const send = async (file: File) => {
        setWorking(true);
        const smaller = await reduced(file);
        setWorking(false);
        if (smaller.size > most)
            return setBad(
                say('survey.is-mb-a-photograph-may-have', { name: file.name, size: number(smaller.size / 1e6, 1) }),
            );
        const id = ids.current.get(file) ?? newId();
        ids.current.set(file, id);
        const form = new FormData();
        form.append('id', id);
        form.append('place', place);
        form.append('photo', smaller, file.name);
        setWorking(true);
        const answer = await upload<PhotoView>(url('job.photos', { job: jobId }), form);
        setWorking(false);
        const held =
            answer.kind === 'unsent' &&
            answer.later &&
            (await keep({
                url: url('job.photos', { job: jobId }),
                body: { id, place },
                what: say('survey.a-photograph'),
                at: Date.now(),
                knew: null,
                file: { field: 'photo', name: file.name, blob: smaller },
            }));
        setBad(answer.kind === 'ok' || held ? '' : said(answer));
        if (answer.kind === 'ok') await reload();
    };
    const without = async () => {
        const answer = await skip(url('job.photo-skips', { job: jobId }), { place, reason: why });
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') {
            setWhy(null);
            await reload();
        }
    };

    return (
        <div role="group" aria-label={word} data-place={place}>
            <div className="flex min-h-7 flex-wrap items-center justify-between gap-x-2">
                <b className="font-lab font-semibold">{word}</b>
                {taken.length > 0 ? (
                    <State glyph="pass" tone="verd">
                        {say('survey.picture-other', { taken: taken.length })}
                    </State>
                ) : skipped ? (
                    <State glyph="rest" tone="muted">
                        {say('survey.none', { skipped: skipped.skipped ?? '' })}
                    </State>
                ) : (
                    <State glyph="need" tone="copper">
                        {say('survey.asked-for')}
                    </State>
                )}
            </div>
            <Taken word={word} photos={taken} onLook={onLook} />
            {!closed && (
                <div className="mt-1.5 flex flex-wrap items-center gap-3">
                    <button
                        type="button"
                        className="btn btn--small"
                        disabled={working}
                        onClick={() => chooser.current?.click()}
                    >
                        <Glyph name="camera" />{' '}
                        {working
                            ? say('survey.sending')
                            : taken.length > 0
                              ? say('survey.another')
                              : say('survey.photograph')}
                    </button>
                    <input
                        ref={chooser}
                        className="vh"
                        type="file"
                        accept="image/jpeg,image/png,image/webp"
                        capture="environment"
                        tabIndex={-1}
                        aria-label={say('survey.photograph-of-the-2', { word: word.toLowerCase() })}
                        onChange={(event) => {
                            const file = event.target.files?.[0];
                            if (file) void send(file);
                            event.target.value = '';
                        }}
                    />
                    {taken.length === 0 && !skipped && why === null && (
                        <button type="button" className="link" onClick={() => setWhy('')}>
                            {say('survey.none-because')}
                        </button>
                    )}
                </div>
            )}
            {why !== null && <WhyNone word={word} why={why} onWhy={setWhy} onKeep={() => void without()} />}
            <Bad>{bad}</Bad>
            <Waiting rows={waiting} />
        </div>
    );
}

function Taken({ word, photos, onLook }: { word: string; photos: PhotoView[]; onLook: (id: string) => void }) {
    return (
        <div className="mt-1.5 flex flex-wrap gap-2">
            {photos.map((photo, index) => (
                <button
                    key={photo.id}
                    className="relative"
                    aria-label={say('survey.picture-marks', { word, index: index + 1, marks: photo.marks.length })}
                    onClick={() => onLook(photo.id)}
                >
                    <img src={photo.url ?? ''} alt="" className="h-24 w-32 border border-rule object-cover" />
                    {photo.marks.length > 0 && (
                        <span
                            className={clsx(
                                'absolute bottom-1 right-1 bg-ink px-1.5 font-lab text-note font-semibold',
                                'text-bone',
                            )}
                        >
                            {say('survey.marked', { marks: photo.marks.length })}
                        </span>
                    )}
                </button>
            ))}
        </div>
    );
}

/** Why there is no photograph of a place, in a person's own words. */
function WhyNone({
    word,
    why,
    onWhy,
    onKeep,
}: {
    word: string;
    why: string;
    onWhy: (why: string) => void;
    onKeep: () => void;
}) {
    return (
        <form
            className="mt-1 flex gap-2"
            onSubmit={(event) => {
                event.preventDefault();
                onKeep();
            }}
        >
            <input
                autoFocus
                aria-label={say('survey.why-no-photograph-of-the', { word: word.toLowerCase() })}
                className="h-11 min-w-0 flex-1 border-b-2 border-rule bg-panel px-2"
                maxLength={160}
                placeholder={say('survey.too-dark-camera-broken')}
                value={why}
                onChange={(event) => onWhy(event.target.value)}
            />
            <button className="btn btn--small">{say('survey.keep')}</button>
        </form>
    );
}

/** Taken, and not with the server yet: kept on this device until it is, whatever page is open. */
function Waiting({ rows }: { rows: Kept[] }) {
    return rows.map((row) => (
        <p key={row.body.id} className="mt-1 flex flex-wrap items-center gap-x-3 text-small" role="status">
            <State glyph="wait" tone="caution">
                {say('survey.kept-on-device', { name: row.file?.name ?? '' })}
            </State>
            {row.refused ?? row.waits}
            <button type="button" className="link" onClick={() => void again(row.body.id)}>
                {say('shell.send-again')}
            </button>
        </p>
    ));
}
