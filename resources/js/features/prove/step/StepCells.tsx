import { clsx } from 'clsx';
import { said } from '@/lib/write/api';
import { useAskPower } from '@/shell/Shell';
import type { StepView } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { DoCell } from './DoCell';
import { PowerCell } from './PowerCell';
import { NotAsExpected, SignsCell } from './SignsCell';
import { RunContext, useRun, useRunOf } from './useRun';
import { WaitCell } from './WaitCell';

/** The four cells of a step: power, do, wait, see and hear. */
export function StepCells({
    step,
    closed,
    onStep,
}: {
    step: StepView;
    closed: boolean;
    onStep: (key: string) => void;
}) {
    const run = useRunOf(step, closed, onStep);
    return (
        <RunContext value={run}>
            <div
                className={clsx(
                    'grid grid-cols-2 [grid-auto-flow:dense] border-b border-hair',
                    'md:grid-cols-[176px_minmax(0,1fr)_minmax(0,0.75fr)_minmax(0,1.6fr)]',
                )}
            >
                <PowerCell />
                <DoCell />
                <WaitCell />
                <SignsCell />
            </div>
            <Refused />
            <NotAsExpected />
        </RunContext>
    );
}

/** Why the server did not take something; where it is the power's, with the way to it. */
function Refused() {
    const { step, problem } = useRun();
    const ask = useAskPower();
    if (!problem || problem.kind === 'ok') return null;
    return (
        <div className="flex flex-wrap items-center gap-4 border-b border-fault bg-fault-wash px-5 py-2">
            <Bad>{said(problem)}</Bad>
            {problem.kind === 'invalid' && problem.errors.power && (
                <button className="link" onClick={() => ask(step.isolated ? 'isolated' : 'live')}>
                    {step.isolated ? say('prove.isolate') : say('prove.make-live')}
                </button>
            )}
        </div>
    );
}
