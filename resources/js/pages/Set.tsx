import { clsx } from 'clsx';
import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { CallTable } from '@/features/call-table/CallTable';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { said } from '@/lib/api';
import { useRecord } from '@/lib/once';
import { clock } from '@/lib/format';
import { Shell } from '@/shell/Shell';
import type { SetProps, SettingRow } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, Findings } from '@/ui/State';
import { Tick } from '@/ui/Tick';

export default function SetPage() {
    const { job, thermostat, settings: every, sisters, history, table, findings, readings } = usePage<SetProps>().props;
    const settings = every.filter((setting) => setting.lacking === null);
    const lacking = every.filter((setting) => setting.lacking !== null);
    const [shown, setShown] = useState(
        settings.find((setting) => setting.entered !== setting.value)?.key ?? settings[0]?.key ?? '',
    );
    const closed = job.handedOverAt !== null;
    const open = settings.filter((setting) => setting.entered === null && !setting.lacking).length;
    const setting = settings.find((candidate) => candidate.key === shown);

    return (
        <Shell
            stage="set"
            title="Set"
            start={['wall.Rc', 'wall.C']}
            dock={<MeterDock stage="set" readings={readings} />}
        >
            <div className="head">
                <div>
                    <h1 className="h-step">Set</h1>
                    <p>Enter these in the menu of: {thermostat}. Each one follows from the survey.</p>
                </div>
                <Link className="link ml-auto" href={`/jobs/${job.id}/figures`}>
                    Figures
                </Link>
                {!closed && (
                    <button
                        className={`btn ${open === 0 ? 'btn--go' : ''}`}
                        onClick={() => router.visit(`/jobs/${job.id}/prove`)}
                    >
                        Go to Prove{' '}
                        {open === 0 ? (
                            <Glyph name="go" />
                        ) : (
                            <span className="text-small text-caution-ink">{open} open</span>
                        )}
                    </button>
                )}
            </div>
            <div
                className="grid flex-1 content-start border-t border-hair xl:grid-cols-[minmax(0,1fr)_var(--table)]"
                style={{ '--table': `${Math.max(300, 130 + 24 * table.columns.length)}px` } as React.CSSProperties}
            >
                <div>
                    {!closed &&
                        sisters.map((sister) => <FromSister key={sister.id} sister={sister} settings={settings} />)}
                    {settings.map((item) => (
                        <Setting
                            key={item.key}
                            setting={item}
                            last={history.filter((entry) => entry.key === item.key).at(-1) ?? null}
                            selected={item.key === shown}
                            closed={closed}
                            onSelect={() => setShown(item.key)}
                        />
                    ))}
                    {lacking.length > 0 && (
                        <details className="border-b border-hair px-5 py-1">
                            <summary className="fold font-lab text-lead font-semibold">
                                {lacking.length} that this menu does not have
                            </summary>
                            <ul>
                                {lacking.map((item) => (
                                    <li key={item.key} className="border-t border-hair py-2 text-small">
                                        <b className="font-lab text-body font-semibold">
                                            {item.label}: {item.valueLabel}
                                        </b>{' '}
                                        <span className="text-muted">{item.reason}</span>
                                        <span className="block">{item.lacking}</span>
                                    </li>
                                ))}
                            </ul>
                        </details>
                    )}
                    <section className="px-5 py-4" aria-label="Findings">
                        <h2 className="h-sec mb-1.5">Findings</h2>
                        <Findings findings={findings} empty="What the thermostat closes is what the equipment needs." />
                    </section>
                </div>
                <section className="border-hair px-5 py-3 xl:border-l" aria-label="What the thermostat closes">
                    <h2 className="h-sec">What the thermostat closes</h2>
                    <p className="mb-2 text-small text-muted">
                        With the settings as entered; as they should be where nothing is entered.
                    </p>
                    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Call table, scrolls">
                        <CallTable table={table} />
                    </div>
                    {setting && (
                        <div className="mt-5">
                            <h3 className="h-sec">If {setting.label.toLowerCase()} is wrong</h3>
                            <dl className="mt-1">
                                {setting.choices
                                    .filter((choice) => choice.ifWrong !== null || choice.effects.length > 0)
                                    .map((choice) => (
                                        <div key={choice.value} className="border-t border-hair py-2">
                                            <dt className="font-lab text-small font-semibold">{choice.label}</dt>
                                            {choice.effects.length > 0 && (
                                                <dd className="text-note text-copper-ink">
                                                    {choice.effects.join('; ')}
                                                </dd>
                                            )}
                                            <dd className="text-small">{choice.ifWrong ?? 'As it should be.'}</dd>
                                        </div>
                                    ))}
                            </dl>
                        </div>
                    )}
                </section>
            </div>
        </Shell>
    );
}

function Setting({
    setting,
    last,
    selected,
    closed,
    onSelect,
}: {
    setting: SettingRow;
    last: SetProps['history'][number] | null;
    selected: boolean;
    closed: boolean;
    onSelect: () => void;
}) {
    const { job } = usePage<SetProps>().props;
    const { record, answer } = useRecord(job.id);
    const problem = answer ? said(answer) : '';
    const enter = async (value: string) => {
        onSelect();
        await record('settings', { key: setting.key, value });
    };
    const wrong =
        setting.entered !== null &&
        setting.entered !== setting.value &&
        !setting.open.some((answer) => answer.value === setting.entered);
    return (
        <div
            className={clsx(
                'border-b border-hair px-5 py-2',
                selected && 'bg-panel shadow-[inset_5px_0_0_var(--copper)]',
                wrong && 'bg-fault-wash',
            )}
            data-setting={setting.key}
        >
            <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_44px_44px] items-center gap-x-3">
                <button className="min-h-11 text-left" onClick={onSelect}>
                    <b className="block font-lab text-lead font-semibold leading-5">{setting.label}</b>
                </button>
                <div className="min-w-0">
                    <b className="block font-lab text-head font-semibold leading-5">{setting.valueLabel}</b>
                    <span className="block text-note text-muted">
                        {setting.menuLabel}: {setting.menuValue}
                    </span>
                </div>
                <span
                    className="mono text-note text-muted"
                    title={
                        last ? `${last.old === null ? '' : `was ${last.old}; `}${last.by}: ${last.reason}` : undefined
                    }
                >
                    {last ? clock(last.at) : 'open'}
                    {last?.simulated && <span className="block">simulated</span>}
                </span>
                <Tick
                    checked={setting.entered === setting.value}
                    disabled={closed}
                    label={`${setting.label} entered as ${setting.valueLabel}`}
                    onChange={() => void enter(setting.value)}
                />
            </div>
            <p className="text-small text-muted">{setting.reason}</p>
            {setting.open.length > 0 && (
                <div
                    role="group"
                    aria-label={`${setting.label}: two answers`}
                    className="mt-1 border-l-[6px] border-caution bg-caution-wash px-3 py-1.5 text-small"
                >
                    <b className="font-semibold">
                        {setting.entered === null
                            ? 'Open: the house gives two answers.'
                            : 'Decided; both answers stay on the record.'}
                    </b>
                    <ul>
                        {setting.open.map((answer) => (
                            <li key={answer.value} className="flex flex-wrap items-center gap-x-3">
                                <span>
                                    {answer.label}: {answer.source}
                                </span>
                                {!closed && setting.entered !== answer.value && (
                                    <button className="link" onClick={() => void enter(answer.value)}>
                                        Entered so
                                    </button>
                                )}
                            </li>
                        ))}
                    </ul>
                </div>
            )}
            {selected && !closed && (
                <div
                    className="mt-1 flex flex-wrap items-center gap-1"
                    role="group"
                    aria-label={`${setting.label}, as it stands in the thermostat`}
                >
                    <span className="lab mr-2">It is set to</span>
                    {setting.choices.map((choice) => (
                        <button
                            key={choice.value}
                            aria-pressed={setting.entered === choice.value}
                            title={choice.effects.join('; ') || undefined}
                            className={clsx(
                                'min-h-11 px-3 font-lab text-body font-semibold text-muted aria-pressed:bg-ink',
                                'aria-pressed:text-bone',
                            )}
                            onClick={() => void enter(choice.value)}
                        >
                            {choice.menu}
                        </button>
                    ))}
                </div>
            )}
            <Bad>{problem}</Bad>
        </div>
    );
}

/** What a sister system was set to, entered here in one go where this house derives the same. */
function FromSister({ sister, settings }: { sister: SetProps['sisters'][number]; settings: SettingRow[] }) {
    const { job } = usePage<SetProps>().props;
    const { record, answer } = useRecord(job.id);
    const same = settings.filter(
        (setting) =>
            setting.entered === null && setting.open.length === 0 && sister.values[setting.key] === setting.value,
    );
    const other = settings.filter(
        (setting) => sister.values[setting.key] !== undefined && sister.values[setting.key] !== setting.value,
    );
    if (same.length === 0 && other.length === 0) return null;
    const copy = async () => {
        for (const setting of same)
            await record('settings', { key: setting.key, value: setting.value, note: `As on ${sister.label}.` });
    };
    const named = other.map((setting) => setting.label.toLowerCase()).join(', ');
    return (
        <div className="flex flex-wrap items-center gap-x-4 border-b border-hair bg-panel px-5 py-1 text-small">
            <span className="min-w-0 flex-1">
                {sister.label} has this thermostat too.
                {other.length > 0 && ` Set otherwise there: ${named}; this house decides.`}
            </span>
            {same.length > 0 && (
                <button className="link" onClick={() => void copy()}>
                    Entered as there: {same.length}
                </button>
            )}
            <Bad>{answer ? said(answer) : null}</Bad>
        </div>
    );
}
