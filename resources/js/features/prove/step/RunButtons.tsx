import { clsx } from 'clsx';
import { countdown } from '@/lib/format';
import type { StepView } from '@/types';
import { say } from '@/words';
import { useRun } from './useRun';

/** A button that keeps to the width of its cell. */
const fits = 'btn btn--small max-w-full text-left whitespace-normal!';

/** What is said when a step's set-up stands, and when it is over, by its method. */
const SAID: Record<string, [begins: string, ends: string]> = {
    'pre-check': [say('prove.face-is-off'), say('prove.ohms-are-done')],
    'at-rest': [say('prove.nothing-is-called'), say('prove.rest-is-done')],
    looks: [say('prove.look-round'), say('prove.looked-at-all')],
    cable: [say('prove.cable-is-lifted'), say('prove.conductors-are-back')],
    continuity: [say('prove.lifted-and-asked'), say('prove.conductors-are-back')],
    'float-lift': [say('prove.float-is-up'), say('prove.float-is-down')],
    shed: [say('prove.shed-command-given'), say('prove.shed-command-over')],
    'board-jumper': [say('prove.jumper-is-on'), say('prove.jumper-is-out-cable-is-back')],
    jumper: [say('prove.jumper-is-on'), say('prove.jumper-is-out-face-is-on')],
    'aux-alone': [say('prove.jumper-is-on'), say('prove.jumper-is-out-face-is-on')],
};
const begins = ({ method, state }: StepView) =>
    SAID[method]?.[0] ?? (state === 'open' ? say('prove.call-is-on') : say('prove.call-again'));
const ends = ({ method }: StepView) => SAID[method]?.[1] ?? say('prove.call-has-ended');

/** Begins the run, goes on with it, leads on to a higher stage, ends it. */
export function RunButtons() {
    const { step, off, ready, higher, join } = useRun();
    return (
        <div className="mt-2 flex flex-wrap gap-2">
            {step.running ? <End /> : <Begin />}
            {step.running &&
                !off &&
                higher.map((next) => (
                    <button
                        key={next.key}
                        className={clsx('btn btn--small', ready && next.state !== 'passed' && 'btn--go')}
                        onClick={() => void join(next)}
                    >
                        {say('prove.ask-for-more', { callLabel: next.callLabel })}
                    </button>
                ))}
        </div>
    );
}

function Begin() {
    const { step, goesOn, begin } = useRun();
    return (
        <>
            {goesOn && (
                <button
                    className={clsx(fits, step.state !== 'passed' && 'btn--go')}
                    onClick={() => void begin('again')}
                >
                    {step.state === 'open' ? say('prove.again-for-what-is-missing') : say('prove.again-for-one-figure')}
                </button>
            )}
            <button className={clsx(fits, !goesOn && 'btn--go')} onClick={() => void begin()}>
                {goesOn ? say('prove.everything-anew') : begins(step)}
            </button>
            {step.forced && (
                <button className={fits} title={step.forced.reason} onClick={() => void begin('forced')}>
                    {say('prove.forced-in-the-test-menu', { wait: countdown(step.forced.seconds) })}
                </button>
            )}
        </>
    );
}

function End() {
    const { step, off, ready, higher, answering, end } = useRun();
    return (
        <button
            className={clsx('btn btn--small', ready && higher.every((next) => next.state === 'passed') && 'btn--go')}
            disabled={off || answering > 0}
            onClick={() => void end()}
        >
            {ends(step)}
        </button>
    );
}
