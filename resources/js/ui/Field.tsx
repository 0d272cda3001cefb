import type { InputHTMLAttributes } from 'react';
import { useId } from 'react';
import { Bad } from '@/ui/State';

/** A line to type in, with its word above, what is allowed below, and what was wrong with it. */
export function Field({
    label,
    hint,
    bad,
    value,
    onValue,
    ...input
}: {
    label: string;
    hint?: string | undefined;
    bad?: string | undefined;
    value: string;
    onValue: (value: string) => void;
} & Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'>) {
    const id = useId();
    const said = [hint && `${id}-hint`, bad && `${id}-bad`].filter(Boolean).join(' ');
    return (
        <div className="field" data-bad={bad ? '' : undefined}>
            <label className="lab" htmlFor={id}>
                {label}
            </label>
            <input
                {...input}
                id={id}
                value={value}
                aria-invalid={bad ? true : undefined}
                aria-describedby={said || undefined}
                onChange={(event) => onValue(event.target.value)}
            />
            {hint && (
                <p id={`${id}-hint`} className="mt-1 text-note text-muted">
                    {hint}
                </p>
            )}
            <Bad id={`${id}-bad`}>{bad}</Bad>
        </div>
    );
}
