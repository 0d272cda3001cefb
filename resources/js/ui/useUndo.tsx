import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import type { Edits } from '@/lib/edits';
import { UndoBar } from './UndoBar';

interface Step {
    what: string;
    before: number;
    after: number;
}

/**
 * Undo and redo of a document's edits: call `offer` after each was made. The last can be taken back from the bar for
 * eight seconds, and any of them with Ctrl+Z, forward again with Ctrl+Shift+Z. Going back is a new version as well.
 */
export function useUndo(edits: Edits): { offer: (what: string, versionAfter: number) => void; bar: ReactNode; undo: () => void; redo: () => void; past: number; future: number } {
    const [past, setPast] = useState<Step[]>([]);
    const [future, setFuture] = useState<Step[]>([]);
    const [shown, setShown] = useState<Step | null>(null);
    const gone = useCallback(() => setShown(null), []);

    const undo = async () => {
        const step = past.at(-1);
        if (!step) return;
        setShown(null);
        const answer = await edits.send('restore', { to_version: step.before });
        if (answer.kind !== 'ok') return;
        setPast((steps) => steps.slice(0, -1));
        setFuture((steps) => [...steps, step]);
    };
    const redo = async () => {
        const step = future.at(-1);
        if (!step) return;
        const answer = await edits.send('restore', { to_version: step.after });
        if (answer.kind !== 'ok') return;
        setFuture((steps) => steps.slice(0, -1));
        setPast((steps) => [...steps, step]);
    };
    const current = useRef({ undo, redo });
    useEffect(() => {
        current.current = { undo, redo };
    });
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            const target = event.target as HTMLElement | null;
            if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || (target && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))) return;
            event.preventDefault();
            void (event.shiftKey ? current.current.redo() : current.current.undo());
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    }, []);

    const offer = (what: string, versionAfter: number) => {
        const step = { what, before: versionAfter - 1, after: versionAfter };
        setPast((steps) => [...steps, step]);
        setFuture([]);
        setShown(step);
    };
    const bar = shown && <UndoBar what={shown.what} onGone={gone} onUndo={() => void undo()} />;
    return { offer, bar, undo: () => void undo(), redo: () => void redo(), past: past.length, future: future.length };
}
