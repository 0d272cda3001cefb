import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, expect, it, vi } from 'vitest';
import type { Kept } from '@/lib/write/outbox';
import { server, settled, type Asked } from './server';

const reload = vi.hoisted(() => vi.fn(() => Promise.resolve()));
vi.mock('@/lib/reload', () => ({ reload }));

const reading = (id: string, more: Partial<Kept> = {}): Kept => ({
    url: '/jobs/1/readings',
    body: { id, value: 26.1 },
    what: 'a reading',
    at: Date.now(),
    knew: 33,
    ...more,
});

/** As after the page was opened anew: what is held comes from the device alone. */
async function opened() {
    vi.resetModules();
    return { ...(await import('@/lib/write/outbox')), all: (await import('@/lib/write/kept')).all };
}
const ids = async (outbox: Awaited<ReturnType<typeof opened>>) => (await outbox.all()).map((row) => row.body.id);
/** The next thing that the application is asked. */
async function next(asked: Asked[], turn: number): Promise<Asked> {
    for (let wait = 0; wait < 50 && asked.length <= turn; wait++) await settled();
    const one = asked[turn];
    if (!one) throw new Error(`nothing was asked a ${turn + 1}. time`);
    return one;
}

beforeEach(() => {
    localStorage.clear();
    vi.stubGlobal('indexedDB', new IDBFactory());
    reload.mockClear();
});

it('keeps an entry over a new start of the page, once under its id, and says so when it is written', async () => {
    const first = await opened();
    expect(await first.keep(reading('a'))).toBe(true);
    await first.keep(reading('b'));
    await first.keep(reading('a', { what: 'the same again' }));
    expect(await ids(await opened())).toEqual(['a', 'b']);
});

it('writes strictly: what is said to be kept is on the disk', async () => {
    const opts: unknown[] = [];
    const outbox = await opened();
    await outbox.keep(reading('a'));
    const database = Object.getPrototypeOf((await indexedDB.databases()) && (await open())) as IDBDatabase;
    const real = database.transaction;
    database.transaction = function (this: IDBDatabase, ...given: Parameters<IDBDatabase['transaction']>) {
        opts.push(given[2]);
        return real.apply(this, given);
    };
    await outbox.keep(reading('b'));
    await outbox.drop('a');
    database.transaction = real;
    expect(opts.filter((one) => one !== undefined)).toEqual([{ durability: 'strict' }, { durability: 'strict' }]);
});
const open = () =>
    new Promise<IDBDatabase>((resolve) => {
        const asked = indexedDB.open('unionbit');
        asked.onsuccess = () => resolve(asked.result);
    });

it('sends in order, one at a time, with how long ago and what was known, and lets go of what is there', async () => {
    const asked = server();
    const outbox = await opened();
    await outbox.keep(reading('a', { at: Date.now() - 60_000 }));
    await outbox.keep(reading('b', { knew: null }));
    const done = outbox.flush();
    void outbox.flush();
    const first = await next(asked, 0);
    expect(asked).toHaveLength(1);
    expect(first.body).toMatchObject({ id: 'a', value: 26.1, knew: 33 });
    expect(first.body.ago).toBeGreaterThanOrEqual(60_000);
    first.answer(201, { id: 'a' });
    const second = await next(asked, 1);
    expect(second.body).not.toHaveProperty('knew');
    expect(await ids(outbox)).toEqual(['b']);
    expect(reload).not.toHaveBeenCalled();
    second.answer(201, { id: 'b' });
    await done;
    expect(await ids(outbox)).toEqual([]);
    expect(reload).toHaveBeenCalledOnce();
});

it.each([
    ['no signal', (one: Asked) => one.lose()],
    ['signed out', (one: Asked) => one.answer(401, {})],
    ['another sign-in', (one: Asked) => one.answer(419, {})],
    ['too many at once', (one: Asked) => one.answer(429, {})],
    ['a proxy that has no server', (one: Asked) => one.answer(502)],
    ['being upgraded', (one: Asked) => one.answer(503, { message: 'Back in a minute.' })],
    ['a sign-in page of a Wi-Fi', (one: Asked) => one.page(200, '<html>Accept our terms</html>')],
    ['somebody else’s JSON', (one: Asked) => one.answer(200, { id: 'c' })],
])('holds everything on %s, and sends it later, in order', async (_, answer) => {
    const asked = server();
    const outbox = await opened();
    await outbox.keep(reading('a'));
    await outbox.keep(reading('b'));
    const held = outbox.flush();
    answer(await next(asked, 0));
    await held;
    expect(asked).toHaveLength(1);
    expect(await ids(outbox)).toEqual(['a', 'b']);
    expect((await outbox.all()).some((row) => row.refused)).toBe(false);
    expect(reload).not.toHaveBeenCalled();

    const sent = outbox.flush();
    for (const [turn, id] of [
        [1, 'a'],
        [2, 'b'],
    ] as const)
        (await next(asked, turn)).answer(201, { id });
    await sent;
    expect(asked.map((request) => request.body.id)).toEqual(['a', 'a', 'b']);
    expect(await ids(outbox)).toEqual([]);
});

it('keeps a refused entry with its reason, passes it by, sends it again or drops it when told', async () => {
    const asked = server();
    const outbox = await opened();
    await outbox.keep(reading('a'));
    await outbox.keep(reading('b'));
    const done = outbox.flush();
    (await next(asked, 0)).answer(422, { errors: { value: ['600 V is the most.'] } });
    (await next(asked, 1)).answer(201, { id: 'b' });
    await done;
    expect(await outbox.all()).toMatchObject([{ body: { id: 'a' }, refused: '600 V is the most.' }]);
    await outbox.flush();
    expect(asked).toHaveLength(2);

    const again = outbox.again('a');
    (await next(asked, 2)).answer(422, { errors: { value: ['Still too much.'] } });
    await again;
    expect(await outbox.all()).toMatchObject([{ refused: 'Still too much.' }]);
    await outbox.drop('a');
    expect(await ids(outbox)).toEqual([]);
});

it('is one queue for two pages of one device', async () => {
    const one = await opened();
    const two = await opened();
    await Promise.all([one.keep(reading('a')), two.keep(reading('b')), one.keep(reading('c'))]);
    expect((await ids(await opened())).sort()).toEqual(['a', 'b', 'c']);
});

it('brings along what an earlier version kept, and starts empty where that cannot be read', async () => {
    localStorage.setItem('outbox', JSON.stringify([{ url: '/jobs/1/signs', body: { id: 'old' }, what: 'a sign' }]));
    expect(await ids(await opened())).toEqual(['old']);
    expect(localStorage.getItem('outbox')).toBeNull();
    vi.stubGlobal('indexedDB', new IDBFactory());
    localStorage.setItem('outbox', '{not json');
    const outbox = await opened();
    await outbox.keep(reading('a'));
    expect(await ids(outbox)).toEqual(['a']);
});

it('says that it is not safe where the device keeps nothing', async () => {
    vi.stubGlobal('indexedDB', {
        open: () => {
            throw new DOMException('closed', 'SecurityError');
        },
    });
    expect(await (await opened()).keep(reading('a'))).toBe(false);
});
