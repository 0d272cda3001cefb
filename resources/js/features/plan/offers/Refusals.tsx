import type { Offers } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';

/** The plans that do not work, and why. */
export function Refusals({ refused }: { refused: Offers['refused'] }) {
    return (
        <details className="mt-2">
            <summary className="fold gap-2 font-lab text-body font-semibold">
                <Glyph name="fault" style={{ color: 'var(--fault)' }} />{' '}
                {say('plan.1-that-does-other-not-work', { refused: refused.length })}
            </summary>
            <ul>
                {refused.map((candidate) => (
                    <li key={candidate.key} className="border-t border-hair py-2 text-small">
                        <b className="font-semibold">{candidate.title}</b>{' '}
                        <span className="mono text-tiny text-muted">{candidate.codes.join(' ')}</span>
                        {candidate.refusals.slice(0, 3).map((refusal) => (
                            <span key={refusal} className="block text-fault-ink">
                                {refusal}
                            </span>
                        ))}
                    </li>
                ))}
            </ul>
        </details>
    );
}
