import { clsx } from 'clsx';
import { useEffect, useState } from 'react';
import { post } from '@/lib/write/api';
import { useDraft } from '@/lib/drafts';
import { field, rounded, sent, shown, unitOf, useUnits, written, type Entry } from '@/lib/units';
import type { FigureResult, FigureView } from '@/types';
import { Bad } from '@/ui/State';
import { Plot } from './Plot';
import { say } from '@/words';

const tones: Record<string, string> = {
    verd: 'border-verd bg-verd-wash',
    caution: 'border-caution bg-caution-wash',
    fault: 'border-fault bg-fault-wash',
    muted: 'border-rule bg-panel',
};

type Given = Record<string, Entry>;
type Input = FigureView['inputs'][number];

/**
 * One figure: its inputs with their sources, what it comes to with each formula, and the verdict. Computed as it is
 * typed.
 */
export function FigureCard({
    figure,
    url,
    onKeep,
}: {
    figure: FigureView;
    url: string;
    onKeep?: (key: string, value: number) => void;
}) {
    const units = useUnits();
    const [given, setGiven] = useDraft<Given>(`${url}/${figure.key}`, {});
    const { result, bad } = useResult(figure, given, url);
    const keep = (input: Input) => {
        const entry = given[input.key];
        const value = entry && sent(entry, input.unit);
        if (onKeep && typeof value === 'number') onKeep(input.key, value);
    };
    const rows = [...new Set(figure.inputs.flatMap((input) => input.row ?? []))];
    const one = (input: Input) => (
        <Field
            key={input.key}
            input={input}
            entry={given[input.key]}
            bad={bad[input.key]}
            onType={(text) => setGiven({ ...given, [input.key]: { text, units } })}
            onLeave={() => keep(input)}
        />
    );
    return (
        <section
            aria-label={figure.title}
            id={figure.key}
            className="border-b-2 border-ink px-5 py-4"
            data-figure={figure.key}
        >
            <h2 className="h-sec">{figure.title}</h2>
            <p className="text-small text-muted">{figure.about}</p>
            <div className="mt-2 grid gap-x-8 gap-y-3 lg:grid-cols-[minmax(0,340px)_minmax(0,1fr)]">
                <div>
                    {figure.inputs.filter((input) => input.row === null).map(one)}
                    {rows.map((row) => (
                        <fieldset key={row} className="border-b border-hair py-1">
                            <legend className="font-lab text-small font-semibold">{row}</legend>
                            <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-4 lg:grid-cols-2">
                                {figure.inputs.filter((input) => input.row === row).map(one)}
                            </div>
                        </fieldset>
                    ))}
                </div>
                {result === null ? (
                    <p className="text-muted">{say('figures.enter-what-is-missing-it-is')}</p>
                ) : (
                    <Result result={result} />
                )}
            </div>
        </section>
    );
}

/** What the figure comes to: as the page brought it, and with what is typed as the server answers it. */
function useResult(figure: FigureView, given: Given, url: string) {
    const [answered, setAnswered] = useState<FigureResult | null | undefined>();
    const [bad, setBad] = useState<Record<string, string>>({});
    useEffect(() => {
        if (Object.keys(given).length === 0) return;
        let current = true;
        const timer = setTimeout(async () => {
            const values = Object.fromEntries(
                Object.entries(given).map(([key, entry]) => [
                    key,
                    sent(entry, figure.inputs.find((input) => input.key === key)?.unit ?? ''),
                ]),
            );
            const answer = await post<{ result: FigureResult | null }>(`${url}/${figure.key}`, { values });
            if (!current) return;
            setBad(answer.kind === 'invalid' ? answer.errors : {});
            if (answer.kind === 'ok') setAnswered(answer.data.result);
        }, 200);
        return () => {
            current = false;
            clearTimeout(timer);
        };
    }, [given, figure, url]);
    return { result: answered === undefined ? figure.result : answered, bad };
}

function Field({
    input,
    entry,
    bad,
    onType,
    onLeave,
}: {
    input: Input;
    entry: Entry | undefined;
    bad: string | undefined;
    onType: (text: string) => void;
    onLeave: () => void;
}) {
    const units = useUnits();
    const from = input.value === null ? '' : field(shown(input.value, input.unit, units));
    return (
        <div className={input.row === null ? 'border-b border-hair py-1' : ''}>
            <label className="flex min-h-11 items-center justify-between gap-3">
                <span className="text-body leading-[18px]">
                    {input.label}
                    {input.row === null && (
                        <span className="block text-note text-muted">
                            {entry === undefined ? input.source : say('figures.as-typed')}
                        </span>
                    )}
                </span>
                <span className="flex items-center gap-1.5">
                    <input
                        className={clsx(
                            'mono h-11 border-b-2 border-rule bg-bone px-1 text-right text-head',
                            input.row === null ? 'w-24' : 'w-16',
                        )}
                        aria-label={input.row === null ? undefined : `${input.row}, ${input.label}`}
                        inputMode="decimal"
                        autoComplete="off"
                        value={entry === undefined ? from : written(entry, input.unit, units)}
                        aria-invalid={!!bad}
                        onChange={(event) => onType(event.target.value)}
                        onBlur={onLeave}
                    />
                    <span className={clsx(input.row === null ? 'w-14' : 'w-10', 'text-note text-muted')}>
                        {unitOf(input.unit, units)}
                    </span>
                </span>
            </label>
            <Bad>{bad}</Bad>
        </div>
    );
}

function Result({ result }: { result: FigureResult }) {
    const units = useUnits();
    const amount = ({ value, unit }: FigureResult['lines'][number]) =>
        value === null ? say('figures.none') : [rounded(shown(value, unit, units)), unitOf(unit, units)].join(' ');
    return (
        <div>
            <p
                className={`border-l-[6px] px-3 py-2 text-lead ${tones[result.tone] ?? tones.muted}`}
                data-tone={result.tone}
            >
                {result.verdict}
            </p>
            {result.answers.length > 0 && (
                <dl className="mt-2 flex flex-wrap gap-x-8 gap-y-2">
                    {result.answers.map((line) => (
                        <div key={line.label}>
                            <dt className="text-note text-muted">{line.label}</dt>
                            <dd className="mono text-title font-medium">{amount(line)}</dd>
                        </div>
                    ))}
                </dl>
            )}
            {result.plot && <Plot plot={result.plot} />}
            <table className="mt-2 text-small">
                <tbody>
                    {result.lines.map((line, index) => (
                        <tr key={index} className="border-b border-hair align-top">
                            <th className="py-1 pr-3 text-left font-normal leading-[18px]">
                                {line.label}
                                <span className="block text-note text-muted">{line.formula}</span>
                            </th>
                            <td className="mono whitespace-nowrap py-1 text-right">{amount(line)}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}
