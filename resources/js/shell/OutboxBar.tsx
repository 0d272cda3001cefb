import { again, drop, useOutbox } from '@/lib/write/outbox';
import { State } from '@/ui/State';
import { say } from '@/words';

/** What is kept on this device because there was no signal, and what the server would not take. */
export function OutboxBar() {
    const kept = useOutbox();
    if (kept.length === 0) return null;
    const waiting = kept.filter((row) => !row.refused);
    return (
        <div
            role="status"
            aria-label={say('shell.kept-on-this-device')}
            className="no-print border-b-2 border-caution bg-caution-wash px-5 py-1.5 text-small"
        >
            {waiting.length > 0 && (
                <State glyph="caution" tone="caution">
                    {say('shell.one-entry-is-kept-other', {
                        entries: waiting.length,
                        what: waiting.map((row) => row.what).join(', '),
                    })}
                </State>
            )}
            {kept
                .filter((row) => row.refused ?? row.waits)
                .map((row) => (
                    <p key={row.body.id} className="flex flex-wrap items-center gap-x-3">
                        <span>
                            <b className="font-semibold">
                                {row.refused
                                    ? say('shell.was-not-taken', { what: row.what })
                                    : say('shell.has-not-gone-yet', { what: row.what })}
                            </b>{' '}
                            {row.refused ?? row.waits}
                        </span>
                        <button className="link" onClick={() => void again(row.body.id)}>
                            {say('shell.send-again')}
                        </button>
                        {row.refused && (
                            <button className="link" onClick={() => void drop(row.body.id)}>
                                {say('shell.leave-it-out')}
                            </button>
                        )}
                    </p>
                ))}
        </div>
    );
}
