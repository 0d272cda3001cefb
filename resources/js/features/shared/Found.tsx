import type { SharedProps } from '@/types';
import { Swatch } from '@/ui/Tag';
import { say } from '@/words';

/** Every cable as it was found, conductor by conductor. */
export function Found({ cables }: { cables: NonNullable<SharedProps['found']> }) {
    return (
        <section>
            <h3 className="h-sec mb-1 mt-4">{say('share.found-cables')}</h3>
            {cables.length === 0 && <p className="text-muted">{say('share.no-cable')}</p>}
            {cables.map((cable) => {
                const title = say('share.cable-from-to', { label: cable.label, from: cable.from, to: cable.to });
                return (
                    <div key={cable.id} tabIndex={0} role="group" aria-label={title} className="mt-2 overflow-x-auto">
                        <b className="font-lab text-lead font-semibold">{title}</b>
                        <table className="min-w-[560px] text-body">
                            <thead>
                                <tr className="lab border-b border-hair [&>th]:py-1">
                                    <th>{say('handover.conductor')}</th>
                                    <th>{cable.from}</th>
                                    <th>{cable.to}</th>
                                    <th>{say('handover.how-we-know')}</th>
                                    <th>{say('share.condition')}</th>
                                </tr>
                            </thead>
                            <tbody>
                                {cable.conductors.map((row) => (
                                    <tr key={row.number} className="h-9 border-b border-hair">
                                        <td>
                                            <span className="flex items-center gap-2">
                                                <b className="w-4 font-lab">{row.number}</b>
                                                <Swatch colour={row.colour} stripe={row.stripe} width={44} />{' '}
                                                {row.colourWord}
                                            </span>
                                        </td>
                                        <td className="font-semibold">{row.near}</td>
                                        <td className="font-semibold">{row.far}</td>
                                        <td className="text-small text-muted">{row.evidence}</td>
                                        <td className="text-small">{row.condition.join(', ')}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </div>
                );
            })}
        </section>
    );
}
