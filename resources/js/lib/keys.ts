import { preferences } from './person';

/** Single-key shortcuts of this person: they can be switched off (WCAG 2.1.4). Keys with Ctrl, Enter and Esc stay. */
export const singleKeys = (): boolean => preferences().singleKeys;

// What was used last: a figure typed with the focus nowhere belongs to the meter if that was it.
let meterLast = false;

/** The meter is in use: a probe was put somewhere, a step began. */
export function meterUsed(): void {
    meterLast = true;
}

function note(event: Event): void {
    const target = event.target as Element | null;
    if (target?.closest?.('.dock')) meterLast = true;
    else if (target?.closest?.('.tape, .tapestrip, .bar, [role="menu"]')) meterLast = false;
}

if (typeof window !== 'undefined') {
    window.addEventListener('pointerdown', note, true);
    window.addEventListener('focusin', note, true);
}

/**
 * A digit typed with the focus elsewhere, while the meter is what was used last: it goes to the meter. True if it
 * did.
 */
export function toMeter(event: KeyboardEvent): boolean {
    if (!/^[0-9.,]$/.test(event.key) || event.shiftKey || !meterLast) return false;
    const field = document.getElementById('actual');
    if (!(field instanceof HTMLInputElement) || field.offsetParent === null) return false;
    field.focus();
    return true;
}
