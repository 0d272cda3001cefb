import type { HandoverProps } from '@/types';
import { State } from '@/ui/State';
import { say } from '@/words';

/** What worked before the work and what did not, on the thermostat that was found. */
export function Baseline({ rows }: { rows: HandoverProps['baseline'] }) {
    if (rows.length === 0) return null;
    return (
        <section aria-label={say('handover.as-found-before-the-work')}>
            <h3 className="h-sec mb-1 mt-5">{say('handover.as-found-before-the-work')}</h3>
            <ul className="grid gap-x-8 sm:grid-cols-2">
                {rows.map((row) => (
                    <li
                        key={row.call}
                        className="flex min-h-8 flex-wrap items-center gap-x-4 border-t border-hair py-1"
                    >
                        <State
                            glyph={row.state === 'passed' ? 'pass' : row.state === 'failed' ? 'fault' : 'need'}
                            tone={row.state === 'passed' ? 'verd' : row.state === 'failed' ? 'fault' : 'muted'}
                        >
                            {say('handover.as-found-call', { call: row.call, state: row.state })}
                        </State>
                        {row.told !== null && <span className="text-small">{row.told}</span>}
                    </li>
                ))}
            </ul>
        </section>
    );
}
