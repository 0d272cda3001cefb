import { clsx } from 'clsx';
import { useEffect, useRef, useState } from 'react';
import type { JobsProps, Show } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';

const shows: { key: Show; word: string }[] = [
    { key: 'all', word: say('jobs.all') },
    { key: 'open', word: say('jobs.open') },
    { key: 'flagged', word: say('jobs.flagged') },
    { key: 'archived', word: say('jobs.put-away') },
];

/** Search, which asks a moment after the last letter, and what the list shows. */
export function Finder({
    find,
    show,
    counts,
    onAsk,
}: {
    find: string;
    show: Show;
    counts: JobsProps['counts'];
    onAsk: (asked: { find: string; show: Show }) => void;
}) {
    const [search, setSearch] = useState(find);
    const asked = useRef(find);
    const ask = useRef(onAsk);
    useEffect(() => {
        ask.current = onAsk;
    }, [onAsk]);
    useEffect(() => {
        if (search === asked.current) return;
        const timer = setTimeout(() => {
            asked.current = search;
            ask.current({ find: search, show });
        }, 180);
        return () => clearTimeout(timer);
    }, [search, show]);
    return (
        <div className="band flex flex-wrap items-stretch">
            <label className="flex min-h-[50px] min-w-[220px] flex-1 items-center gap-3 px-5">
                <Glyph name="find" />
                <span className="vh">{say('jobs.find-a-job')}</span>
                <input
                    id="find"
                    type="search"
                    className="h-full w-full bg-transparent"
                    placeholder={say('jobs.house-strand-terminal-or-any-word')}
                    maxLength={100}
                    value={search}
                    onChange={(event) => setSearch(event.target.value)}
                />
            </label>
            <div role="group" aria-label={say('jobs.filter')} className="flex max-sm:w-full max-sm:overflow-x-auto">
                {shows.map((item) => (
                    <button
                        key={item.key}
                        aria-pressed={show === item.key}
                        className={clsx(
                            'min-h-[50px] border-l border-hair px-3.5 font-lab font-semibold',
                            'aria-pressed:bg-ink aria-pressed:text-bone',
                        )}
                        onClick={() => {
                            asked.current = search;
                            onAsk({ show: item.key, find: search });
                        }}
                    >
                        {item.word} <span className="opacity-80">{counts[item.key]}</span>
                    </button>
                ))}
            </div>
        </div>
    );
}
