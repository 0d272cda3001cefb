import { useState } from 'react';
import { said } from '@/lib/write/api';
import type { Edits } from '@/lib/write/edits';
import type { SurveyProps } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** Letters that a board prints and this kind of equipment has not: which of its screws each one is. */
export function Prints({
    prints,
    screws,
    edits,
    closed,
}: {
    prints: SurveyProps['prints'];
    screws: SurveyProps['screws'];
    edits: Edits;
    closed: boolean;
}) {
    const [bad, setBad] = useState('');
    if (prints.length === 0) return null;
    return (
        <section aria-label={say('map.prints')} className="border-t border-hair px-5 py-2">
            <h2 className="h-sec">{say('map.prints')}</h2>
            <ul>
                {prints.map((print) => (
                    <li key={`${print.place}.${print.printed}`} className="border-t border-hair">
                        <label className="flex min-h-12 flex-wrap items-center gap-3">
                            <span>{say('map.print-at', { place: print.name, printed: print.printed })}</span>
                            <select
                                className="pick !w-auto"
                                disabled={closed}
                                value={print.means ?? ''}
                                onChange={async (event) => {
                                    const answer = await edits.send('print', {
                                        place: print.place,
                                        printed: print.printed,
                                        means: event.target.value || null,
                                    });
                                    setBad(answer.kind === 'ok' ? '' : said(answer));
                                }}
                            >
                                <option value="">{say('map.print-not-known')}</option>
                                {(screws[print.place] ?? []).map((screw) => (
                                    <option key={screw}>{screw}</option>
                                ))}
                            </select>
                        </label>
                    </li>
                ))}
            </ul>
            <Bad>{bad}</Bad>
        </section>
    );
}
