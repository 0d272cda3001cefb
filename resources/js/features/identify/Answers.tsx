import { useState } from 'react';
import { list, say } from '@/words';

/** The ends that answered each other: two taps make a pair, another end taps on to one that is there. */
export function Answers({
    ends,
    groups,
    onGroups,
}: {
    ends: { id: string; name: string }[];
    groups: string[][];
    onGroups: (groups: string[][]) => void;
}) {
    const [first, setFirst] = useState<string | null>(null);
    const name = (id: string) => ends.find((end) => end.id === id)?.name ?? id;
    const tap = (id: string) => {
        if (first === id) return setFirst(null);
        if (first === null) return setFirst(id);
        const mine = groups.filter((group) => group.includes(first) || group.includes(id));
        const rest = groups.filter((group) => !mine.includes(group));
        onGroups([...rest, [...new Set([...mine.flat(), first, id])]]);
        setFirst(null);
    };
    return (
        <div className="mt-1">
            <div role="group" aria-label={say('identify.tap-two-that-answer')} className="flex flex-wrap gap-1.5">
                {ends.map(({ id, name: word }) => (
                    <button
                        key={id}
                        type="button"
                        className="chip min-h-11"
                        aria-pressed={first === id || groups.some((group) => group.includes(id))}
                        onClick={() => tap(id)}
                    >
                        {word}
                    </button>
                ))}
            </div>
            <p className="mt-1 text-small text-muted" role="status">
                {first === null
                    ? groups.length === 0
                        ? say('identify.none-answer-yet')
                        : ''
                    : say('identify.and-which-answers', { end: name(first) })}
            </p>
            <ul>
                {groups.map((group) => (
                    <li key={group.join()} className="flex min-h-11 items-center justify-between border-t border-hair">
                        {say('identify.answer-each-other', { ends: list(group.map(name)) })}
                        <button
                            type="button"
                            className="link"
                            onClick={() => onGroups(groups.filter((other) => other !== group))}
                        >
                            {say('identify.no-they-do-not')}
                        </button>
                    </li>
                ))}
            </ul>
        </div>
    );
}
