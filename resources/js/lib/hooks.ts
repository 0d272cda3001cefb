import { useEffect, useRef, useState } from 'react';
import { singleKeys, toMeter } from './keys';

/** True while a field has the focus or a dialog is open: single keys are off then. */
function busy(event: KeyboardEvent): boolean {
    const target = event.target as HTMLElement | null;
    if (document.querySelector('[role="dialog"], [role="alertdialog"]')) return true;
    return !!target && (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable);
}

/** Single keys of a screen. With `first`, they come before those of the frame around it, and keep them from acting. */
export function useKeys(keys: Record<string, (() => void) | undefined>, first = false): void {
    const current = useRef(keys);
    useEffect(() => {
        current.current = keys;
    });
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            if (event.ctrlKey || event.metaKey || event.altKey || busy(event)) return;
            // The figure that is being typed comes before every shortcut.
            if (toMeter(event)) return event.stopImmediatePropagation();
            if (event.key.length === 1 && event.key !== ' ' && !singleKeys()) return;
            const act =
                current.current[
                    event.shiftKey && event.code.startsWith('Digit') ? `shift+${event.code.slice(5)}` : event.key
                ];
            if (act) {
                event.preventDefault();
                if (first) event.stopImmediatePropagation();
                act();
            }
        };
        window.addEventListener('keydown', press, first);
        return () => window.removeEventListener('keydown', press, first);
    }, [first]);
}

// How far the server's clock is from this device's, taken when a page's props arrive.
let taken = { serverNow: '', skew: 0 };

function skewAt(serverNow: string): number {
    if (taken.serverNow !== serverNow) taken = { serverNow, skew: Date.parse(serverNow) - Date.now() };
    return taken.skew;
}

/** Seconds left until a moment of the server's clock; ticks while there are any. */
export function useSecondsLeft(until: string | null, serverNow: string): number {
    const [now, setNow] = useState(() => Date.parse(serverNow));
    useEffect(() => {
        const skew = skewAt(serverNow);
        if (!until) return;
        const timer = setInterval(() => setNow(Date.now() + skew), 250);
        return () => clearInterval(timer);
    }, [until, serverNow]);
    return until ? Math.max(0, (Date.parse(until) - Math.max(now, Date.parse(serverNow))) / 1000) : 0;
}

/** Follows the width of an element. */
export function useWidth(first: number): [(element: HTMLElement | null) => void, number] {
    const [element, setElement] = useState<HTMLElement | null>(null);
    const [width, setWidth] = useState(first);
    useEffect(() => {
        if (!element) return;
        const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.round(entry.contentRect.width)));
        observer.observe(element);
        return () => observer.disconnect();
    }, [element]);
    return [setElement, width];
}
