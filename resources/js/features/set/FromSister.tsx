import { usePage } from '@inertiajs/react';
import { said } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import type { SetProps, SettingRow } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** What a sister system was set to, entered here in one go where this house derives the same. */
export function FromSister({ sister, settings }: { sister: SetProps['sisters'][number]; settings: SettingRow[] }) {
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
            await record('settings', {
                key: setting.key,
                value: setting.value,
                note: say('set.as-on', { sister: sister.label }),
            });
    };
    const named = other.map((setting) => setting.label.toLowerCase()).join(', ');
    return (
        <div className="flex flex-wrap items-center gap-x-4 border-b border-hair bg-panel px-5 py-1 text-small">
            <span className="min-w-0 flex-1">
                {other.length > 0
                    ? say('set.has-this-thermostat-too-set-otherwise', { sister: sister.label, named })
                    : say('set.has-this-thermostat-too', { sister: sister.label })}
            </span>
            {same.length > 0 && (
                <button className="link" onClick={() => void copy()}>
                    {say('set.entered-as-there', { same: same.length })}
                </button>
            )}
            <Bad>{answer ? said(answer) : null}</Bad>
        </div>
    );
}
