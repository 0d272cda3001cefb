import { clsx } from 'clsx';
import { useEffect, useRef, useState } from 'react';
import { post } from '@/lib/api';
import { rounded, shown, typed, unitOf, useUnits } from '@/lib/units';
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
    const [given, setGiven] = useState<Record<string, string>>({});
    const [result, setResult] = useState<FigureResult | null>(figure.result);
    const [bad, setBad] = useState<Record<string, string>>({});
    const first = useRef(true);

    useEffect(() => {
        if (first.current) {
            first.current = false;
            return;
        }
        let current = true;
        const timer = setTimeout(async () => {
            const values = Object.fromEntries(
                Object.entries(given).map(([key, text]) => {
                    const input = figure.inputs.find((candidate) => candidate.key === key);
                    const number = Number(text.replace(',', '.'));
                    return [
                        key,
                        text.trim() === ''
                            ? null
                            : Number.isFinite(number)
                              ? typed(number, input?.unit ?? '', units)
                              : text,
                    ];
                }),
            );
            const answer = await post<{ result: FigureResult | null }>(`${url}/${figure.key}`, { values });
            if (!current) return;
            setBad(answer.kind === 'invalid' ? answer.errors : {});
            if (answer.kind === 'ok') setResult(answer.data.result);
        }, 200);
        return () => {
            current = false;
            clearTimeout(timer);
        };
    }, [given, figure, url, units]);

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
                    {figure.inputs.map((input) => {
                        const value =
                            given[input.key] ??
                            (input.value === null ? '' : plain(shown(input.value, input.unit, units)));
                        return (
                            <div key={input.key} className="border-b border-hair py-1">
                                <label className="flex min-h-11 items-center justify-between gap-3">
                                    <span className="text-body leading-[18px]">
                                        {input.label}
                                        <span className="block text-note text-muted">
                                            {given[input.key] === undefined ? input.source : say('figures.as-typed')}
                                        </span>
                                    </span>
                                    <span className="flex items-center gap-1.5">
                                        <input
                                            className={clsx(
                                                'mono h-11 w-24 border-b-2 border-rule bg-bone px-1 text-right',
                                                'text-head',
                                            )}
                                            inputMode="decimal"
                                            autoComplete="off"
                                            value={value}
                                            aria-invalid={!!bad[input.key]}
                                            onChange={(event) =>
                                                setGiven({ ...given, [input.key]: event.target.value })
                                            }
                                            onBlur={() => {
                                                const number = Number((given[input.key] ?? '').replace(',', '.'));
                                                if (
                                                    onKeep &&
                                                    given[input.key] !== undefined &&
                                                    given[input.key] !== '' &&
                                                    Number.isFinite(number)
                                                )
                                                    onKeep(input.key, typed(number, input.unit, units));
                                            }}
                                        />
                                        <span className="w-14 text-note text-muted">{unitOf(input.unit, units)}</span>
                                    </span>
                                </label>
                                <Bad>{bad[input.key]}</Bad>
                            </div>
                        );
                    })}
                </div>
                <div>
                    {result === null ? (
                        <p className="text-muted">{say('figures.enter-what-is-missing-it-is')}</p>
                    ) : (
                        <>
                            <p
                                className={`border-l-[6px] px-3 py-2 text-lead ${tones[result.tone] ?? tones.muted}`}
                                data-tone={result.tone}
                            >
                                {result.verdict}
                            </p>
                            {result.plot && <Plot plot={result.plot} />}
                            <table className="mt-2 text-small">
                                <tbody>
                                    {result.lines.map((line, index) => (
                                        <tr key={index} className="border-b border-hair align-top">
                                            <th className="py-1 pr-3 text-left font-normal leading-[18px]">
                                                {line.label}
                                                <span className="block text-note text-muted">{line.formula}</span>
                                            </th>
                                            <td className="mono whitespace-nowrap py-1 text-right">
                                                {line.value === null
                                                    ? say('figures.none')
                                                    : [
                                                          rounded(shown(line.value, line.unit, units)),
                                                          unitOf(line.unit, units),
                                                      ].join(' ')}
                                            </td>
                                        </tr>
                                    ))}
                                </tbody>
                            </table>
                        </>
                    )}
                </div>
            </div>
        </section>
    );
}

const plain = (value: number) => String(Number(value.toFixed(Math.abs(value) >= 100 ? 0 : 2)));
