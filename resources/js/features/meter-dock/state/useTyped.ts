import { useEffect } from 'react';
import { useDraft } from '@/lib/drafts';
import type { Mode, PointInfo } from '@/types';
import type { Probes } from '@/shell/Shell';

interface Typed {
    figure: string;
    mode: Mode;
    a: string;
    b: string;
}

/** A figure read longer ago is none of now: the power's own proof lapses after as long. */
const WORTH = 30 * 60 * 1000;

const NONE: Typed = { figure: '', mode: 'V', a: '', b: '' };

/**
 * The figure that is being typed, with the pair it was read on: both are back after a reload, for the same step or call
 * of the same stage, in the same run of it. What is typed while the probes move goes along with them, as the meter in
 * the hand does.
 */
export function useTyped(
    place: string,
    probes: Probes,
    points: PointInfo[],
): [string, (next: string | ((now: string) => string)) => void] {
    const [typed, set] = useDraft<Typed>(place, NONE, WORTH);
    const { mode, a, b } = probes;
    // Back on the pair that the figure was read on, once, where the house still has it.
    useEffect(() => {
        const known = (id: string) => points.some((point) => point.id === id);
        if (typed.figure === '' || !known(typed.a) || !known(typed.b)) return;
        probes.setMode(typed.mode);
        probes.set(typed.a, typed.b);
        // The probes that moved since are where a person put them.
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [place]);
    return [
        typed.figure,
        (next) =>
            set((now) => {
                const figure = next instanceof Function ? next(now.figure) : next;
                return figure === '' ? NONE : { figure, mode, a, b };
            }),
    ];
}
