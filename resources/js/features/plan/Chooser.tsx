import { clsx } from 'clsx';
import { useEffect, useState } from 'react';
import { get, said } from '@/lib/write/api';
import { useEdits } from '@/lib/write/edits';
import { url } from '@/lib/url';
import type { AnswerValue, QuestionView, ThermostatChoice, ThermostatRow } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';

/**
 * A few questions, and the kinds of thermostat ranked for this house by the best plan each has here; two can be held
 * side by side.
 */
export function Chooser({
    jobId,
    version,
    onChoose,
    onClose,
}: {
    jobId: string;
    version: number;
    onChoose: (profile: string) => void;
    onClose: () => void;
}) {
    const edits = useEdits(url('job.survey-edits', { job: jobId }), version);
    const [choice, setChoice] = useState<ThermostatChoice | null>(null);
    const [pair, setPair] = useState<string[]>([]);
    const [bad, setBad] = useState('');

    useEffect(() => {
        let current = true;
        void get<ThermostatChoice>(url('job.thermostats', { job: jobId })).then((answer) => {
            if (!current) return;
            if (answer.kind === 'ok') setChoice(answer.data);
            setBad(answer.kind === 'ok' ? '' : said(answer));
        });
        return () => {
            current = false;
        };
    }, [jobId, version]);

    const held = pair.flatMap((id) => choice?.rows.find((row) => row.profile === id) ?? []);
    const hold = (id: string) =>
        setPair((now) => (now.includes(id) ? now.filter((other) => other !== id) : [...now.slice(-1), id]));
    return (
        <Dialog open onClose={onClose} title={say('plan.which-thermostat-suits-this-house')} wide>
            <div className="mt-2 grid gap-3">
                <Bad>{bad || (edits.problem === null ? '' : said(edits.problem))}</Bad>
                {choice?.questions.map((question) => (
                    <Wish
                        key={question.key}
                        question={question}
                        working={edits.working}
                        onPut={(value) => void edits.send('answer', { key: question.key, value })}
                    />
                ))}
                {!choice && bad === '' && <p role="status">{say('plan.planning-this-house-with-each-of')}</p>}
                {held.length === 2 && <Compare rows={held} onChoose={onChoose} />}
                <ol className="grid border-t border-hair">
                    {choice?.rows.map((row, index) => (
                        <li
                            key={row.profile}
                            className="flex flex-wrap items-start gap-x-4 gap-y-1 border-b border-hair py-2"
                            data-profile={row.profile}
                        >
                            <span className="mono w-6 pt-0.5 text-muted">{index + 1}</span>
                            <div className="min-w-0 flex-1 basis-72 text-small">
                                <b className="block font-lab text-lead font-semibold">{row.title}</b>
                                {row.best === null ? (
                                    <State glyph="fault" tone="fault">
                                        {say('plan.no-plan-here', { refused: row.refused[0] ?? '' })}
                                    </State>
                                ) : (
                                    <>
                                        <span className="block">
                                            {say('plan.min', { best: row.best, minutes: row.minutes ?? '' })}
                                        </span>
                                        <span className="block text-muted">{row.reasons.join('; ')}</span>
                                    </>
                                )}
                            </div>
                            <span className="flex gap-3">
                                <button
                                    type="button"
                                    className="link"
                                    aria-pressed={pair.includes(row.profile)}
                                    onClick={() => hold(row.profile)}
                                >
                                    {pair.includes(row.profile) ? say('plan.held') : say('plan.hold-beside')}
                                </button>
                                <button type="button" className="link" onClick={() => onChoose(row.profile)}>
                                    {say('plan.choose')}
                                </button>
                            </span>
                        </li>
                    ))}
                </ol>
            </div>
        </Dialog>
    );
}

/** One wish, kept with the survey as it is chosen: one of several, or as many as matter. */
function Wish({
    question,
    working,
    onPut,
}: {
    question: QuestionView;
    working: boolean;
    onPut: (value: AnswerValue) => void;
}) {
    const many = question.kind === 'ticks';
    const ticked = Array.isArray(question.value) ? question.value : [];
    return (
        <div
            role={many ? 'group' : 'radiogroup'}
            aria-label={question.text}
            className="flex flex-wrap items-center gap-2"
        >
            <span className="min-w-60 flex-1">{question.text}</span>
            {question.choices.map(({ value, label }) => (
                <button
                    key={value}
                    type="button"
                    role={many ? 'checkbox' : 'radio'}
                    aria-checked={many ? ticked.includes(value) : question.value === value}
                    className="chip"
                    disabled={working}
                    onClick={() =>
                        onPut(
                            many
                                ? ticked.includes(value)
                                    ? ticked.filter((other) => other !== value)
                                    : [...ticked, value]
                                : value,
                        )
                    }
                >
                    {label}
                </button>
            ))}
        </div>
    );
}

/** Two thermostats on this house, side by side: what differs stands out. */
function Compare({ rows, onChoose }: { rows: ThermostatRow[]; onChoose: (profile: string) => void }) {
    const here = (row: ThermostatRow): Record<string, string> => ({
        [say('plan.best-plan-here')]: row.best ?? say('plan.none', { why: row.refused[0] ?? '' }),
        [say('plan.lost-here')]:
            row.best === null ? '' : row.lost.length === 0 ? say('plan.nothing') : row.lost.join('; '),
        [say('plan.to-buy-besides')]: row.parts.length === 0 ? say('plan.nothing') : row.parts.join(', '),
        [say('plan.minutes')]: row.minutes === null ? '' : String(row.minutes),
        ...Object.fromEntries(row.facts.map(({ label, value }) => [label, value])),
    });
    const [a, b] = rows.map(here);
    return (
        <table className="text-small" aria-label={say('plan.side-by-side')}>
            <thead>
                <tr className="border-b-2 border-ink align-bottom">
                    <th className="w-28 py-1" />
                    {rows.map((row) => (
                        <th key={row.profile} className="py-1 pr-3 text-left font-lab text-body font-semibold">
                            {row.title}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {Object.keys(a ?? {}).map((key) => (
                    <tr
                        key={key}
                        className={clsx(
                            'border-b border-hair align-top',
                            a?.[key] === b?.[key] ? 'text-muted' : 'bg-copper-wash',
                        )}
                    >
                        <th className="py-1 pr-2 text-left font-lab font-semibold">{key}</th>
                        <td className="py-1 pr-3">{a?.[key]}</td>
                        <td className="py-1">{b?.[key]}</td>
                    </tr>
                ))}
                <tr>
                    <td />
                    {rows.map((row) => (
                        <td key={row.profile}>
                            <button type="button" className="link" onClick={() => onChoose(row.profile)}>
                                {say('plan.choose')}
                            </button>
                        </td>
                    ))}
                </tr>
            </tbody>
        </table>
    );
}
