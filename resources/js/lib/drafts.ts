import { usePage } from '@inertiajs/react';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Shared } from '@/types';

const PREFIX = 'draft:';
const MOST_AGE = 14 * 24 * 3600 * 1000;

interface Kept {
    value: unknown;
    at: number;
}

/** Nothing typed: the field holds what it holds by itself. */
const NOTHING = undefined;

/**
 * What a person typed in a place and has not sent yet: kept on this device through reload, back, lock and another tab,
 * until it is sent or emptied. A draft is no record: it is not promised to survive a power cut.
 *
 * @param place of the field: the job's id, what it is in it
 * @param plain what the field holds where nothing was typed; setting it drops the draft
 * @param age milliseconds for which it is worth something
 * @returns the value, its setter, and what drops the draft
 */
export function useDraft<T>(
    place: string,
    plain: T,
    age = MOST_AGE,
): [T, (next: T | ((now: T) => T)) => void, () => void] {
    const { user } = usePage<Partial<Shared> & Record<string, unknown>>().props;
    const key = `${PREFIX}${user?.id ?? ''}/${place}`;
    const [state, setState] = useState(() => ({ key, typed: read<T>(key, age) }));
    if (state.key !== key) setState({ key, typed: read<T>(key, age) });
    const typed = state.key === key ? state.typed : read<T>(key, age);
    // What is set is written at once: after it was sent the field may be gone before React comes to it.
    const now = useRef({ key, plain, typed });
    useEffect(() => {
        now.current = { key, plain, typed };
    });
    const put = useCallback((next: T | undefined) => {
        now.current.typed = next;
        write(now.current.key, next);
        setState({ key: now.current.key, typed: next });
    }, []);
    const set = useCallback(
        (next: T | ((now: T) => T)) => {
            const { typed: was, plain: held } = now.current;
            const value = next instanceof Function ? next(was === NOTHING ? held : was) : next;
            put(same(value, held) ? NOTHING : value);
        },
        [put],
    );
    const drop = useCallback(() => put(NOTHING), [put]);
    // The same words came in by another way, as from another tab: they are sent.
    const held = JSON.stringify(plain);
    useEffect(() => {
        if (JSON.stringify(read<T>(key, age)) === held) drop();
    }, [key, age, held, drop]);
    useEffect(() => {
        const elsewhere = (event: StorageEvent) => {
            if (event.key !== key || event.newValue !== null || event.oldValue === null) return;
            const sent = (JSON.parse(event.oldValue) as Kept).value;
            setState((was) => (was.key === key && same(was.typed, sent) ? { key, typed: NOTHING } : was));
        };
        window.addEventListener('storage', elsewhere);
        return () => window.removeEventListener('storage', elsewhere);
    }, [key]);
    return [typed === NOTHING ? plain : typed, set, drop];
}

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

function read<T>(key: string, age: number): T | undefined {
    try {
        const text = localStorage.getItem(key);
        if (text === null) return NOTHING;
        const { value, at } = JSON.parse(text) as Kept;
        return Date.now() - at > age ? NOTHING : (value as T);
    } catch {
        return NOTHING;
    }
}

function write(key: string, typed: unknown): void {
    try {
        if (typed === NOTHING) localStorage.removeItem(key);
        else localStorage.setItem(key, JSON.stringify({ value: typed, at: Date.now() } satisfies Kept));
    } catch {
        // A full or closed storage: the words live as long as the page.
    }
}

/** Drafts that nobody came back to go. */
export function dropOldDrafts(now = Date.now()): void {
    try {
        for (const key of Object.keys(localStorage).filter((one) => one.startsWith(PREFIX))) {
            const { at } = JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<Kept>;
            if (at === undefined || now - at > MOST_AGE) localStorage.removeItem(key);
        }
    } catch {
        // Nothing to drop where there is no storage.
    }
}
