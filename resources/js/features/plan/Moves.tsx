import { usePage } from '@inertiajs/react';
import { said } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import { useAskPower, usePowerWanted } from '@/shell/Shell';
import type { MoveRow, PlanProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { Tick } from '@/ui/Tick';
import { say } from '@/words';

/** What a new cable takes, from the reel to the last reading. */
export function Pull({ lines }: { lines: string[] }) {
    return (
        <section className="border-t-2 border-ink px-5 pb-4 pt-3" aria-label={say('plan.pull-list')}>
            <h2 className="h-sec">{say('plan.pull-list')}</h2>
            <ol className="mt-1 list-decimal pl-6">
                {lines.map((line) => (
                    <li key={line} className="border-t border-hair py-2">
                        {line}
                    </li>
                ))}
            </ol>
        </section>
    );
}

/** The landing list: with the power off and proved dead, each move ticked as it is done. */
export function Moves({ moves, closed }: { moves: MoveRow[]; closed: boolean }) {
    const { job, power } = usePage<PlanProps>().props;
    const ask = useAskPower();
    usePowerWanted(closed || moves.every((move) => move.done) ? null : 'isolated');
    const { record, answer } = useRecord(job.id);
    const problem = answer ? said(answer) : '';
    const tick = async (move: MoveRow, done: boolean) => {
        await record('moves', { move: move.key, done });
    };
    return (
        <section id="moves" className="border-t-2 border-ink bg-panel px-5 pb-5 pt-3" aria-label={say('plan.moves')}>
            <div className="flex flex-wrap items-center justify-between gap-3">
                <h2 className="h-sec">{say('plan.moves-in-this-order')}</h2>
                {!closed &&
                    (power.state === 'isolated' ? (
                        <State glyph="iso" tone="iso">
                            {say('plan.isolated-proved-dead')}
                        </State>
                    ) : (
                        <button className="btn btn--small" onClick={() => ask('isolated')}>
                            <Glyph name="iso" /> {say('plan.isolate-first')}
                        </button>
                    ))}
            </div>
            <Bad>{problem}</Bad>
            <ul className="mt-1">
                {moves.map((move) => (
                    <li key={move.key} className="flex min-h-12 items-center gap-3 border-t border-hair">
                        <Tick
                            checked={move.done}
                            label={move.text}
                            disabled={closed}
                            onChange={(done) => void tick(move, done)}
                        />
                        <span className={move.done ? 'text-muted' : ''}>
                            <b className="font-semibold">{move.text}</b>{' '}
                            <span className="text-small text-muted">{move.why}</span>
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}
