import { clsx } from 'clsx';
import type { ReactNode } from 'react';

/** On a phone power and wait stand side by side, the others take the whole width. */
export function Cell({ label, children, wide }: { label: string; children: ReactNode; wide?: boolean }) {
    return (
        <div
            className={clsx(
                'border-hair px-4 py-2 max-md:border-b md:border-l md:first:border-l-0 md:first:pl-5',
                wide && 'max-md:col-span-2',
            )}
        >
            <span className="lab">{label}</span>
            {children}
        </div>
    );
}
