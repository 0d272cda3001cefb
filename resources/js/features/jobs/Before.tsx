import { useState } from 'react';
import type { Day } from '@/types';
import { Glyph } from '@/ui/Glyph';

/** Beside the list: what will not fit into the day, and what to load before leaving. */
export function Before({ day }: { day: Day }) {
    const [sheet, setSheet] = useState(false);
    return (
        <aside className="dock" aria-label="Before leaving" tabIndex={0} data-open={sheet ? '' : undefined}>
            <button
                className="dock__handle flex min-h-14 items-center justify-between gap-3 px-4 text-left"
                aria-expanded={sheet}
                onClick={() => setSheet(!sheet)}
            >
                <span>
                    <b className="block font-lab font-semibold">Load before you go</b>
                    <span className="text-note text-muted">
                        {day.load.length} things
                        {day.warnings.length > 0 && `, ${day.warnings.length} that will not fit`}
                    </span>
                </span>
                <span className="font-lab font-semibold underline underline-offset-4">{sheet ? 'Fold' : 'Show'}</span>
            </button>
            <div className="dock__body">
                {day.warnings.length > 0 && (
                    <section aria-label="Will not fit">
                        <h2 className="h-sec">Will not fit</h2>
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
                <section aria-label="Load before you go">
                    <h2 className="h-sec">Load before you go</h2>
                    <p className="text-note text-muted">
                        {day.load.length === 0
                            ? 'Nothing: no visit is open on this day.'
                            : 'From the surveys and plans of the day.'}
                    </p>
                    <table className="mt-1 text-small">
                        <tbody>
                            {day.load.map((item) => (
                                <tr key={item.item} className="border-t border-hair align-top" title={item.why}>
                                    <td className="mono w-7 py-1">{item.count}</td>
                                    <td className="py-1 pr-2 leading-[18px]">{item.item}</td>
                                    <td className="py-1 text-right text-note text-muted">
                                        {item.for.length === 1 ? item.for[0] : `${item.for.length} jobs`}
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
