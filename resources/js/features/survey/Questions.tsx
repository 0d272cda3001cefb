import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { useEffect, useRef, useState, type RefObject } from 'react';
import { said, type Answer } from '@/lib/write/api';
import type { Edits } from '@/lib/write/edits';
import { useDraft } from '@/lib/drafts';
import { useKeys } from '@/lib/hooks';
import { field, sent, shown, unitOf, useUnits, written, type Entry, type Units } from '@/lib/units';
import type { AnswerValue, QuestionView, SurveyProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/**
 * What the equipment is, one question after the other. The next open one stands open; whatever was answered is a
 * line that can be opened again. Only what follows from the answers is asked. Q goes to the open one, and an answer
 * takes the focus on to the next.
 */
export function Questions({ questions, edits, closed }: { questions: QuestionView[]; edits: Edits; closed: boolean }) {
    const [opened, setOpened] = useState<string | null>(null);
    const { job, tape } = usePage<SurveyProps>().props;
    // Put off for this visit: one by one, or all the rest, what follows from later answers too.
    const [later, setLater] = useDraft<string[]>(`${job.id}/later`, []);
    const [restLater, setRestLater] = useDraft(`${job.id}/rest-later`, false);
    const unanswered = questions.filter((question) => question.value === null);
    const next = restLater ? null : (unanswered.find((question) => !later.includes(question.key))?.key ?? null);
    const shown = closed ? null : (opened ?? next);
    const group = useRef<HTMLDivElement>(null);
    const follow = useRef(false);
    useKeys({ q: () => group.current?.focus() });
    useEffect(() => {
        if (!follow.current || shown === null) return;
        follow.current = false;
        group.current?.focus();
    }, [shown]);
    const put = async (key: string, value: AnswerValue) => {
        follow.current = true;
        const answer = await edits.send('answer', { key, value });
        if (answer.kind === 'ok') setOpened(null);
        return answer;
    };
    const needed = tape.find((segment) => segment.key === 'survey');
    const sections = [...new Set(questions.map((question) => question.section))];
    return (
        <div data-testid="questions">
            <p className="mb-1 text-small text-muted">
                {unanswered.length === 0
                    ? say('survey.everything-asked-is-answered')
                    : say('survey.a-plan-needs', { facts: needed?.word ?? '' })}
            </p>
            {!closed && unanswered.length > 0 && (restLater || (next === null && later.length > 0)) && (
                <button
                    type="button"
                    className="btn btn--small mb-2"
                    onClick={() => {
                        setRestLater(false);
                        setLater([]);
                    }}
                >
                    {say('survey.go-on-answering')}
                </button>
            )}
            {sections.map((section) => {
                const mine = questions.filter((question) => question.section === section);
                const left = mine.filter((question) => question.value === null).length;
                return (
                    <details
                        key={section}
                        open={closed || mine.some((question) => question.key === shown)}
                        data-section={section}
                    >
                        <summary className="fold justify-between gap-2 border-b border-rule">
                            <h3 className="font-lab text-body font-semibold">{section}</h3>
                            <span className={`text-note ${left > 0 ? 'text-copper-ink' : 'text-verd-ink'}`}>
                                {left > 0 ? say('survey.open', { left }) : say('survey.answered')}
                            </span>
                        </summary>
                        {mine.map((question) => (
                            <div key={question.key} data-question={question.key}>
                                {shown === question.key ? (
                                    <One
                                        group={group}
                                        question={question}
                                        onPut={(value) => put(question.key, value)}
                                        onLater={() => (opened ? setOpened(null) : setLater([...later, question.key]))}
                                        onRestLater={
                                            opened === null && unanswered.length > 1
                                                ? () => setRestLater(true)
                                                : undefined
                                        }
                                    />
                                ) : (
                                    <button
                                        className={clsx(
                                            'flex min-h-11 w-full items-center justify-between gap-2 border-b',
                                            'border-hair py-1 text-left',
                                        )}
                                        aria-expanded={false}
                                        disabled={closed}
                                        onClick={() => setOpened(question.key)}
                                    >
                                        <span
                                            className={
                                                question.value === null
                                                    ? 'text-small leading-4 text-muted'
                                                    : 'text-note text-muted'
                                            }
                                        >
                                            {question.text}
                                            {question.value !== null && (
                                                <b className="block font-sans text-body font-medium leading-5 text-ink">
                                                    {question.said}
                                                </b>
                                            )}
                                        </span>
                                        {question.value === null && (
                                            <Glyph name="need" style={{ color: 'var(--copper-ink)' }} />
                                        )}
                                    </button>
                                )}
                            </div>
                        ))}
                    </details>
                );
            })}
        </div>
    );
}

function One({
    group,
    question,
    onPut,
    onLater,
    onRestLater,
}: {
    group: RefObject<HTMLDivElement | null>;
    question: QuestionView;
    onPut: (value: AnswerValue) => Promise<Answer<unknown>>;
    onLater: () => void;
    onRestLater: (() => void) | undefined;
}) {
    const units = useUnits();
    const { job } = usePage<SurveyProps>().props;
    const answered: Entry = { text: asAnswered(question, units), units };
    const [entered, setEntered, drop] = useDraft(`${job.id}/answer/${question.key}`, answered);
    const [ticked, setTicked] = useState<string[]>(Array.isArray(question.value) ? question.value : []);
    const [bad, setBad] = useState('');
    const keep = async (value: AnswerValue) => {
        const answer = await onPut(value);
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') drop();
    };
    const enter = () => keep(question.kind === 'number' ? sent(entered, question.unit) : entered.text.trim() || null);
    return (
        <div
            className="border-b border-hair bg-copper-wash px-3 py-2.5 shadow-[inset_5px_0_0_var(--copper)]"
            role="group"
            aria-label={question.text}
            ref={group}
            tabIndex={-1}
        >
            <b className="block font-lab text-lead font-semibold leading-5">{question.text}</b>
            <p className="mb-2 mt-0.5 text-note text-muted">{question.help}</p>
            {question.kind === 'choice' &&
                question.choices.map((choice) => (
                    <button
                        key={choice.value}
                        type="button"
                        aria-pressed={question.value === choice.value}
                        className="pickone"
                        onClick={() => void keep(choice.value)}
                    >
                        {choice.label}
                    </button>
                ))}
            {question.kind === 'ticks' && (
                <>
                    {question.choices.map((choice) => (
                        <button
                            key={choice.value}
                            type="button"
                            role="checkbox"
                            aria-checked={ticked.includes(choice.value)}
                            className="pickone"
                            onClick={() =>
                                setTicked(
                                    ticked.includes(choice.value)
                                        ? ticked.filter((value) => value !== choice.value)
                                        : [...ticked, choice.value],
                                )
                            }
                        >
                            {choice.label}
                        </button>
                    ))}
                    <button type="button" className="btn btn--small mt-2" onClick={() => void keep(ticked)}>
                        {ticked.length === 0
                            ? say('survey.none-of-these')
                            : say('survey.keep-2', { ticked: ticked.length })}
                    </button>
                </>
            )}
            {(question.kind === 'number' || question.kind === 'text') && (
                <form
                    className="flex items-end gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void enter();
                    }}
                >
                    {question.kind === 'number' ? (
                        <label className="flex flex-1 items-center gap-2">
                            <span className="vh">{question.text}</span>
                            <input
                                className={clsx(
                                    'h-12 w-full min-w-0 border-b-2 border-rule bg-bone px-2 text-right',
                                    'text-title font-medium',
                                )}
                                inputMode="decimal"
                                autoComplete="off"
                                value={written(entered, question.unit, units)}
                                aria-invalid={!!bad}
                                onChange={(event) => setEntered({ text: event.target.value, units })}
                            />
                            <span className="text-muted">{unitOf(question.unit, units)}</span>
                        </label>
                    ) : (
                        <label className="flex-1">
                            <span className="vh">{question.text}</span>
                            <textarea
                                className="min-h-20 w-full border-b-2 border-rule bg-bone p-2"
                                value={entered.text}
                                aria-invalid={!!bad}
                                onChange={(event) => setEntered({ text: event.target.value, units })}
                            />
                        </label>
                    )}
                    <button className="btn btn--small" type="submit">
                        {say('survey.keep')}
                    </button>
                </form>
            )}
            <div className="mt-1.5 flex flex-wrap items-center gap-x-4">
                <button type="button" className="link" onClick={onLater}>
                    {question.value === null ? say('survey.later') : say('survey.leave-it')}
                </button>
                {onRestLater && (
                    <button type="button" className="link" onClick={onRestLater}>
                        {say('survey.the-rest-later')}
                    </button>
                )}
                {question.value !== null && (
                    <button type="button" className="link" onClick={() => void keep(null)}>
                        {say('survey.not-known')}
                    </button>
                )}
            </div>
            <Bad>{bad}</Bad>
        </div>
    );
}

/** The answer as its field holds it: a number in the units of today. */
function asAnswered({ value, unit }: QuestionView, units: Units): string {
    if (typeof value === 'number') return field(shown(value, unit, units));
    return typeof value === 'string' ? value : '';
}
