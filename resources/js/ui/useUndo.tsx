import { useCallback, useState, type ReactNode } from 'react';
import type { Edits } from '@/lib/edits';
import { UndoBar } from './UndoBar';

/** Eight seconds to take an edit back: call `offer` after it was made, and show `bar`. */
export function useUndo(edits: Edits): { offer: (what: string, versionAfter: number) => void; bar: ReactNode } {
    const [undo, setUndo] = useState<{ what: string; version: number } | null>(null);
    const gone = useCallback(() => setUndo(null), []);
    const bar = undo && (
        <UndoBar
            what={undo.what}
            onGone={gone}
            onUndo={() => {
                void edits.send('restore', { to_version: undo.version });
                gone();
            }}
        />
    );
    return { offer: (what, versionAfter) => setUndo({ what, version: versionAfter - 1 }), bar };
}
