import type { SharedProps } from '@/types';
import { State } from '@/ui/State';
import { say } from '@/words';

const look = {
    proved: { glyph: 'pass', tone: 'verd' },
    failed: { glyph: 'fault', tone: 'fault' },
    omitted: { glyph: 'caution', tone: 'caution' },
    open: { glyph: 'need', tone: 'copper' },
} as const;

/** Every call with where it stands, and what the proofs are worth. */
export function Calls({ calls, worth }: { calls: NonNullable<SharedProps['calls']>; worth: string[] }) {
    // While calls are open there is a long list of what nothing has shown yet: it says no more than that.
    const said = calls.some((call) => call.state === 'open') ? worth.slice(0, 1) : worth;
    return (
        <section>
            <h3 className="h-sec mb-1 mt-4">{say('share.calls')}</h3>
            {calls.length === 0 && <p className="text-muted">{say('handover.no-call-proved-yet')}</p>}
            <ul className="grid gap-x-10 lg:grid-cols-2">
                {calls.map(({ call, state }) => {
                    const { glyph, tone } = look[state as keyof typeof look];
                    return (
                        <li key={call} className="flex min-h-9 items-center justify-between gap-4 border-b border-hair">
                            <span>{call}</span>
                            <State glyph={glyph} tone={tone}>
                                {say('share.call-state', { state })}
                            </State>
                        </li>
                    );
                })}
            </ul>
            {said.map((line) => (
                <p key={line} className="mt-1 text-small">
                    {line}
                </p>
            ))}
        </section>
    );
}
