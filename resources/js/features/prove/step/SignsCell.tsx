import { clsx } from 'clsx';
import { clock } from '@/lib/format';
import { Answers } from '@/features/signs/Answers';
import type { StepView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { outcomeLook, State } from '@/ui/State';
import { say } from '@/words';
import { Cell } from './Cell';
import { useRun } from './useRun';

type SignView = StepView['signs'][number];

/** What is to be seen and heard, each with its answer, or all of them by one tap. */
export function SignsCell() {
    const { step, closed, practice, open, answering, answerAll, look } = useRun();
    return (
        <Cell label={say('prove.4-see-and-hear')} wide>
            {practice && step.running && !closed && step.signs.length > 0 && (
                <button className="link" onClick={() => void look()}>
                    {say('prove.look-and-listen-simulated')}
                </button>
            )}
            {!closed && step.running && (open.length > 1 || answering > 0) && (
                <button
                    className="btn btn--small mt-1 flex! w-fit"
                    disabled={answering > 0}
                    onClick={() => void answerAll()}
                >
                    {say('prove.all-seen', { signs: answering > 0 ? answering : open.length })}
                </button>
            )}
            {step.signs.length === 0 && (
                <p className="mt-1 text-small text-muted">{say('prove.nothing-to-see-or-hear-the')}</p>
            )}
            <ul className="mt-1 divide-y divide-hair">
                {step.signs.map((sign) => (
                    <SignRow key={sign.key} sign={sign} />
                ))}
            </ul>
        </Cell>
    );
}

function SignRow({ sign }: { sign: SignView }) {
    const { step, closed, off, kept, asks, answer } = useRun();
    const runs = !closed && step.running;
    return (
        <li className="flex min-h-11 flex-wrap items-center gap-x-2 py-1 text-small">
            <Glyph name={sign.sense === 'ear' ? 'ear' : 'eye'} size={18} />
            <span className="flex-1">
                {sign.text}
                {sign.outcome && <Answered sign={sign} outcome={sign.outcome} />}
            </span>
            {runs && !asks(sign) && !sign.outcome && (
                <span className="text-muted">{off ? say('prove.not-looked-at') : say('prove.after-the-call')}</span>
            )}
            {kept.has(sign.key) && (
                <State glyph="wait" tone="caution">
                    {say('prove.kept-on-device', {
                        answer: kept.get(sign.key) ? say('prove.yes-2') : say('prove.no-2'),
                    })}
                </State>
            )}
            {runs && asks(sign) && !kept.has(sign.key) && (
                <Answers sign={sign} onAnswer={(seen, how) => void answer(sign.key, seen, how)} />
            )}
        </li>
    );
}

function Answered({ sign, outcome }: { sign: SignView; outcome: NonNullable<SignView['outcome']> }) {
    const word =
        outcome === 'pass' ? say('prove.yes-2') : outcome === 'fail' ? say('prove.no-2') : say('prove.too-early');
    return (
        <span className="block" title={sign.reason ?? ''}>
            <State glyph={outcomeLook[outcome].glyph} tone={outcomeLook[outcome].tone}>
                {sign.how ? sign.how : word}
            </State>{' '}
            <span className="mono text-muted">{sign.at && clock(sign.at)}</span>
            {sign.simulated && <span className="text-muted"> {say('prove.simulated-2')}</span>}
        </span>
    );
}

/** Each sign that was not as expected, with what it means. */
export function NotAsExpected() {
    const { step } = useRun();
    return step.signs
        .filter((sign) => sign.outcome === 'fail' || sign.how)
        .map((sign) => (
            <p
                key={sign.key}
                role={sign.danger ? 'alert' : undefined}
                className={clsx(
                    'border-b border-hair px-5 py-2 text-small',
                    sign.danger && 'border-l-[6px] border-l-fault bg-fault-wash font-semibold',
                )}
            >
                <b>
                    {sign.how
                        ? say('prove.neither-2', { sign: sign.text, how: sign.how })
                        : say('prove.no-3', { sign: sign.text })}
                </b>{' '}
                {sign.reason}
            </p>
        ));
}
