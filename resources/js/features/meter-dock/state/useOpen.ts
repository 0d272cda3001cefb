import { useState } from 'react';

const KEY = 'meter-open';
let isFirst = true;

/** Whether the meter is unfolded on a phone: folded on every page that is opened, as it was after a reload. */
export function useOpen(): [boolean, (open: boolean) => void] {
    const [open, setOpen] = useState(wasOpen);
    return [
        open,
        (next) => {
            setOpen(next);
            try {
                if (next) sessionStorage.setItem(KEY, location.pathname);
                else sessionStorage.removeItem(KEY);
            } catch {
                // Without storage it folds with a reload.
            }
        },
    ];
}

function wasOpen(): boolean {
    const again = isFirst && performance.getEntriesByType('navigation').some((entry) => isReload(entry));
    isFirst = false;
    try {
        return again && sessionStorage.getItem(KEY) === location.pathname;
    } catch {
        return false;
    }
}

const isReload = (entry: PerformanceEntry) => 'type' in entry && entry.type !== 'navigate';
