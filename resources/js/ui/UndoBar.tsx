import { clsx } from 'clsx';
import { useEffect } from 'react';
import { say } from '@/words';

/** Something was taken away: eight seconds to take that back. */
export function UndoBar({ what, onUndo, onGone }: { what: string; onUndo: () => void; onGone: () => void }) {
    useEffect(() => {
        const timer = setTimeout(onGone, 8000);
        return () => clearTimeout(timer);
    }, [what, onGone]);
    return (
        <div
            role="status"
            className={clsx(
                'fixed bottom-6 left-1/2 z-30 flex -translate-x-1/2 items-center gap-4 bg-ink py-1 pl-5 pr-2',
                'text-bone',
            )}
        >
            <span>{what}</span>
            <button className="min-h-11 px-3 font-lab font-semibold underline underline-offset-4" onClick={onUndo}>
                {say('shared.undo')}
            </button>
        </div>
    );
}
