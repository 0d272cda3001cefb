import { afterEach, expect, test, vi } from 'vitest';
import { post } from '@/lib/write/api';

afterEach(() => vi.unstubAllGlobals());

const answers = (status: number, body: object) =>
    vi.stubGlobal('fetch', async () => new Response(JSON.stringify(body), { status }));

test('a limit of ours is said at its field; one of a server before us passes', async () => {
    answers(429, { message: 'Wait.', errors: { email: ['Wait 20 seconds.'] } });
    expect(await post('/crew/links', {})).toEqual({ kind: 'invalid', errors: { email: 'Wait 20 seconds.' } });
    answers(429, {});
    expect(await post('/crew/links', {})).toMatchObject({ kind: 'unsent', later: true });
});
