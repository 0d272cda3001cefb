import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { geometry } from '@/features/strand-board/geometry';
import { StrandBoard } from '@/features/strand-board/StrandBoard';
import type { PlanProps, PlanView, Simulation } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { mono } from '@/ui/marks';
import { rich, say } from '@/words';
import { ProofMark } from './Problems';
import { Words } from './Words';

/** Any call of the plan, simulated: which it is, what it says, and the strand board in it. */
export function Simulate({
    plan,
    state,
    width,
    selected,
    onCall,
    onSelect,
}: {
    plan: PlanView;
    state: Simulation;
    width: number;
    selected: number | null;
    onCall: (call: string) => void;
    onSelect: (number: number | null) => void;
}) {
    const { job } = usePage<PlanProps>().props;
    const closed = job.handedOverAt !== null;
    const right = geometry('plan', width).jacket[1];
    return (
        <>
            <div
                className="flex flex-wrap items-stretch border-y border-hair"
                role="group"
                aria-label={say('plan.simulate-a-call')}
            >
                <span className="lab self-center px-5">{say('plan.simulate')}</span>
                {plan.simulations.map((item) => (
                    <button
                        key={item.call}
                        aria-pressed={item.call === state.call}
                        onClick={() => onCall(item.call)}
                        className={clsx(
                            'flex min-h-11 items-center gap-2 border-l border-hair px-4 font-lab',
                            'text-body font-semibold aria-pressed:bg-ink aria-pressed:text-bone',
                        )}
                    >
                        {item.label}
                        <ProofMark proof={plan.proofs.find((proof) => proof.call === item.call)} />
                    </button>
                ))}
                <span className="ml-auto self-center px-5 text-note text-muted">
                    {say('plan.simulated')}{' '}
                    <span className="mono">{say('plan.a', { amps: state.amps.toFixed(2) })}</span>
                </span>
            </div>
            {state.notes.map((note) => (
                <p key={note} className="flex gap-2 border-b border-hair px-5 py-2 text-small">
                    <Glyph name="fault" style={{ color: 'var(--fault)', marginTop: 2 }} /> {note}
                </p>
            ))}
            <div className="bg-panel">
                <StrandBoard
                    variant={width < 700 ? 'phone' : 'plan'}
                    board={plan.board}
                    state={state}
                    fault={plan.short?.conductors ?? []}
                    selected={selected}
                    onSelect={closed ? undefined : (number) => onSelect(number === selected ? null : number)}
                    heads={
                        width < 700
                            ? []
                            : [
                                  { x: right + 40, text: say('plan.was') },
                                  { x: right + 110, text: say('plan.lands-on-2') },
                                  { x: right + 238, text: say('plan.what-to-do-and-why') },
                              ]
                    }
                    words={(row, place) => (
                        <Words
                            row={row}
                            move={plan.moves.find((move) => move.key.startsWith(`${row.id}:`))}
                            {...place}
                        />
                    )}
                    label={say('plan.strand-board-simulated-conductors', {
                        state: state.label,
                        rows: plan.board.rows.length,
                    })}
                />
            </div>
            {plan.board.module.length > 0 && (
                <p className="band px-5 py-3 text-small">
                    <b className="font-semibold">{say('plan.the-outputs-stand-at-the-equipment')}</b>{' '}
                    {rich('plan.short-leads-letter-to-letter-the', {
                        letters: plan.board.module.join(', '),
                        b: mono,
                    })}
                </p>
            )}
            {plan.board.kit.length > 0 && (
                <p className="band px-5 py-3 text-small">
                    <b className="font-semibold">{say('plan.the-kits-adapter-stands-at-the')}</b>{' '}
                    {rich('plan.k-comes-from-the-wall-short', {
                        letters: plan.board.kit.join(', '),
                        b: mono,
                    })}
                </p>
            )}
        </>
    );
}
