import { clsx } from 'clsx';
import { useEffect, useRef, useState } from 'react';
import { post } from '@/lib/write/api';
import type { Edits } from '@/lib/write/edits';
import { useDraft } from '@/lib/drafts';
import { useKeys } from '@/lib/hooks';
import { url } from '@/lib/url';
import type { CableView, EntryPreview, SurveyProps } from '@/types';
import { complete } from './complete';
import { EndTag, Swatch } from '@/ui/Tag';
import { Bad, State } from '@/ui/State';
import { said } from '@/lib/write/api';
import { keyed } from '@/ui/marks';
import { rich, say } from '@/words';

/** One line for one conductor: typed, understood at once, kept with Enter. Up recalls the last line. */
export function EntryLine({
    jobId,
    cables,
    cable,
    screws,
    offered,
    onCable,
    edits,
    changing,
    onDone,
    onPaste,
}: {
    screws: SurveyProps['screws'];
    offered: SurveyProps['entry'];
    onPaste: (lines: string[]) => void;
    jobId: string;
    cables: CableView[];
    cable: CableView;
    onCable: (id: string) => void;
    edits: Edits;
    changing: { number: number; line: string } | null;
    onDone: () => void;
}) {
    const bare = changing?.line ?? '';
    const [line, setLine] = useDraft(`${jobId}/entry/${changing ? `${cable.id}${changing.number}` : 'new'}`, bare);
    const [lastLine, setLastLine] = useState('');
    const [preview, setPreview] = useState<{ line: string; entry: EntryPreview } | null>(null);
    const [tried, setTried] = useState(false);
    // Why the line in the field was not kept: said here, once.
    const [problem, setProblem] = useState<string | null>(null);
    const [sending, setSending] = useState<string[]>([]);
    const [refused, setRefused] = useDraft<{ line: string; why: string }[]>(`${jobId}/entry/refused`, []);
    const field = useRef<HTMLInputElement>(null);
    useKeys({ n: () => field.current?.focus() });

    useEffect(() => {
        let current = true;
        const timer = setTimeout(async () => {
            if (line.trim() === '') return;
            const answer = await post<EntryPreview>(url('job.entry-preview', { job: jobId }), {
                cable: cable.id,
                line,
            });
            if (current && answer.kind === 'ok') setPreview({ line, entry: answer.data });
        }, 90);
        return () => {
            current = false;
            clearTimeout(timer);
        };
    }, [jobId, cable.id, line]);

    // The field is free at once: what is typed while a line is on its way is the next line. One that is refused comes
    // back into the field if that is empty, else it waits beside it.
    const keep = async () => {
        const mine = line.trim();
        if (mine === '') return;
        setLine(bare);
        setTried(false);
        setSending((now) => [...now, mine]);
        const answer = changing
            ? await edits.send('change-conductor', { cable: cable.id, number: changing.number, line: mine })
            : await edits.send('add-conductor', { cable: cable.id, line: mine });
        setSending((now) => now.filter((_, index) => index !== now.indexOf(mine)));
        if (answer.kind !== 'ok') edits.clear();
        if (answer.kind === 'ok') {
            setLastLine(mine);
            setProblem(null);
            onDone();
        } else if (field.current?.value === bare) {
            setLine(mine);
            setTried(true);
            setProblem(said(answer));
        } else {
            setRefused((now) => [...now, { line: mine, why: said(answer) }]);
        }
        field.current?.focus();
    };

    const words = complete(line, cable, screws, offered);
    const take = (next: string) => {
        setLine(next);
        setTried(false);
        setProblem(null);
        field.current?.focus();
    };
    const entry = line.trim() === '' ? undefined : preview?.entry;
    const next =
        changing?.number ??
        entry?.number ??
        cable.conductors.reduce((most, conductor) => Math.max(most, conductor.number), 0) + 1;
    const shown =
        tried && problem !== null
            ? problem
            : entry?.problems
                  .filter((problem) => problem.value !== '' || tried)
                  .map((problem) => problem.message)
                  .join(' ');

    return (
        <form
            className="band px-5 pb-3 pt-2"
            onSubmit={(event) => {
                event.preventDefault();
                void keep();
            }}
        >
            <div className="flex flex-wrap items-center justify-between gap-x-6">
                <label className="lab" htmlFor="entry">
                    {changing
                        ? say('survey.change-conductor', { number: changing.number })
                        : say('survey.type-a-conductor')}
                    <span className="max-md:hidden">
                        {cable.from === 'wall'
                            ? rich('survey.color-wall-board-then-traced-color', { k: keyed })
                            : rich('survey.color-board-outdoor-then-traced-color', { k: keyed })}
                    </span>
                </label>
                <div role="group" aria-label={say('survey.cable')} className="flex">
                    {cables.map((item) => (
                        <button
                            key={item.id}
                            type="button"
                            aria-pressed={item.id === cable.id}
                            className={clsx(
                                'min-h-11 px-3 font-lab text-small font-semibold text-muted aria-pressed:text-ink',
                                'aria-pressed:shadow-[inset_0_-3px_0_var(--copper)]',
                            )}
                            onClick={() => onCable(item.id)}
                        >
                            {say('survey.cable-with', {
                                id: item.id,
                                to: item.toLabel,
                                count: item.conductors.length,
                            })}
                        </button>
                    ))}
                </div>
            </div>
            <div
                className={clsx(
                    'mt-1 grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3.5 gap-y-1.5',
                    'md:grid-cols-[230px_1fr_auto]',
                )}
            >
                <input
                    id="entry"
                    ref={field}
                    autoFocus={changing !== null}
                    className="mono h-14 w-full bg-bone px-3.5 text-title md:text-figure font-medium tracking-tight"
                    style={{ borderBottom: `3px solid var(${shown ? '--fault' : '--copper'})` }}
                    placeholder={cable.from === 'wall' ? say('survey.red-r-r') : say('survey.red-y-y-seen')}
                    autoComplete="off"
                    autoCapitalize="off"
                    spellCheck={false}
                    maxLength={120}
                    value={line}
                    aria-invalid={!!shown}
                    aria-describedby="entry-bad"
                    onChange={(event) => {
                        setLine(event.target.value);
                        setTried(false);
                        setProblem(null);
                    }}
                    onPaste={(event) => {
                        const lines = event.clipboardData
                            .getData('text')
                            .split(/\r?\n/)
                            .map((text) => text.trim())
                            .filter((text) => text !== '');
                        if (lines.length < 2) return;
                        event.preventDefault();
                        onPaste(lines);
                    }}
                    onKeyDown={(event) => {
                        const first = words[0];
                        if (event.key === 'Tab' && !event.shiftKey && line !== '' && first && first.line !== line) {
                            event.preventDefault();
                            take(first.line);
                        }
                        if (event.key === 'ArrowUp' && line === '') setLine(lastLine);
                        if (event.key === 'Escape') {
                            setLine(bare);
                            onDone();
                            event.currentTarget.blur();
                        }
                    }}
                />
                <div
                    className={clsx(
                        'order-last col-span-2 flex min-h-11 flex-wrap items-center gap-2.5 md:order-none',
                        'md:col-span-1 md:min-h-8',
                    )}
                    aria-live="polite"
                    data-testid="understood"
                >
                    {line !== '' && entry && (
                        <>
                            <b className="font-lab text-title">{next}</b>
                            {entry.colour && (
                                <>
                                    <Swatch colour={entry.colour} stripe={entry.stripe} /> {entry.colourWord}
                                    {entry.stripe && `/${entry.stripe}`}
                                </>
                            )}
                            {entry.near && (
                                <EndTag end={entry.near} side={cable.from === 'wall' ? 'wall' : 'equipment'} />
                            )}
                            {(entry.near ?? entry.far) && <span className="text-muted">{say('survey.to')}</span>}
                            {entry.far && <EndTag end={entry.far} side="equipment" />}
                            {entry.condition.length > 0 && (
                                <span className="text-small text-caution-ink">{entry.condition.join(', ')}</span>
                            )}
                            {entry.loopOhms !== null && (
                                <span className="mono text-small">
                                    {say('survey.ohms', { loopOhms: entry.loopOhms })}
                                </span>
                            )}
                            {entry.complete && (
                                <State
                                    glyph={entry.evidence.proof ? 'traced' : 'guess'}
                                    tone={entry.evidence.proof ? 'verd' : 'caution'}
                                >
                                    {entry.evidence.label}
                                </State>
                            )}
                        </>
                    )}
                </div>
                <button className={`btn ${entry?.complete && line !== '' ? 'btn--go' : 'btn--off'}`} type="submit">
                    {changing ? say('survey.change') : say('survey.add')}{' '}
                    <span className="key max-md:hidden!">{say('survey.enter')}</span>
                </button>
            </div>
            <div
                role="group"
                aria-label={say('survey.next-word')}
                className="mt-2 flex gap-1.5 overflow-x-auto pb-1 md:flex-wrap"
            >
                {words.slice(0, 17).map((item, index) => (
                    <button
                        key={item.word}
                        type="button"
                        tabIndex={-1}
                        className="chip"
                        onClick={() => take(item.line)}
                    >
                        {item.colour && (
                            <span
                                className="size-3 border border-ink"
                                style={{ background: `var(--ins-${item.colour})` }}
                            />
                        )}
                        {item.word}
                        {index === 0 && line !== '' && (
                            <span aria-hidden="true" className="key max-md:hidden!">
                                {say('survey.tab')}
                            </span>
                        )}
                    </button>
                ))}
            </div>
            <div className="mt-1.5 min-h-5">
                <Bad id="entry-bad">{line !== '' || tried ? shown : null}</Bad>
                {sending.length > 0 && (
                    <p role="status" className="text-small text-muted">
                        {say('survey.keeping', { sending: sending.join(say('survey.then')) })}
                    </p>
                )}
                {refused.map((entry, index) => (
                    <p
                        key={index}
                        role="alert"
                        className={clsx(
                            'flex flex-wrap items-center gap-x-3 border-l-[6px] border-fault bg-fault-wash px-2',
                            'text-small',
                        )}
                    >
                        <b className="mono font-medium">{entry.line}</b>{' '}
                        {say('survey.was-not-kept', { why: entry.why })}
                        <button
                            type="button"
                            className="link"
                            onClick={() => {
                                setRefused((now) => now.filter((other) => other !== entry));
                                take(entry.line);
                            }}
                        >
                            {say('survey.take-it-back-into-the-line')}
                        </button>
                    </p>
                ))}
            </div>
        </form>
    );
}
