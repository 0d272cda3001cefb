import { drop, useOutbox } from '@/lib/outbox';
import { State } from '@/ui/State';

/** What is kept on this device because there was no signal, and what the server would not take. */
export function OutboxBar() {
    const kept = useOutbox();
    if (kept.length === 0) return null;
    const waiting = kept.filter((entry) => !entry.refused);
    return (
        <div
            role="status"
            aria-label="Kept on this device"
            className="no-print border-b-2 border-caution bg-caution-wash px-5 py-1.5 text-small"
        >
            {waiting.length > 0 && (
                <State glyph="caution" tone="caution">
                    No signal: {waiting.length === 1 ? 'one entry is' : `${waiting.length} entries are`} kept on this
                    device and sent when it is back: {waiting.map((entry) => entry.what).join(', ')}
                </State>
            )}
            {kept
                .filter((entry) => entry.refused)
                .map((entry) => (
                    <p key={entry.body.id} className="flex flex-wrap items-center gap-x-3">
                        <span>
                            <b className="font-semibold">{entry.what} was not taken:</b> {entry.refused}
                        </span>
                        <button className="link" onClick={() => drop(entry.body.id)}>
                            Leave it out
                        </button>
                    </p>
                ))}
        </div>
    );
}
