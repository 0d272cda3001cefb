import { useEffect, useSyncExternalStore } from 'react';
import { post, said } from './api';
import { reload } from '../reload';

/** A record that could not be sent: kept on this device under its own id until the server has it, exactly once. */
export interface Kept {
    url: string;
    body: { id: string } & Record<string, unknown>;
    what: string;
    refused?: string;
}

const key = 'outbox';
let cache: Kept[] = read();
const listeners = new Set<() => void>();

function read(): Kept[] {
    try {
        return JSON.parse(localStorage.getItem(key) ?? '[]') as Kept[];
    } catch {
        return [];
    }
}

function write(next: Kept[]): void {
    cache = next;
    try {
        localStorage.setItem(key, JSON.stringify(next));
    } catch {
        // Full or closed storage: it is still held by the open page.
    }
    listeners.forEach((listener) => listener());
}

export function keep(entry: Kept): void {
    write([...cache.filter((other) => other.body.id !== entry.body.id), entry]);
}

export function drop(id: string): void {
    write(cache.filter((entry) => entry.body.id !== id));
}

let sending = false;

/** Sends what is kept, in its order. The id makes a second arrival harmless. */
export async function flush(): Promise<void> {
    if (sending) return;
    sending = true;
    let sent = 0;
    for (const entry of cache.filter((candidate) => !candidate.refused)) {
        const answer = await post(entry.url, entry.body);
        if (answer.kind === 'unsent' && answer.network) break;
        if (answer.kind === 'ok') {
            drop(entry.body.id);
            sent++;
        } else {
            write(
                cache.map((other) => (other.body.id === entry.body.id ? { ...other, refused: said(answer) } : other)),
            );
        }
    }
    sending = false;
    if (sent > 0) await reload();
}

export function useOutbox(): Kept[] {
    useEffect(() => {
        const again = () => void flush();
        const timer = setInterval(() => cache.some((entry) => !entry.refused) && again(), 3000);
        window.addEventListener('online', again);
        if (cache.length > 0) again();
        return () => {
            clearInterval(timer);
            window.removeEventListener('online', again);
        };
    }, []);
    return useSyncExternalStore(
        (listener) => {
            listeners.add(listener);
            return () => listeners.delete(listener);
        },
        () => cache,
    );
}
