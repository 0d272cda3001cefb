import { router, usePage } from '@inertiajs/react';
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
    const { job, thermostat, settings, history, table, findings, readings } = usePage<SetProps>().props;
    const [shown, setShown] = useState(settings.find((setting) => setting.entered !== setting.value)?.key ?? settings[0]?.key ?? '');
    const closed = job.handedOverAt !== null;
    const open = settings.filter((setting) => setting.entered === null && !setting.lacking).length;
    const setting = settings.find((candidate) => candidate.key === shown);

    return (
        <Shell stage="set" title="Set" start={['wall.Rc', 'wall.C']} dock={<MeterDock stage="set" readings={readings} />}>
            <div className="head">
                <div>
                    <h1 className="h-step">Set</h1>
                    <p>Enter these in the menu of: {thermostat}. Each one follows from the survey.</p>
                </div>
                {!closed && (
                    <button className={`btn ${open === 0 ? 'btn--go' : ''}`} onClick={() => router.visit(`/jobs/${job.id}/prove`)}>
                        Go to Prove {open === 0 ? <Glyph name="go" /> : <span className="text-[14px] text-caution-ink">{open} open</span>}
                    </button>
                )}
            </div>
            <div className="grid flex-1 content-start border-t border-hair xl:grid-cols-[minmax(0,1fr)_var(--table)]" style={{ '--table': `${Math.max(300, 130 + 24 * table.columns.length)}px` } as React.CSSProperties}>
                <div>
                    {settings.map((item) => (
                        <Setting key={item.key} setting={item} at={history.filter((entry) => entry.key === item.key).at(-1)?.at ?? null} selected={item.key === shown} closed={closed} onSelect={() => setShown(item.key)} />
                    ))}
                    <section className="px-5 py-4" aria-label="Findings">
                        <h2 className="h-sec mb-1.5">Findings</h2>
                        <Findings findings={findings} empty="What the thermostat closes is what the equipment needs." />
                    </section>
                </div>
                <section className="border-hair px-5 py-3 xl:border-l" aria-label="What the thermostat closes">
                    <h2 className="h-sec">What the thermostat closes</h2>
                    <p className="mb-2 text-[14px] text-muted">With the settings as entered; as they should be where nothing is entered.</p>
                    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Call table, scrolls">
                        <CallTable table={table} />
                    </div>
                    {setting && (
                        <div className="mt-5">
                            <h3 className="h-sec">If {setting.label.toLowerCase()} is wrong</h3>
                            <dl className="mt-1">
                                {setting.choices
                                    .filter((choice) => choice.ifWrong)
                                    .map((choice) => (
                                        <div key={choice.value} className="border-t border-hair py-2">
                                            <dt className="font-lab text-[14px] font-semibold">{choice.label}</dt>
                                            <dd className="text-[14px] leading-[18px]">{choice.ifWrong}</dd>
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

function Setting({ setting, at, selected, closed, onSelect }: { setting: SettingRow; at: string | null; selected: boolean; closed: boolean; onSelect: () => void }) {
    const { job } = usePage<SetProps>().props;
    const { record, answer } = useRecord(job.id);
    const problem = answer ? said(answer) : '';
    const enter = async (value: string) => {
        onSelect();
        await record('settings', { key: setting.key, value });
    };
    const wrong = setting.entered !== null && setting.entered !== setting.value;
    return (
        <div className={`border-b border-hair px-5 py-2 ${selected ? 'bg-panel shadow-[inset_5px_0_0_var(--copper)]' : ''} ${wrong ? 'bg-fault-wash' : ''}`} data-setting={setting.key}>
            <div className="grid grid-cols-[minmax(0,1fr)_auto_44px] items-center gap-x-3 gap-y-1 md:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_44px_44px]">
                <button className="min-h-11 text-left max-md:col-span-3" onClick={onSelect}>
                    <b className="block font-lab text-[16px] font-semibold">{setting.label}</b>
                    <span className="block text-[14px] leading-[18px] text-muted">{setting.reason}</span>
                </button>
                <div className="min-w-0">
                    <b className="block font-lab text-[17px] font-semibold">{setting.valueLabel}</b>
                    <span className="block text-[13px] leading-[17px] text-muted">
                        {setting.lacking ?? (
                            <>
                                {setting.menuLabel}: {setting.menuValue}
                            </>
                        )}
                    </span>
                </div>
                <span className="mono text-[13px] text-muted">{at ? clock(at) : 'open'}</span>
                {!setting.lacking && <Tick checked={setting.entered === setting.value} disabled={closed} label={`${setting.label} entered as ${setting.valueLabel}`} onChange={() => void enter(setting.value)} />}
            </div>
            {selected && !closed && !setting.lacking && (
                <div className="mt-1 flex flex-wrap items-center gap-1" role="group" aria-label={`${setting.label}, as it stands in the thermostat`}>
                    <span className="lab mr-2">It stands at</span>
                    {setting.choices.map((choice) => (
                        <button key={choice.value} aria-pressed={setting.entered === choice.value} className="min-h-11 px-3 font-lab text-[15px] font-semibold text-muted aria-pressed:bg-ink aria-pressed:text-bone" onClick={() => void enter(choice.value)}>
                            {choice.menu}
                        </button>
                    ))}
                </div>
            )}
            <Bad>{problem}</Bad>
        </div>
    );
}
