import { act, renderHook } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { dropOldDrafts, useDraft } from '@/lib/drafts';
import { useOnce } from '@/lib/write/once';
import { server, settled } from './server';

vi.mock('@inertiajs/react', () => ({
    usePage: () => ({ props: { user: { id: 4 } } }),
    router: { on: () => undefined },
}));

const field = (place = 'house/line', plain = '') =>
    renderHook(({ at, is }) => useDraft(at, is), { initialProps: { at: place, is: plain } });
const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('draft:'));

beforeEach(() => localStorage.clear());

it('holds what was typed for whoever comes back to the field, and for no other field', () => {
    const first = field();
    act(() => first.result.current[1]('red R'));
    first.unmount();
    expect(field().result.current[0]).toBe('red R');
    expect(field('house/other').result.current[0]).toBe('');
    expect(kept()).toEqual(['draft:4/house/line']);
});

it('lets go of it when it is sent or emptied, also after the field is gone', () => {
    const { result, unmount } = field();
    act(() => result.current[1]('red'));
    act(() => result.current[1]((now) => now + ' R'));
    expect(result.current[0]).toBe('red R');
    const [, set] = result.current;
    unmount();
    // The answer comes when the page has gone on.
    act(() => set(''));
    expect(kept()).toEqual([]);
});

it('follows what the field holds by itself while nothing was typed, and takes the same words for sent', () => {
    const { result, rerender } = field('house/name', 'attic');
    rerender({ at: 'house/name', is: 'loft' });
    expect(result.current[0]).toBe('loft');
    act(() => result.current[1]('hatch'));
    rerender({ at: 'house/name', is: 'hatch' });
    expect([result.current[0], kept()]).toEqual(['hatch', []]);
});

it('is gone here once the same words are sent from another tab, and stays where they are others', () => {
    for (const [mine, after] of [
        ['red R', ''],
        ['red R>R', 'red R>R'],
    ] as const) {
        const { result, unmount } = field();
        act(() => result.current[1](mine));
        const oldValue = JSON.stringify({ value: 'red R', at: 1 });
        act(() => {
            window.dispatchEvent(new StorageEvent('storage', { key: 'draft:4/house/line', oldValue, newValue: null }));
        });
        expect(result.current[0]).toBe(after);
        unmount();
        localStorage.clear();
    }
});

it('gives back no figure that was read too long ago', () => {
    const meter = () => renderHook(() => useDraft('house/meter', '', 1000));
    const { result, unmount } = meter();
    act(() => result.current[1]('26.1'));
    unmount();
    expect(meter().result.current[0]).toBe('26.1');
    localStorage.setItem('draft:4/house/meter', JSON.stringify({ value: '26.1', at: Date.now() - 1001 }));
    expect(meter().result.current[0]).toBe('');
});

it('drops what nobody came back to for two weeks', () => {
    const { result } = field();
    act(() => result.current[1]('red'));
    dropOldDrafts();
    expect(kept()).toHaveLength(1);
    dropOldDrafts(Date.now() + 15 * 24 * 3600 * 1000);
    expect(kept()).toEqual([]);
});

it('keeps the id of a row that the device could not keep, so that it is written once', async () => {
    const asked = server();
    const { result } = renderHook(() => useOnce());
    for (const [turn, held] of [false, true, false].entries()) {
        await act(async () => {
            void result.current('/jobs/1/readings', { value: '26.1' }, {}, () => Promise.resolve(held));
            await settled();
            asked[turn]?.lose();
            await settled();
        });
    }
    const ids = asked.map((one) => one.body.id);
    // Not kept: the same row again. Kept: what comes next is another.
    expect([ids[1] === ids[0], ids[2] === ids[1]]).toEqual([true, false]);
});
