import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { said } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import { clock } from '@/lib/format';
import type { SetProps, SettingRow } from '@/types';
import { Bad } from '@/ui/State';
import { Tick } from '@/ui/Tick';
import { say } from '@/words';

export function Setting({
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
        !setting.choices.some((choice) => choice.value === setting.entered && choice.accepted);
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
                    <b className="block font-lab text-lead font-semibold leading-5 wrap-anywhere">{setting.label}</b>
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
                        last
                            ? `${last.old === null ? '' : say('set.was', { old: last.old })}${last.by}: ${last.reason}`
                            : undefined
                    }
                >
                    {last ? clock(last.at) : say('set.open-2')}
                    {last?.simulated && <span className="block">{say('set.simulated')}</span>}
                </span>
                <Tick
                    checked={setting.entered === setting.value}
                    disabled={closed}
                    label={say('set.entered-as', { setting: setting.label, valueLabel: setting.valueLabel })}
                    onChange={() => void enter(setting.value)}
                />
            </div>
            <p className="text-small text-muted">{setting.reason}</p>
            {setting.steps.length > 0 && selected && (
                <ul className="mt-1 list-disc pl-5 text-small">
                    {setting.steps.map((step) => (
                        <li key={step}>{step}</li>
                    ))}
                </ul>
            )}
            {setting.open.length > 0 && (
                <div
                    role="group"
                    aria-label={say('set.two-answers', { setting: setting.label })}
                    className="mt-1 border-l-[6px] border-caution bg-caution-wash px-3 py-1.5 text-small"
                >
                    <b className="font-semibold">
                        {setting.entered === null
                            ? say('set.open-the-house-gives-two-answers')
                            : say('set.decided-both-answers-stay-on-the')}
                    </b>
                    <ul>
                        {setting.open.map((answer) => (
                            <li key={answer.value} className="flex flex-wrap items-center gap-x-3">
                                <span>
                                    {answer.label}: {answer.source}
                                </span>
                                {!closed && setting.entered !== answer.value && (
                                    <button className="link" onClick={() => void enter(answer.value)}>
                                        {say('set.entered-so')}
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
                    aria-label={say('set.as-it-stands-in-the-thermostat', { setting: setting.label })}
                >
                    <span className="lab mr-2">{say('set.it-is-set-to')}</span>
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
