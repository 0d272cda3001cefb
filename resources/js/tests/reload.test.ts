import { beforeEach, expect, it, vi } from 'vitest';
import { settled } from './server';

const finish = vi.hoisted(() => [] as (() => void)[]);
vi.mock('@inertiajs/react', () => ({
    router: { reload: ({ onFinish }: { onFinish: () => void }) => finish.push(onFinish) },
}));

beforeEach(() => {
    finish.length = 0;
    vi.resetModules();
});

it('reads one page at a time; who asks meanwhile waits for a later one', async () => {
    const { reload } = await import('@/lib/reload');
    const done: string[] = [];
    const first = reload().then(() => done.push('first'));
    const second = reload().then(() => done.push('second'));
    const third = reload().then(() => done.push('third'));
    expect(finish).toHaveLength(1);

    finish[0]?.();
    await first;
    await settled();
    expect(done).toEqual(['first']);
    expect(finish).toHaveLength(2);

    finish[1]?.();
    await Promise.all([second, third]);
    expect(done).toEqual(['first', 'second', 'third']);
    expect(finish).toHaveLength(2);
});

it('reads again for whoever asks after it is through', async () => {
    const { reload } = await import('@/lib/reload');
    for (const turn of [0, 1]) {
        const reading = reload();
        finish[turn]?.();
        await reading;
    }
    expect(finish).toHaveLength(2);
});
