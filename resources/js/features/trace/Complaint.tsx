import { usePage } from '@inertiajs/react';
import { clsx } from 'clsx';
import { useState } from 'react';
import type { TraceProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { useTrace } from './useTrace';

type Told = Record<string, Record<string, string>>;

/** The complaint in a few taps: which call, what it does and what it does not, what happened before. */
export function Complaint() {
    const { entry, carried } = usePage<TraceProps>().props;
    const { row, problem, closed } = useTrace();
    const [told, setTold] = useState<Told>({});
    const [call, setCall] = useState(entry.calls[0]?.value ?? 'idle');
    const [history, setHistory] = useState<string[]>([]);
    const answered = told[call] ?? {};
    const tap = (key: string, answer: string) => {
        const { [key]: was, ...others } = answered;
        setTold({ ...told, [call]: was === answer ? others : { ...others, [key]: answer } });
    };
    const complaint = Object.entries(told)
        .filter(([, sees]) => Object.keys(sees).length > 0)
        .map(([name, sees]) => ({ call: name, sees, when: 'now' }));
    const start = () => row('open', { complaint, history, at: 'wall' });
    return (
        <>
            <div className="head">
                <div>
                    <h1 className="h-step">{say('trace.trace')}</h1>
                    <p>{say('trace.what-does-it-do')}</p>
                </div>
                <button className="btn btn--go" onClick={start} disabled={closed}>
                    {complaint.length === 0 ? say('trace.start-from-nothing') : say('trace.start')}
                    <Glyph name="go" size={20} />
                </button>
            </div>
            {problem && (
                <p className="px-5" role="alert">
                    <Bad>{problem}</Bad>
                </p>
            )}
            {carried > 0 && (
                <p className="mx-5 mb-2 border-l-4 border-copper bg-copper-wash px-3 py-2 text-lead">
                    {say('trace.rows-go-along', { rows: carried })}
                </p>
            )}
            <section className="px-5" aria-label={say('trace.complaint')}>
                <h2 className="h-sec mb-1">{say('trace.which-call')}</h2>
                <div className="flex flex-wrap gap-1.5" role="group" aria-label={say('trace.which-call')}>
                    {entry.calls.map((one) => (
                        <button
                            key={one.value}
                            className="trace__chip"
                            aria-pressed={one.value === call}
                            onClick={() => setCall(one.value)}
                        >
                            {one.label}
                            {Object.keys(told[one.value] ?? {}).length > 0 && <Glyph name="pass" />}
                        </button>
                    ))}
                </div>
                <h2 className="h-sec mb-1 mt-4">{say('trace.what-runs')}</h2>
                <ul className="trace__signs">
                    {entry.signs.map((sign) => (
                        <li key={sign.key}>
                            <span className="font-lab text-lead font-semibold">{sign.label}</span>
                            <span className="flex flex-wrap gap-1.5" role="group" aria-label={sign.label}>
                                {sign.answers.map((answer) => (
                                    <button
                                        key={answer.value}
                                        className={clsx('trace__chip', answer.value === 'no' && 'trace__chip--no')}
                                        aria-pressed={answered[sign.key] === answer.value}
                                        onClick={() => tap(sign.key, answer.value)}
                                    >
                                        {answer.label}
                                    </button>
                                ))}
                            </span>
                        </li>
                    ))}
                </ul>
                <h2 className="h-sec mb-1 mt-4">{say('trace.what-happened-before')}</h2>
                <div
                    className="flex flex-wrap gap-1.5 pb-5"
                    role="group"
                    aria-label={say('trace.what-happened-before')}
                >
                    {entry.history.map((word) => (
                        <button
                            key={word.value}
                            className="trace__chip"
                            aria-pressed={history.includes(word.value)}
                            onClick={() =>
                                setHistory(
                                    history.includes(word.value)
                                        ? history.filter((one) => one !== word.value)
                                        : [...history, word.value],
                                )
                            }
                        >
                            {word.label}
                        </button>
                    ))}
                </div>
            </section>
        </>
    );
}
