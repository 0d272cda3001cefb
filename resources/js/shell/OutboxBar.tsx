import { drop, useOutbox } from '@/lib/write/outbox';
import { State } from '@/ui/State';
import { say } from '@/words';

/** What is kept on this device because there was no signal, and what the server would not take. */
export function OutboxBar() {
    const kept = useOutbox();
    if (kept.length === 0) return null;
    const waiting = kept.filter((entry) => !entry.refused);
    return (
        <div
            role="status"
            aria-label={say('shell.kept-on-this-device')}
            className="no-print border-b-2 border-caution bg-caution-wash px-5 py-1.5 text-small"
        >
            {waiting.length > 0 && (
                <State glyph="caution" tone="caution">
                    {say('shell.no-signal-one-entry-is-other', {
                        entries: waiting.length,
                        what: waiting.map((entry) => entry.what).join(', '),
                    })}
                </State>
            )}
            {kept
                .filter((entry) => entry.refused)
                .map((entry) => (
                    <p key={entry.body.id} className="flex flex-wrap items-center gap-x-3">
                        <span>
                            <b className="font-semibold">{say('shell.was-not-taken', { what: entry.what })}</b>{' '}
                            {entry.refused}
                        </span>
                        <button className="link" onClick={() => drop(entry.body.id)}>
                            {say('shell.leave-it-out')}
                        </button>
                    </p>
                ))}
        </div>
    );
}
