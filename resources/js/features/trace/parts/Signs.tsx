import { clsx } from 'clsx';
import type { TraceSign } from '@/types';

/** What runs, chatters, is blank: each sign with its answers, one of them pressed. */
export function Signs({
    signs,
    answered,
    onAnswer,
}: {
    signs: TraceSign[];
    answered: Record<string, string>;
    onAnswer: (key: string, answer: string) => void;
}) {
    return (
        <ul className="trace__signs">
            {signs.map((sign) => (
                <li key={sign.key}>
                    <span className="font-lab text-lead font-semibold">{sign.label}</span>
                    <span className="flex flex-wrap gap-1.5" role="group" aria-label={sign.label}>
                        {sign.answers.map((answer) => (
                            <button
                                key={answer.value}
                                className={clsx('trace__chip', answer.value === 'no' && 'trace__chip--no')}
                                aria-pressed={answered[sign.key] === answer.value}
                                onClick={() => onAnswer(sign.key, answer.value)}
                            >
                                {answer.label}
                            </button>
                        ))}
                    </span>
                </li>
            ))}
        </ul>
    );
}
