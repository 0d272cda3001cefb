import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A record that is not with the server yet: kept on this device under its own id until it is, exactly once. */
export interface Kept {
    /** The order in which it was kept, by all tabs of this device. */
    n?: number;
    url: string;
    body: { id: string } & Record<string, unknown>;
    what: string;
    /** When it was taken, by this device's clock; what is sent is how long ago that was. */
    at: number;
    /** How far the job's order had come on the page that it was taken on. */
    knew: number | null;
    /** A picture that goes along, under the name of its field. */
    file?: { field: string; name: string; blob: Blob };
    /** Why it has not gone yet: a sign-in, a server that is busy, a page that is not ours. It goes by itself later. */
    waits?: string;
    /** What the server said of it: it goes again only when a person says so. */
    refused?: string;
}

interface Schema extends DBSchema {
    rows: { key: number; value: Kept; indexes: { id: string } };
}

const before = 'outbox';
let opened: Promise<IDBPDatabase<Schema>> | null = null;

function database(): Promise<IDBPDatabase<Schema>> {
    opened ??= openDB<Schema>('unionbit', 1, {
        upgrade: (db) => {
            const rows = db.createObjectStore('rows', { keyPath: 'n', autoIncrement: true });
            rows.createIndex('id', 'body.id', { unique: true });
        },
    }).then(async (db) => {
        await fromBefore(db);
        return db;
    });
    opened.catch(() => (opened = null));
    return opened;
}

/** Rows that an earlier version kept in another place come along. */
async function fromBefore(db: IDBPDatabase<Schema>): Promise<void> {
    const text = localStorage.getItem(before);
    if (text === null) return;
    let rows: Kept[] = [];
    try {
        rows = JSON.parse(text) as Kept[];
    } catch {
        // Nothing that can be read.
    }
    const writes = db.transaction('rows', 'readwrite', { durability: 'strict' });
    for (const row of rows) {
        if ((await writes.store.index('id').getKey(row.body.id)) === undefined)
            await writes.store.add({ ...row, at: row.at ?? Date.now(), knew: row.knew ?? null });
    }
    await writes.done;
    localStorage.removeItem(before);
}

export async function all(): Promise<Kept[]> {
    return (await database()).getAll('rows');
}

/** Written when this resolves, and not before: the browser may be killed in the next moment. */
export async function put(row: Kept): Promise<void> {
    const writes = (await database()).transaction('rows', 'readwrite', { durability: 'strict' });
    const known = await writes.store.index('id').get(row.body.id);
    if (known) await writes.store.put({ ...row, n: known.n as number });
    else {
        // Without a number of its own it takes the next one.
        const fresh = { ...row };
        delete fresh.n;
        await writes.store.add(fresh);
    }
    await writes.done;
}

export async function remove(id: string): Promise<void> {
    const writes = (await database()).transaction('rows', 'readwrite', { durability: 'strict' });
    const n = await writes.store.index('id').getKey(id);
    if (n !== undefined) await writes.store.delete(n);
    await writes.done;
}
