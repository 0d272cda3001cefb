import { apply, preferences } from '@/lib/person';
import { url } from '@/lib/url';
import { post } from '@/lib/write/api';
import type { Preferences } from '@/types';

/** Changes one of them, here at once and for their other devices too. */
export async function prefer(change: Partial<Preferences>): Promise<ReturnType<typeof post<Preferences>>> {
    const before = preferences();
    apply({ ...before, ...change });
    const answer = await post<Preferences>(url('account.settings'), change);
    if (answer.kind === 'invalid') apply(before);
    return answer;
}

/** The other theme: of the person where they chose one, else of this device. */
export function switchTheme(): void {
    const next = document.documentElement.dataset.theme === 'headlamp' ? 'bone' : 'headlamp';
    if (preferences().theme !== 'device') {
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
