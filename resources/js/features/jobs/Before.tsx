import { useState } from 'react';
import type { Day } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';

/** Beside the list: what will not fit into the day, and what to load before leaving. */
export function Before({ day }: { day: Day }) {
    const [sheet, setSheet] = useState(false);
    return (
        <aside className="dock" aria-label={say('jobs.before-leaving')} tabIndex={0} data-open={sheet ? '' : undefined}>
            <button
                className="dock__handle flex min-h-14 items-center justify-between gap-3 px-4 text-left"
                aria-expanded={sheet}
                onClick={() => setSheet(!sheet)}
            >
                <span>
                    <b className="block font-lab font-semibold">{say('jobs.load-before-you-go')}</b>
                    <span className="text-note text-muted">
                        {say('jobs.thing-other-other', { load: day.load.length, warnings: day.warnings.length })}
                    </span>
                </span>
                <span className="font-lab font-semibold underline underline-offset-4">
                    {sheet ? say('jobs.fold') : say('jobs.show')}
                </span>
            </button>
            <div className="dock__body">
                {day.warnings.length > 0 && (
                    <section aria-label={say('jobs.will-not-fit')}>
                        <h2 className="h-sec">{say('jobs.will-not-fit')}</h2>
                        <ul>
                            {day.warnings.map((warning) => (
                                <li key={warning.text} className="mt-1.5 flex gap-2.5 border-t border-hair pt-2">
                                    <span className="text-caution-ink">
                                        <Glyph name="caution" size={18} />
                                    </span>
                                    <p className="text-small">{warning.text}</p>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
                <section aria-label={say('jobs.load-before-you-go')}>
                    <h2 className="h-sec">{say('jobs.load-before-you-go')}</h2>
                    <p className="text-note text-muted">
                        {day.load.length === 0
                            ? say('jobs.nothing-no-visit-is-open-on')
                            : say('jobs.from-the-surveys-and-plans-of')}
                    </p>
                    <table className="mt-1 text-small">
                        <tbody>
                            {day.load.map((item) => (
                                <tr key={item.item} className="border-t border-hair align-top" title={item.why}>
                                    <td className="mono w-7 py-1">{item.count}</td>
                                    <td className="py-1 pr-2 leading-[18px]">{item.item}</td>
                                    <td className="py-1 text-right text-note text-muted">
                                        {item.for.length === 1
                                            ? item.for[0]
                                            : say('jobs.jobs', { for: item.for.length })}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </section>
            </div>
        </aside>
    );
}
