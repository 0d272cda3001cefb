import { router } from '@inertiajs/react';
import { post } from '@/lib/write/api';
import { url } from '@/lib/url';
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

/** Changes one of them, here at once and for their other devices too. */
export async function prefer(change: Partial<Preferences>): Promise<ReturnType<typeof post<Preferences>>> {
    const before = own;
    apply({ ...own, ...change });
    const answer = await post<Preferences>(url('account.settings'), change);
    if (answer.kind === 'invalid') apply(before);
    return answer;
}

/** A page came with its person: theirs counts from now on. */
export function follow(props: Record<string, unknown>): void {
    const user = (props as Partial<Shared>).user;
    apply(user?.preferences ?? plain);
}

if (typeof window !== 'undefined') router.on('navigate', ({ detail: { page } }) => follow(page.props));

function apply(next: Preferences): void {
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

/** The other theme: of the person where they chose one, else of this device. */
export function switchTheme(): void {
    const next = document.documentElement.dataset.theme === 'headlamp' ? 'bone' : 'headlamp';
    if (own.theme !== 'device') {
        void prefer({ theme: next });
        return;
    }
    document.documentElement.dataset.theme = next;
    try {
        localStorage.setItem('theme', next);
    } catch {
        // The theme then lasts as long as the page.
    }
}
