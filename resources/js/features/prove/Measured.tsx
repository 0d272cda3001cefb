import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/write/api';
import { useDraft } from '@/lib/drafts';
import { clock } from '@/lib/format';
import { useRecord } from '@/lib/write/once';
import { rounded, sent, shown, unitOf, useUnits, written, type Entry } from '@/lib/units';
import { cut } from '@/lib/numbers';
import { UnitSwitch } from '@/ui/UnitSwitch';
import type { Measurement, ProveProps } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

const tones: Record<string, string> = {
    verd: 'border-verd bg-verd-wash',
    caution: 'border-caution bg-caution-wash',
    fault: 'border-fault bg-fault-wash',
    muted: 'border-rule bg-panel',
};
/**
 * Checks beside the circuit on the same visit: temperature split for each mode, and airflow for each ton. Kept with
 * their verdicts.
 */
export function Measured({ closed }: { closed: boolean }) {
    const { measurements, tons, job } = usePage<ProveProps>().props;
    return (
        <section aria-label={say('prove.measured-beside-the-circuit')} className="border-t border-hair px-5 py-3">
            <div className="flex flex-wrap items-center justify-between gap-x-5">
                <h2 className="h-sec">{say('prove.temperature-split-and-airflow')}</h2>
                <UnitSwitch />
            </div>
            <ul>
                {measurements.map((row) => (
                    <Kept key={row.id} row={row} />
                ))}
            </ul>
            {!closed && (
                <div className="grid gap-x-8 md:grid-cols-2">
                    <Split jobId={job.id} />
                    <Airflow jobId={job.id} tons={tons} />
                </div>
            )}
        </section>
    );
}

function Kept({ row }: { row: Measurement }) {
    const units = useUnits();
    const main = row.lines[0];
    return (
        <li
            className={`mt-1 border-l-[6px] px-3 py-1.5 text-small ${tones[row.tone] ?? tones.muted}`}
            data-measured={row.figure}
            data-tone={row.tone}
        >
            <b className="font-semibold">
                {row.title}
                {row.callLabel && `, ${row.callLabel}`}
            </b>{' '}
            {main && main.value !== null && (
                <span className="mono">
                    {rounded(shown(main.value, main.unit, units))} {unitOf(main.unit, units)}
                </span>
            )}{' '}
            {row.verdict} <span className="mono text-muted">{clock(row.at)}</span>
            {row.simulated && say('prove.simulated')}
        </li>
    );
}

interface FieldSpec {
    key: string;
    label: string;
    unit: string;
}

/** Fields of one figure, sent as they are typed; what the figure refuses stays, with the message at its field. */
function useFigure(jobId: string, figure: string, fields: FieldSpec[]) {
    const units = useUnits();
    const [given, setGiven] = useDraft<Record<string, Entry>>(`${jobId}/figure/${figure}`, {});
    const { record, answer } = useRecord(jobId);
    const keep = async (more: Record<string, number>, call: string | null) => {
        const values = Object.fromEntries(
            fields.flatMap(({ key, unit }) => {
                const value = given[key] ? sent(given[key], unit) : null;
                return value === null ? [] : [[key, value]];
            }),
        );
        const result = await record('measurements', { figure, call, values: { ...values, ...more } });
        if (result.kind === 'ok') setGiven({});
    };
    const errors = answer?.kind === 'invalid' ? answer.errors : {};
    const inputs = fields.map((field) => (
        <div key={field.key}>
            <label className="flex min-h-11 items-center justify-between gap-3 text-body">
                {field.label}
                <span className="flex items-center gap-1.5">
                    <input
                        className="mono h-11 w-24 border-b-2 border-rule bg-panel px-1 text-right text-head"
                        inputMode="decimal"
                        autoComplete="off"
                        value={given[field.key] ? written(given[field.key] as Entry, field.unit, units) : ''}
                        aria-invalid={!!(errors[field.key] ?? errors[`values.${field.key}`])}
                        onChange={(event) => setGiven({ ...given, [field.key]: { text: event.target.value, units } })}
                    />
                    <span className="w-12 text-note text-muted">{unitOf(field.unit, units)}</span>
                </span>
            </label>
            <Bad>{errors[field.key] ?? errors[`values.${field.key}`]}</Bad>
        </div>
    ));
    const others =
        answer && answer.kind !== 'ok' && !fields.some((field) => errors[field.key] ?? errors[`values.${field.key}`])
            ? said(answer)
            : null;
    return { inputs, keep, bad: <Bad>{others}</Bad> };
}

const splitFields: FieldSpec[] = [
    { key: 'return', label: say('prove.return-air'), unit: '°F' },
    { key: 'supply', label: say('prove.supply-air'), unit: '°F' },
];

function Split({ jobId }: { jobId: string }) {
    const { splits } = usePage<ProveProps>().props;
    const [mode, setMode] = useState(splits[0]?.mode ?? 1);
    const { inputs, keep, bad } = useFigure(jobId, 'split', splitFields);
    const call = splits.find((split) => split.mode === mode)?.call ?? null;
    if (splits.length === 0)
        return <p className="mt-2 text-small text-muted">{say('prove.this-equipment-heats-no-air-no')}</p>;
    return (
        <form
            aria-label={say('prove.temperature-split')}
            className="mt-2"
            onSubmit={(event) => {
                event.preventDefault();
                void keep({ mode }, call);
            }}
        >
            <label className="flex min-h-11 items-center justify-between gap-3 text-body">
                {say('prove.running-in')}
                <select
                    className="h-11 border-b-2 border-rule bg-panel px-1 font-lab font-semibold"
                    value={mode}
                    onChange={(event) => setMode(Number(event.target.value))}
                >
                    {splits.map((split) => (
                        <option key={split.mode} value={split.mode}>
                            {split.label}
                        </option>
                    ))}
                </select>
            </label>
            {inputs}
            {bad}
            <p className="text-note text-muted">{say('prove.after-ten-minutes-of-running-near')}</p>
            <button className="btn btn--small mt-1">{say('prove.keep-the-split')}</button>
        </form>
    );
}

function Airflow({ jobId, tons }: { jobId: string; tons: number | null }) {
    const units = useUnits();
    const fields: FieldSpec[] = [
        ...(tons === null ? [{ key: 'tons', label: say('prove.capacity'), unit: 'tons' }] : []),
        { key: 'cfm', label: say('prove.sum-of-the-supply-grilles'), unit: say('prove.cfm') },
        { key: 'return', label: say('prove.return-grille-free-area-if-known'), unit: 'sq in' },
    ];
    const { inputs, keep, bad } = useFigure(jobId, 'airflow', fields);
    return (
        <form
            aria-label={say('prove.airflow')}
            className="mt-2"
            onSubmit={(event) => {
                event.preventDefault();
                void keep({}, null);
            }}
        >
            {tons !== null && (
                <p className="flex min-h-11 items-center text-body">
                    {say('prove.capacity-from-the-survey', {
                        capacity: `${rounded(shown(tons, 'tons', units))} ${unitOf('tons', units)}`,
                    })}
                </p>
            )}
            {inputs}
            {bad}
            <p className="text-note text-muted">
                {say('prove.system-select-us-to-cfm-for', {
                    system: units.system,
                    low: cut(shown(350, 'CFM', units), 0),
                    high: cut(shown(450, 'CFM', units), 0),
                    ton: `${rounded(shown(1, 'tons', units))} ${unitOf('tons', units)}`,
                })}
            </p>
            <button className="btn btn--small mt-1">{say('prove.keep-the-airflow')}</button>
        </form>
    );
}
