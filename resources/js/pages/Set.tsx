import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { CallTable } from '@/features/call-table/CallTable';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { Shell, useAskPower, usePowerWanted } from '@/shell/Shell';
import { url } from '@/lib/url';
import type { SetProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Findings } from '@/ui/State';
import { Setting } from '@/features/set/Setting';
import { FromSister } from '@/features/set/FromSister';
import { say } from '@/words';

export default function SetPage() {
    const page = usePage<SetProps>().props;
    const { job, thermostat, settings: every, sisters, history, table, findings, readings } = page;
    const settings = every.filter((setting) => setting.lacking === null);
    const lacking = every.filter((setting) => setting.lacking !== null);
    const [shown, setShown] = useState(
        settings.find((setting) => setting.entered !== setting.value)?.key ?? settings[0]?.key ?? '',
    );
    const closed = job.closed;
    const open = settings.filter((setting) => setting.entered === null && setting.required).length;
    const setting = settings.find((candidate) => candidate.key === shown);
    const wantsLive = !closed && page.needsPower && open > 0 && page.power.state !== 'live';

    return (
        <Shell
            stage="set"
            title={say('set.set')}
            start={['wall.Rc', 'wall.C']}
            dock={<MeterDock stage="set" readings={readings} />}
        >
            <div className="head">
                <div>
                    <h1 className="h-step">{say('set.set')}</h1>
                    <p>{say('set.enter-these-in-the-menu-of', { thermostat })}</p>
                </div>
                <Link className="link ml-auto" href={url('job.figures', { job: job.id })}>
                    {say('set.figures')}
                </Link>
                {!closed && (
                    <button
                        className={`btn ${open === 0 ? 'btn--go' : ''}`}
                        onClick={() => router.visit(url('job.prove', { job: job.id }))}
                    >
                        {say('set.go-to-prove')}{' '}
                        {open === 0 ? (
                            <Glyph name="go" />
                        ) : (
                            <span className="text-small text-caution-ink">{say('set.open', { open })}</span>
                        )}
                    </button>
                )}
            </div>
            <div
                className="grid flex-1 content-start border-t border-hair xl:grid-cols-[minmax(0,1fr)_var(--table)]"
                style={{ '--table': `${Math.max(300, 130 + 24 * table.columns.length)}px` } as React.CSSProperties}
            >
                <div>
                    {wantsLive && <NeedsPower />}
                    <p className="border-b border-hair px-5 py-2 text-small">
                        <b className="font-semibold">{say('set.into-the-menu')}</b>{' '}
                        {page.menuEntry === '' ? say('set.by-the-sheet') : page.menuEntry}
                    </p>
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
                                {say('set.that-this-menu-does-not-have', { lacking: lacking.length })}
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
                    <section className="px-5 py-4" aria-label={say('set.findings')}>
                        <h2 className="h-sec mb-1.5">{say('set.findings')}</h2>
                        <Findings findings={findings} empty={say('set.what-the-thermostat-closes-is-what')} />
                    </section>
                </div>
                <section
                    className="border-hair px-5 py-3 xl:border-l"
                    aria-label={say('set.what-the-thermostat-closes')}
                >
                    <h2 className="h-sec">{say('set.what-the-thermostat-closes')}</h2>
                    <p className="mb-2 text-small text-muted">{say('set.with-the-settings-as-entered-as')}</p>
                    <div
                        className="overflow-x-auto"
                        tabIndex={0}
                        role="group"
                        aria-label={say('set.call-table-scrolls')}
                    >
                        <CallTable table={table} />
                    </div>
                    {setting && (
                        <div className="mt-5">
                            <h3 className="h-sec">
                                {say('set.if-is-wrong', { setting: setting.label.toLowerCase() })}
                            </h3>
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
                                            <dd className="text-small">
                                                {choice.ifWrong ?? say('set.as-it-should-be')}
                                            </dd>
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

/** A display that the equipment feeds is dark without it: the menu cannot be opened. */
function NeedsPower() {
    const ask = useAskPower();
    usePowerWanted('live');
    return (
        <p
            role="status"
            className="flex flex-wrap items-center gap-3 border-b-2 border-caution bg-caution-wash px-5 py-2 text-small"
        >
            <span className="flex-1">{say('set.needs-power')}</span>
            <button className="btn btn--small" onClick={() => ask('live')}>
                {say('set.make-live')}
            </button>
        </p>
    );
}
