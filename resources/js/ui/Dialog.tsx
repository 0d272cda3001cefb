import { clsx } from 'clsx';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { Glyph } from './Glyph';
import { say } from '@/words';

/** A dialog: only for power changes, opening and closing a job, and the list of keys. */
export function Dialog({
    open,
    onClose,
    title,
    children,
    tone = 'ink',
    wide = false,
}: {
    wide?: boolean;
    open: boolean;
    onClose: () => void;
    title: string;
    children: ReactNode;
    tone?: 'ink' | 'iso' | 'live';
}) {
    return (
        <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
            <Radix.Portal>
                <Radix.Overlay className="fixed inset-0 z-40 bg-[#0a0e0dcc]" />
                <Radix.Content
                    aria-describedby={undefined}
                    className={clsx(
                        'fixed left-1/2 top-1/2 z-50 max-h-[92dvh] -translate-x-1/2 -translate-y-1/2',
                        'overflow-auto bg-panel p-6',
                        wide ? 'w-[min(860px,calc(100vw-24px))]' : 'w-[min(520px,calc(100vw-24px))]',
                    )}
                    style={{ borderTop: `6px solid var(--${tone})` }}
                >
                    <div className="flex items-start justify-between gap-4">
                        <Radix.Title className="h-step">{title}</Radix.Title>
                        <Radix.Close className="grid size-11 place-items-center" aria-label={say('shared.close')}>
                            <Glyph name="cross" />
                        </Radix.Close>
                    </div>
                    {children}
                </Radix.Content>
            </Radix.Portal>
        </Radix.Root>
    );
}
