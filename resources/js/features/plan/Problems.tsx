import type { CallProof } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';
import { say } from '@/words';

export function ProofMark({ proof }: { proof: CallProof | undefined }) {
    if (!proof) return null;
    return (
        <span style={{ color: proof.proved ? 'var(--verd)' : 'var(--fault)' }} title={proof.problems.join(' ')}>
            <Glyph name={proof.proved ? 'pass' : 'fault'} size={13} />
            <span className="vh">{proof.proved ? say('plan.proved') : say('plan.fails')}</span>
        </span>
    );
}

/** Why a call is not proved, from the simulation. */
export function Problems({ proofs }: { proofs: CallProof[] }) {
    const failing = proofs.filter((proof) => !proof.proved);
    if (failing.length === 0) return null;
    return (
        <ul className="mb-3 grid gap-1.5">
            {failing.map((proof) => (
                <li key={proof.call} className="text-small">
                    <State glyph="fault" tone="fault">
                        {say('plan.is-not-proved', { proof: proof.label })}
                    </State>{' '}
                    {proof.problems.join(' ')}
                </li>
            ))}
        </ul>
    );
}
