import { clsx } from 'clsx';
import { useState } from 'react';
import type { StepView } from '@/types';
import { say } from '@/words';

const look = clsx('min-h-11 min-w-11 px-2 font-lab font-semibold underline underline-offset-4');

/** Yes, no, and what is neither: it chatters, hums, flashes and dies, is warm where it should be hot. */
export function Answers({
    sign,
    onAnswer,
}: {
    sign: StepView['signs'][number];
    onAnswer: (seen: boolean, how: string | null) => void;
}) {
    const [open, setOpen] = useState(false);
    return (
        <span className={clsx('flex flex-wrap justify-end', open && 'basis-full')}>
            <button
                className={look}
                aria-label={say('prove.yes', { sign: sign.text })}
                onClick={() => onAnswer(true, null)}
            >
                {say('prove.yes-2')}
            </button>
            <button
                className={look}
                aria-label={say('prove.no', { sign: sign.text })}
                onClick={() => onAnswer(false, null)}
            >
                {say('prove.no-2')}
            </button>
            {sign.neither.length > 0 && (
                <button
                    className={look}
                    aria-expanded={open}
                    aria-label={say('prove.neither-of', { sign: sign.text })}
                    onClick={() => setOpen(!open)}
                >
                    {say('prove.neither')}
                </button>
            )}
            {open &&
                sign.neither.map((one) => (
                    <button
                        key={one.value}
                        className="m-0.5 min-h-11 border-2 border-rule bg-panel px-2.5 font-lab font-semibold"
                        onClick={() => {
                            setOpen(false);
                            onAnswer(false, one.value);
                        }}
                    >
                        {one.label}
                    </button>
                ))}
        </span>
    );
}
