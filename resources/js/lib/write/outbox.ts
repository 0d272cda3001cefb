import { useEffect, useSyncExternalStore } from 'react';
import { post, said, upload, type Answer } from './api';
import { all, put, remove, type Kept } from './kept';
import { reload } from '../reload';
import { say } from '@/words';

export type { Kept } from './kept';

// One queue for all tabs of this device: rows stand in its database, one tab sends at a time, the others are told.
const every = 3000;
let cache: Kept[] = [];
const listeners = new Set<() => void>();
const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('outbox');
others?.addEventListener('message', () => void read());

async function read(): Promise<Kept[]> {
    try {
        cache = await all();
    } catch {
        // Closed storage holds nothing.
    }
    listeners.forEach((listener) => listener());
    return cache;
}

async function changed(): Promise<void> {
    await read();
    others?.postMessage(null);
}

/** Keeps a row; whether it is safe on this device. Where storage is closed nothing is kept, and the caller says so. */
export async function keep(row: Kept): Promise<boolean> {
    try {
        await put(row);
    } catch {
        return false;
    }
    await changed();
    return true;
}

export async function drop(id: string): Promise<void> {
    await remove(id);
    await changed();
}

/** Sends a row that waits or was refused once more, because a person says so. */
export async function again(id: string): Promise<void> {
    const row = cache.find((one) => one.body.id === id);
    if (!row) return;
    const fresh = { ...row };
    delete fresh.refused;
    delete fresh.waits;
    await keep(fresh);
    await flush();
}

/** What a row says of the time at which it was taken: how long ago by this device, and what its page knew. */
function timed({ body, at, knew }: Kept): Kept['body'] {
    return { ...body, ago: Math.max(1, Date.now() - at), ...(knew === null ? {} : { knew }) };
}

async function send(row: Kept): Promise<Answer<{ id?: string }>> {
    if (!row.file) return post<{ id?: string }>(row.url, timed(row));
    const form = new FormData();
    for (const [field, value] of Object.entries(row.body)) form.append(field, String(value));
    form.append(row.file.field, row.file.blob, row.file.name);
    return upload<{ id?: string }>(row.url, form);
}

let sending = false;

/** Sends what is kept, in its order. The id makes a second arrival harmless. */
export async function flush(): Promise<void> {
    if (sending) return;
    sending = true;
    try {
        await alone(sendAll);
    } finally {
        sending = false;
    }
}

/** By one tab at a time. */
async function alone(work: () => Promise<void>): Promise<void> {
    // Not on a page without TLS: there the id alone makes a second arrival harmless.
    const locks = (navigator as { locks?: LockManager | null }).locks;
    if (!locks) return work();
    await locks.request('outbox', { ifAvailable: true }, async (lock) => {
        if (lock) await work();
    });
}

async function sendAll(): Promise<void> {
    let sent = 0;
    for (const row of (await read()).filter((one) => !one.refused)) {
        const answer = await send(row);
        // Ours is an answer that names the row: a page of somebody else's network is none.
        if (answer.kind === 'ok' && answer.data.id === row.body.id) {
            await drop(row.body.id);
            sent++;
            continue;
        }
        if (answer.kind === 'unsent' && answer.network) break;
        if (answer.kind === 'ok' || (answer.kind === 'unsent' && answer.later)) {
            // Nothing behind it goes first: rows of one job rest on each other.
            await keep({ ...row, waits: answer.kind === 'ok' ? say('shared.answer-is-not-ours') : said(answer) });
            break;
        }
        await keep({ ...row, refused: said(answer) });
    }
    if (sent > 0) await reload();
}

export function useOutbox(): Kept[] {
    useEffect(() => {
        const now = () => void flush();
        const timer = setInterval(() => cache.some((row) => !row.refused) && now(), every);
        window.addEventListener('online', now);
        void read().then((rows) => rows.some((row) => !row.refused) && now());
        return () => {
            clearInterval(timer);
            window.removeEventListener('online', now);
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
