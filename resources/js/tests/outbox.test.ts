import { beforeEach, expect, it, vi } from 'vitest';
import type { Kept } from '@/lib/write/outbox';
import { server, settled } from './server';

const reload = vi.hoisted(() => vi.fn(() => Promise.resolve()));
vi.mock('@/lib/reload', () => ({ reload }));

const reading = (id: string): Kept => ({ url: '/jobs/1/readings', body: { id, value: 26.1 }, what: 'a reading' });
const stored = (): Kept[] => JSON.parse(localStorage.getItem('outbox') ?? '[]') as Kept[];
const ids = (): string[] => stored().map((entry) => entry.body.id);

/** As after the page was opened anew: what is held comes from the device alone. */
async function opened() {
    vi.resetModules();
    return import('@/lib/write/outbox');
}

beforeEach(() => {
    localStorage.clear();
    reload.mockClear();
});

it('keeps an entry over a new start of the page, once under its id', async () => {
    const first = await opened();
    first.keep(reading('a'));
    first.keep(reading('b'));
    first.keep({ ...reading('a'), what: 'the same again' });
    expect(ids()).toEqual(['b', 'a']);

    const asked = server();
    const second = await opened();
    void second.flush();
    await settled();
    expect(asked.map((request) => request.body.id)).toEqual(['b']);
});

it('sends in order, one at a time, and lets go of what the server has', async () => {
    const asked = server();
    const outbox = await opened();
    outbox.keep(reading('a'));
    outbox.keep(reading('b'));
    const done = outbox.flush();
    void outbox.flush();
    await settled();
    expect(asked).toHaveLength(1);
    expect(asked[0]?.body).toEqual({ id: 'a', value: 26.1 });

    asked[0]?.answer(200);
    await settled();
    expect(ids()).toEqual(['b']);
    expect(asked).toHaveLength(2);
    expect(reload).not.toHaveBeenCalled();

    asked[1]?.answer(200);
    await done;
    expect(stored()).toEqual([]);
    expect(reload).toHaveBeenCalledOnce();
});

it('holds everything while there is no signal, and sends it later', async () => {
    const asked = server();
    const outbox = await opened();
    outbox.keep(reading('a'));
    outbox.keep(reading('b'));
    const lost = outbox.flush();
    await settled();
    asked[0]?.lose();
    await lost;
    expect(asked).toHaveLength(1);
    expect(ids()).toEqual(['a', 'b']);
    expect(reload).not.toHaveBeenCalled();

    const again = outbox.flush();
    for (const turn of [1, 2]) {
        await settled();
        asked[turn]?.answer(200);
    }
    await again;
    expect(asked.map((request) => request.body.id)).toEqual(['a', 'a', 'b']);
    expect(stored()).toEqual([]);
});

it('keeps a refused entry with its reason, passes it by, and drops it when told', async () => {
    const asked = server();
    const outbox = await opened();
    outbox.keep(reading('a'));
    outbox.keep(reading('b'));
    const done = outbox.flush();
    await settled();
    asked[0]?.answer(422, { errors: { value: ['600 V is the most.'] } });
    await settled();
    asked[1]?.answer(200);
    await done;
    expect(stored()).toEqual([{ ...reading('a'), refused: '600 V is the most.' }]);

    await outbox.flush();
    expect(asked).toHaveLength(2);
    outbox.drop('a');
    expect(stored()).toEqual([]);
});

it('starts empty where the device holds nothing that can be read', async () => {
    localStorage.setItem('outbox', '{not json');
    const outbox = await opened();
    outbox.keep(reading('a'));
    expect(ids()).toEqual(['a']);
});
