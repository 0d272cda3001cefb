import { beforeEach, expect, it, vi } from 'vitest';
import { settled } from './server';

type Asked = { onFinish: (visit: { cancelled: boolean }) => void; onCancelToken: (token: object) => void };
type Told = (event: { detail: { visit: { async: boolean } } }) => void;

const readings = vi.hoisted(() => [] as (() => void)[]);
const told = vi.hoisted(() => new Map<string, Told>());
vi.mock('@inertiajs/react', () => ({
    router: {
        on: (name: string, tell: Told) => told.set(name, tell),
        reload: ({ onFinish, onCancelToken }: Asked) => {
            onCancelToken({ cancel: () => onFinish({ cancelled: true }) });
            readings.push(() => onFinish({ cancelled: false }));
        },
    },
}));
const visit = (name: 'start' | 'finish', async = false) => told.get(name)?.({ detail: { visit: { async } } });

beforeEach(() => {
    readings.length = 0;
    vi.resetModules();
});

it('reads one page at a time; who asks meanwhile waits for a later one', async () => {
    const { reload } = await import('@/lib/reload');
    const done: string[] = [];
    const first = reload().then(() => done.push('first'));
    const second = reload().then(() => done.push('second'));
    const third = reload().then(() => done.push('third'));
    expect(readings).toHaveLength(1);

    readings[0]?.();
    await first;
    await settled();
    expect(done).toEqual(['first']);
    expect(readings).toHaveLength(2);

    readings[1]?.();
    await Promise.all([second, third]);
    expect(done).toEqual(['first', 'second', 'third']);
    expect(readings).toHaveLength(2);
});

it('reads again for whoever asks after it is through', async () => {
    const { reload } = await import('@/lib/reload');
    for (const turn of [0, 1]) {
        const reading = reload();
        readings[turn]?.();
        await reading;
    }
    expect(readings).toHaveLength(2);
});

it('a visit drops the reading under way, which is taken again when it has arrived', async () => {
    const { reload } = await import('@/lib/reload');
    let through = false;
    const reading = reload().then(() => (through = true));
    visit('start');
    visit('start');
    visit('finish');
    await settled();
    expect(readings).toHaveLength(1);
    visit('start', true);
    visit('finish');
    await settled();
    expect(readings).toHaveLength(2);
    expect(through).toBe(false);
    readings[1]?.();
    await reading;
});

it('a reading asked for during a visit waits for it', async () => {
    const { reload } = await import('@/lib/reload');
    visit('start');
    const reading = reload();
    await settled();
    expect(readings).toHaveLength(0);
    visit('finish');
    await settled();
    readings[0]?.();
    await reading;
    expect(readings).toHaveLength(1);
});
