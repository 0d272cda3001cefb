import type { JobsProps } from '@/types';
import type { ReactNode } from 'react';
import { Bad } from '@/ui/State';

/** A labelled field of a dialog, with what is wrong with it under it. */
export function Field({
    label,
    bad,
    children,
    note,
}: {
    label: string;
    bad?: string | undefined;
    children: ReactNode;
    note?: string | undefined;
}) {
    return (
        <label className="field" data-bad={bad ? '' : undefined}>
            <span className="lab">
                {label}
                {note && <span className="font-normal"> {note}</span>}
            </span>
            {children}
            <Bad>{bad}</Bad>
        </label>
    );
}

export function Kinds({
    kinds,
    value,
    onChange,
}: {
    kinds: JobsProps['kinds'];
    value: string;
    onChange: (kind: string) => void;
}) {
    return (
        <select value={value} onChange={(event) => onChange(event.target.value)}>
            {kinds.map(({ value: kind, word }) => (
                <option key={kind} value={kind}>
                    {word}
                </option>
            ))}
        </select>
    );
}
