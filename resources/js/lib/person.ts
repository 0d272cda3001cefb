import { router } from '@inertiajs/react';
import type { Preferences, Shared } from '@/types';

const plain: Preferences = {
    units: null,
    language: null,
    theme: 'device',
    school: 'short',
    hand: 'right',
    singleKeys: true,
};
let own: Preferences = plain;

/** How the person who is signed in likes it: the same on every device. */
export const preferences = (): Preferences => own;

/** A page came with its person: theirs counts from now on. */
export function follow(props: Record<string, unknown>): void {
    const user = (props as Partial<Shared>).user;
    apply(user?.preferences ?? plain);
}

if (typeof window !== 'undefined') router.on('navigate', ({ detail: { page } }) => follow(page.props));

/** Sets them on this page. */
export function apply(next: Preferences): void {
    own = next;
    const root = document.documentElement;
    root.dataset.hand = next.hand;
    root.dataset.theme = next.theme === 'device' ? ofDevice() : next.theme;
}

/** The theme that was chosen on this device, else the one that it prefers. */
function ofDevice(): string {
    let chosen: string | null = null;
    try {
        chosen = localStorage.getItem('theme');
    } catch {
        // Storage may be closed.
    }
    const dark = chosen ? chosen === 'headlamp' : matchMedia('(prefers-color-scheme: dark)').matches;
    return dark ? 'headlamp' : 'bone';
}
