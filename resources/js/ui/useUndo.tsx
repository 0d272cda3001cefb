import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import type { Edits } from '@/lib/write/edits';
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
export function useUndo(edits: Edits): {
    offer: (what: string, versionAfter: number) => void;
    bar: ReactNode;
    undo: () => void;
    redo: () => void;
    past: number;
    future: number;
} {
    // The two stacks move as the key is pressed, not when the answer comes: pressing on meanwhile goes on from there.
    const stacks = useRef<{ past: Step[]; future: Step[] }>({ past: [], future: [] });
    const [counts, setCounts] = useState({ past: 0, future: 0 });
    const [shown, setShown] = useState<Step | null>(null);
    const gone = useCallback(() => setShown(null), []);

    const put = (past: Step[], future: Step[]) => {
        stacks.current = { past, future };
        setCounts({ ...counts });
    };
    const undo = async () => {
        const { past, future } = stacks.current;
        const step = past.at(-1);
        if (!step) return;
        setShown(null);
        put(past.slice(0, -1), [...future, step]);
        const answer = await edits.send('restore', { to_version: step.before });
        if (answer.kind !== 'ok')
            put(
                [...stacks.current.past, step],
                stacks.current.future.filter((other) => other !== step),
            );
    };
    const redo = async () => {
        const { past, future } = stacks.current;
        const step = future.at(-1);
        if (!step) return;
        put([...past, step], future.slice(0, -1));
        const answer = await edits.send('restore', { to_version: step.after });
        if (answer.kind !== 'ok')
            put(
                stacks.current.past.filter((other) => other !== step),
                [...stacks.current.future, step],
            );
    };
    const current = useRef({ undo, redo });
    useEffect(() => {
        current.current = { undo, redo };
    });
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            const target = event.target as HTMLElement | null;
            if (
                !(event.ctrlKey || event.metaKey) ||
                event.key.toLowerCase() !== 'z' ||
                (target && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
            )
                return;
            event.preventDefault();
            void (event.shiftKey ? current.current.redo() : current.current.undo());
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    }, []);

    const offer = (what: string, versionAfter: number) => {
        const step = { what, before: versionAfter - 1, after: versionAfter };
        put([...stacks.current.past, step], []);
        setShown(step);
    };
    const bar = shown && <UndoBar what={shown.what} onGone={gone} onUndo={() => void undo()} />;
    return { offer, bar, undo: () => void undo(), redo: () => void redo(), ...counts };
}
