import { useEffect, useState } from 'react';
import { post, said } from '@/lib/write/api';
import type { Edits } from '@/lib/write/edits';
import { url } from '@/lib/url';
import type { CableView, IdentifyView } from '@/types';
import { Bad, State } from '@/ui/State';
import { list, say } from '@/words';
import { Answers } from './Answers';

interface Kept {
    step: number;
    helper: boolean;
    touchingNear: string[][];
    touchingFar: string[][];
    found: string[][];
    answered: string[][];
    silent: string[];
    mute: string[];
}
const NEW: Kept = {
    step: 0,
    helper: false,
    touchingNear: [],
    touchingFar: [],
    found: [],
    answered: [],
    silent: [],
    mute: [],
};

/** Where this device left off; from the beginning where what it kept cannot be read. */
function remembered(place: string): Kept {
    try {
        return { ...NEW, ...(JSON.parse(localStorage.getItem(place) ?? '{}') as Partial<Kept>) };
    } catch {
        return NEW;
    }
}

/**
 * Which end is which: what to twist and what to measure, in the fewest trips. Where it stands is kept on this device,
 * so that a phone that slept in a pocket goes on where it was.
 */
export function WhichIsWhich({ jobId, cable, edits }: { jobId: string; cable: CableView; edits: Edits }) {
    const place = `identify.${jobId}.${cable.id}`;
    const [state, setState] = useState<Kept>(() => remembered(place));
    const [answer, setAnswer] = useState<{ asked: string; view: IdentifyView } | null>(null);
    const [bad, setBad] = useState('');
    const [open, setOpen] = useState(state.step > 0);
    const unproved = cable.conductors.filter((row) => !row.evidence.proof).length;
    const put = (more: Partial<Kept>) => {
        const next = { ...state, ...more };
        localStorage.setItem(place, JSON.stringify(next));
        setState(next);
    };
    const { found, answered, touchingNear, touchingFar, step } = state;
    const signature = cable.conductors.map((row) => `${row.number}${row.evidence.value}`).join();
    // What is to be twisted belongs to what was read: an older answer tells nobody to twist anything.
    const asked = JSON.stringify([touchingNear, touchingFar, step >= 3 && found, step >= 4 && answered, signature]);
    const view = answer?.view ?? null;
    useEffect(() => {
        if (!open) return;
        let current = true;
        void post<IdentifyView>(url('job.identify', { job: jobId }), {
            cable: cable.id,
            touchingNear,
            touchingFar,
            ...(step >= 3 ? { found } : {}),
            ...(step >= 4 ? { answered } : {}),
        }).then((answer) => {
            if (!current) return;
            if (answer.kind === 'ok') setAnswer({ asked, view: answer.data });
            setBad(answer.kind === 'ok' ? '' : said(answer));
        });
        return () => {
            current = false;
        };
    }, [jobId, cable.id, step, found, answered, touchingNear, touchingFar, asked, open]);
    if (unproved === 0) return null;
    const over = () => {
        localStorage.removeItem(place);
        setState(NEW);
    };
    const keep = async () => {
        const { silent, mute } = state;
        const answer = await edits.send('identified', {
            cable: cable.id,
            touchingNear,
            touchingFar,
            found,
            answered,
            silent,
            mute,
        });
        if (answer.kind === 'ok') over();
        else setBad(said(answer));
    };
    return (
        <section aria-label={say('identify.which-is-which')} className="border-t border-hair px-5 py-1">
            <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
                <summary className="flex min-h-12 cursor-pointer items-center justify-between gap-3">
                    <h2 className="h-sec">{say('identify.which-is-which')}</h2>
                    <span className="text-small text-muted">{say('identify.not-proved', { unproved })}</span>
                </summary>
                <Bad>{bad}</Bad>
                {view === null ? (
                    <p role="status" className="pb-3 text-muted">
                        {say('identify.working-it-out')}
                    </p>
                ) : (
                    <div className="pb-4">
                        <Steps
                            view={view}
                            fresh={answer?.asked === asked}
                            state={state}
                            cable={cable}
                            put={put}
                            onOver={over}
                            onKeep={keep}
                        />
                    </div>
                )}
            </details>
        </section>
    );
}

function Steps({
    view,
    fresh,
    state,
    cable,
    put,
    onOver,
    onKeep,
}: {
    view: IdentifyView;
    /** It answers what is kept now, not what was before the last tap. */
    fresh: boolean;
    state: Kept;
    cable: CableView;
    put: (more: Partial<Kept>) => void;
    onOver: () => void;
    onKeep: () => Promise<void>;
}) {
    const near = Object.fromEntries(view.ends.map((end) => [end.id, end.near]));
    const far = Object.fromEntries(view.ends.map((end) => [end.id, end.far]));
    const waiting = (
        <p role="status" className="py-2 text-muted">
            {say('identify.working-it-out')}
        </p>
    );
    const twisted = (groups: string[][], names: Record<string, string>) => (
        <ul className="my-2 grid gap-1.5">
            {groups.map((group) => (
                <li key={group.join()} className="flex flex-wrap gap-x-2 border-l-4 border-copper bg-panel px-3 py-2">
                    {group.map((id, index) => (
                        <b key={id} className="font-lab text-lead font-semibold">
                            {index > 0 && <span className="text-muted"> + </span>}
                            {names[id] ?? id}
                        </b>
                    ))}
                </li>
            ))}
        </ul>
    );
    const next = (word: string, more: Partial<Kept>) => (
        <button type="button" className="btn mt-3" onClick={() => put(more)}>
            {word}
        </button>
    );
    // With known ones for the other side there is no second twist.
    const last = view.kind === 'known' ? 4 : 5;
    const there = state.helper ? say('identify.they-do', { place: cable.toLabel }) : cable.toLabel;
    if (view.kind === 'none') return <p>{say('identify.two-alone')}</p>;
    return (
        <>
            <p className="mb-1 text-small text-muted">
                {say('identify.step-of', { step: Math.min(state.step + 1, last), of: last })}
                {state.step > 0 && (
                    <button type="button" className="link ml-4" onClick={onOver}>
                        {say('identify.begin-again')}
                    </button>
                )}
            </p>
            {state.step === 0 && (
                <>
                    <p>{say('identify.isolate-and-lift', { from: cable.fromLabel, to: cable.toLabel })}</p>
                    <p className="text-small text-muted">
                        {state.helper ? say('identify.no-trip') : say('identify.trips', { trips: view.trips })}
                    </p>
                    <label className="flex min-h-11 items-center gap-2">
                        <input
                            type="checkbox"
                            className="h-6 w-6 accent-[var(--copper)]"
                            checked={state.helper}
                            onChange={(event) => put({ helper: event.target.checked })}
                        />
                        {say('identify.somebody-there', { place: cable.toLabel })}
                    </label>
                    {next(say('identify.all-lifted'), { step: 1 })}
                </>
            )}
            {state.step === 1 && (
                <>
                    <h3 className="font-lab text-lead font-semibold">{there}</h3>
                    <p>{say('identify.all-apart')}</p>
                    <Answers
                        ends={view.ends.map((end) => ({ id: end.id, name: end.far }))}
                        groups={state.touchingFar}
                        onGroups={(touchingFar) => put({ touchingFar })}
                    />
                    {state.touchingFar.length > 0 && (
                        <>
                            <h3 className="mt-3 font-lab text-lead font-semibold">{cable.fromLabel}</h3>
                            <p>{say('identify.the-same-at-the-wall')}</p>
                            <Answers
                                ends={view.ends.map((end) => ({ id: end.id, name: end.near }))}
                                groups={state.touchingNear}
                                onGroups={(touchingNear) => put({ touchingNear })}
                            />
                            <h3 className="mt-3 font-lab text-lead font-semibold">{there}</h3>
                        </>
                    )}
                    <p className="mt-3">{say('identify.then-twist')}</p>
                    {fresh ? twisted(view.far, far) : waiting}
                    {fresh && state.touchingFar.flat().length === state.touchingNear.flat().length
                        ? next(say('identify.twisted'), { step: 2 })
                        : fresh && say('identify.as-many-at-both-ends')}
                </>
            )}
            {state.step === 2 && (
                <>
                    <h3 className="font-lab text-lead font-semibold">{cable.fromLabel}</h3>
                    <p>{say('identify.which-answer')}</p>
                    <Answers
                        ends={view.ends.map((end) => ({ id: end.id, name: end.near }))}
                        groups={state.found}
                        onGroups={(found) => put({ found })}
                    />
                    {next(say('identify.that-is-all'), { step: view.kind === 'known' ? 4 : 3, answered: [] })}
                </>
            )}
            {state.step === 3 && (
                <>
                    <h3 className="font-lab text-lead font-semibold">{cable.fromLabel}</h3>
                    <p>{say('identify.now-twist-here')}</p>
                    {fresh ? twisted(view.near, near) : waiting}
                    <h3 className="mt-3 font-lab text-lead font-semibold">{there}</h3>
                    <p>{say('identify.undo-and-read')}</p>
                    <Answers
                        ends={view.ends.map((end) => ({ id: end.id, name: end.far }))}
                        groups={state.answered}
                        onGroups={(answered) => put({ answered })}
                    />
                    {next(say('identify.that-is-all'), { step: 4 })}
                </>
            )}
            {state.step === 4 && !fresh && waiting}
            {state.step === 4 && fresh && view.read && (
                <Result view={view} near={near} far={far} said={state} onSaid={put} onKeep={onKeep} />
            )}
        </>
    );
}

const ANSWERS = [
    { key: 'silent', word: say('identify.it-answers') },
    { key: 'mute', word: say('identify.it-does-not') },
] as const;

/** What the readings prove; the ends that never had to answer are read once more on the way back. */
function Result({
    view,
    near,
    far,
    said,
    onSaid,
    onKeep,
}: {
    view: IdentifyView;
    near: Record<string, string>;
    far: Record<string, string>;
    said: Pick<Kept, 'silent' | 'mute'>;
    onSaid: (said: Pick<Kept, 'silent' | 'mute'>) => void;
    onKeep: () => Promise<void>;
}) {
    const read = view.read;
    if (!read) return null;
    if (read.contradicts)
        return (
            <State glyph="fault" tone="fault">
                {say('identify.contradicts')}
            </State>
        );
    const other = read.whole[0];
    return (
        <>
            <table className="w-full text-left" aria-label={say('identify.what-it-shows')}>
                <tbody>
                    {Object.entries(read.pairs).map(([id, to]) => (
                        <tr key={id} className="border-b border-hair">
                            <th className="py-2 pr-3 font-lab font-semibold">{near[id]}</th>
                            <td className="py-2 pr-3">{far[to]}</td>
                            <td className="py-2">
                                {read.whole.includes(id) || said.silent.includes(id) ? (
                                    <State glyph="pass" tone="verd">
                                        {say('identify.traced')}
                                    </State>
                                ) : (
                                    <State glyph="caution" tone="caution">
                                        {say('identify.by-what-is-left')}
                                    </State>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {read.broken.map((id) => (
                <State key={id} glyph="fault" tone="fault">
                    {say('identify.broken', { end: near[id] ?? id })}
                </State>
            ))}
            {read.open.length > 0 && (
                <p className="text-caution-ink">
                    {say('identify.still-open', { ends: list(read.open.map((id) => near[id] ?? id)) })}
                </p>
            )}
            {read.silent.map((id) => (
                <div key={id} className="border-t border-hair py-2">
                    <p>
                        {say('identify.read-on-the-way-back', {
                            far: far[read.pairs[id] ?? ''] ?? '',
                            with: far[read.pairs[other ?? ''] ?? ''] ?? '',
                            near: near[id] ?? id,
                            other: near[other ?? ''] ?? '',
                        })}
                    </p>
                    <div className="mt-1 flex gap-1.5" role="radiogroup" aria-label={near[id] ?? id}>
                        {ANSWERS.map(({ key, word }) => (
                            <button
                                key={key}
                                type="button"
                                role="radio"
                                aria-checked={said[key].includes(id)}
                                className="chip min-h-11"
                                onClick={() =>
                                    onSaid({
                                        silent: said.silent.filter((kept) => kept !== id),
                                        mute: said.mute.filter((kept) => kept !== id),
                                        [key]: [...said[key].filter((kept) => kept !== id), id],
                                    })
                                }
                            >
                                {word}
                            </button>
                        ))}
                    </div>
                </div>
            ))}
            <button type="button" className="btn mt-3" onClick={() => void onKeep()}>
                {say('identify.keep-as-evidence')}
            </button>
        </>
    );
}
