import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { day } from '@/lib/format';
import type { HandoverProps } from '@/types';
import { Swatch } from '@/ui/Tag';
import { say } from '@/words';

/** Where each conductor was and is, and the plan that it follows. */
export function BeforeAndAfter() {
    const { wiring, beside, choice } = usePage<HandoverProps>().props;
    return (
        <section>
            <h3 className="h-sec mb-1 mt-4">{say('handover.before-and-after')}</h3>
            <table className="text-body">
                <thead>
                    <tr className="lab border-b border-hair [&>th]:py-1">
                        <th>{say('handover.conductor')}</th>
                        <th>{say('handover.wall-before')}</th>
                        <th>{say('handover.wall-now')}</th>
                        <th>{say('handover.board-before')}</th>
                        <th>{say('handover.board-now')}</th>
                        <th>{say('handover.how-we-know')}</th>
                    </tr>
                </thead>
                <tbody>
                    {wiring.map((row) => (
                        <tr key={row.number} className="h-9 border-b border-hair">
                            <td>
                                <span className="flex items-center gap-2">
                                    <b className="w-4 font-lab">{row.number}</b>
                                    <Swatch colour={row.colour} stripe={row.stripe} width={44} /> {row.colourWord}
                                </span>
                            </td>
                            <td>{row.before}</td>
                            <td className="font-semibold">{row.after}</td>
                            <td>{row.boardBefore}</td>
                            <td className="font-semibold">{row.board}</td>
                            <td className="text-small text-muted">
                                {row.condition.length > 0 && (
                                    <span className="block font-semibold text-fault-ink">
                                        {row.condition.join(', ')}
                                    </span>
                                )}
                                {row.evidence}
                            </td>
                        </tr>
                    ))}
                    {beside.map((row, index) => (
                        <tr key={`${row.label}/${index}`} className="h-9 border-b border-hair">
                            <td>{row.label}</td>
                            <td>{row.wall_before}</td>
                            <td className="font-semibold">{row.wall}</td>
                            <td>{row.board_before}</td>
                            <td className="font-semibold">{row.board}</td>
                            <td className="text-small text-muted">{row.meaning}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {wiring.length === 0 && <p className="text-muted">{say('handover.no-plan-yet')}</p>}
            {choice && (
                <p className="mt-1 text-small">
                    {say('handover.plan', {
                        title: choice.title,
                        edited: String(choice.edited),
                        reasoned: String(choice.note !== ''),
                        note: choice.note,
                    })}
                </p>
            )}
        </section>
    );
}

/** What the house has. */
export function EquipmentFound() {
    const { facts, thermostat } = usePage<HandoverProps>().props;
    return (
        <section>
            <h3 className="h-sec mb-1 mt-4">{say('handover.equipment-and-thermostat')}</h3>
            <dl className="text-body">
                {[...facts, { label: say('handover.thermostat'), value: thermostat ?? say('handover.not-chosen') }].map(
                    (fact) => (
                        <div
                            key={fact.label}
                            className="flex min-h-9 items-center justify-between gap-4 border-b border-hair"
                        >
                            <dt className="text-muted">{fact.label}</dt>
                            <dd className="text-right">{fact.value}</dd>
                        </div>
                    ),
                )}
            </dl>
        </section>
    );
}

/** What was entered, each with its reason. */
export function SettingsEntered() {
    const { settings } = usePage<HandoverProps>().props;
    return (
        <section>
            <h3 className="h-sec mb-1 mt-4">{say('handover.settings')}</h3>
            <dl className="gap-x-10 text-body lg:columns-2 print:columns-2">
                {settings.map((setting) => (
                    <div
                        key={setting.label}
                        className="grid break-inside-avoid grid-cols-[1fr_auto] gap-x-4 border-b border-hair py-1.5"
                    >
                        <dt>{setting.label}</dt>
                        <dd
                            className={clsx(
                                'font-semibold',
                                setting.value !== null && !setting.asDerived && 'text-fault-ink',
                            )}
                        >
                            {setting.value ?? say('handover.not-entered')}
                        </dd>
                        <dd className="col-span-2 text-note text-muted">
                            {setting.at === null ? setting.reason : `${day(setting.at)} · ${setting.reason}`}
                        </dd>
                    </div>
                ))}
            </dl>
        </section>
    );
}
