import { act, renderHook } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { useEdits } from '@/lib/write/edits';
import { server, settled } from './server';

const reload = vi.hoisted(() => vi.fn(() => Promise.resolve()));
vi.mock('@/lib/reload', () => ({ reload }));

const edits = (version = 7) => renderHook(({ at }) => useEdits('/jobs/1/edits', at), { initialProps: { at: version } });
const line = { line: 'red R>R !' };

it('rests each edit on the version that the one before it made', async () => {
    const asked = server();
    const { result } = edits();
    await act(async () => {
        void result.current.send('add-conductor', line);
        void result.current.send('add-conductor', { line: 'wht W>W !' });
        await settled();
    });
    expect(asked).toHaveLength(1);
    expect(asked[0]?.body).toMatchObject({ op: 'add-conductor', ...line, version: 7 });

    await act(async () => {
        asked[0]?.answer(200, { version: 8 });
        await settled();
    });
    expect(asked[1]?.body).toMatchObject({ line: 'wht W>W !', version: 8 });
});

it('sends the same edit under the same id after a lost answer, another one under another', async () => {
    const asked = server();
    const { result } = edits();
    for (const [turn, fields] of [line, line, { line: 'blk C>C' }].entries()) {
        await act(async () => {
            void result.current.send('add-conductor', fields);
            await settled();
            asked[turn]?.lose();
            await settled();
        });
    }
    expect(asked[1]?.body.id).toBe(asked[0]?.body.id);
    expect(asked[2]?.body.id).not.toBe(asked[0]?.body.id);
    expect(result.current.problem).toMatchObject({ kind: 'unsent', network: true });
    expect(result.current.working).toBe(false);
});

it('says what somebody else changed, reads the page again, and then rests on the newer version', async () => {
    const asked = server();
    reload.mockClear();
    const { result, rerender } = edits();
    await act(async () => {
        void result.current.send('remove-conductor', { number: 1 });
        await settled();
        asked[0]?.answer(409, { message: 'Look first.', theirs: { changes: [{ by: 'Sedge', what: 'added 1 red' }] } });
        await settled();
    });
    expect(result.current.problem).toEqual({
        kind: 'stale',
        message: 'Look first.',
        changes: [{ by: 'Sedge', what: 'added 1 red' }],
    });
    expect(reload).toHaveBeenCalledOnce();

    rerender({ at: 9 });
    rerender({ at: 8 });
    await act(async () => {
        void result.current.send('remove-conductor', { number: 1 });
        await settled();
        asked[1]?.answer(200, { version: 10 });
        await settled();
    });
    expect(asked[1]?.body).toMatchObject({ version: 9, number: 1 });
    expect(result.current.problem).toBeNull();
});
