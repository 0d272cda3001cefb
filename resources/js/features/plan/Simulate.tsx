import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import type { ReactNode } from 'react';
import { geometry } from '@/features/strand-board/geometry';
import { StrandBoard } from '@/features/strand-board/StrandBoard';
import type { PlanProps, PlanView, Simulation } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { mono } from '@/ui/marks';
import { rich, say } from '@/words';
import { ProofMark } from './Problems';
import { number } from '@/lib/numbers';
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
    selected: string | null;
    onCall: (call: string) => void;
    onSelect: (conductor: string | null) => void;
}) {
    const { job } = usePage<PlanProps>().props;
    const closed = job.closed;
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
                    <span className="mono">{say('plan.a', { amps: number(state.amps, 2) })}</span>
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
                    onSelect={closed ? undefined : (conductor) => onSelect(conductor === selected ? null : conductor)}
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
            <Leads
                letters={plan.board.module}
                title={say('plan.the-outputs-stand-at-the-equipment')}
                says={(letters) => rich('plan.short-leads-letter-to-letter-the', { letters, b: mono })}
            />
            <Leads
                letters={plan.board.kit}
                title={say('plan.the-kits-adapter-stands-at-the')}
                says={(letters) => rich('plan.k-comes-from-the-wall-short', { letters, b: mono })}
            />
        </>
    );
}

/** What stands at the board and is joined to it by short leads: a module with the outputs, or a kit's adapter. */
function Leads({ letters, title, says }: { letters: string[]; title: string; says: (letters: string) => ReactNode }) {
    if (letters.length === 0) return null;
    return (
        <p className="band px-5 py-3 text-small">
            <b className="font-semibold">{title}</b> {says(letters.join(', '))}
        </p>
    );
}
