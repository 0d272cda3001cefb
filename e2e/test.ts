import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { expect, test as base } from '@playwright/test';

export { expect, type Locator, type Page } from '@playwright/test';

const slot = Number(process.env.TEST_PARALLEL_INDEX ?? 0);
const database = `${process.cwd()}/database/e2e-${slot}.sqlite`;
const cache = `${process.cwd()}/storage/framework/cache/e2e-${slot}`;
const aside = `${cache}.aside`;

/** The file by which this worker's server is told how many seconds its clock is ahead. */
export const clockName = `clock-offset-${slot}`;
export const clockFile = `storage/framework/${clockName}`;

function freshDatabase(): void {
    rmSync(clockFile, { force: true });
    // A page of the test before may still be asking, and its server writing: what it kept is put aside, and goes with
    // the next test.
    rmSync(aside, { recursive: true, force: true, maxRetries: 5, retryDelay: 100 });
    if (existsSync(cache)) renameSync(cache, aside);
    mkdirSync(cache, { recursive: true });
    copyFileSync('database/e2e-seed.sqlite', `${database}.new`);
    for (const rest of ['-wal', '-shm']) rmSync(database + rest, { force: true });
    renameSync(`${database}.new`, database);
}

/** Whether the server there is the one that was started with this mark: a demo that runs beside is none of ours. */
async function isOurs(url: string, mark: string): Promise<boolean> {
    return fetch(`${url}/up`).then(
        (answer) => answer.ok && answer.headers.get('x-e2e-mark') === mark,
        () => false,
    );
}

/** A port that nobody listens on. */
async function freePort(): Promise<number> {
    return new Promise((resolve, reject) => {
        const probe = createServer();
        probe.once('error', reject);
        probe.listen(0, '127.0.0.1', () => {
            const address = probe.address();
            probe.close(() =>
                address && typeof address === 'object' ? resolve(address.port) : reject(Error('no port')),
            );
        });
    });
}

/** Serves this worker's database on a free port, with settings of its own if need be. */
export async function serve(
    whom: string,
    env: Record<string, string> = {},
    data = database,
): Promise<{ url: string; stop: () => void }> {
    // Another may take the port between finding and using it: then the server ends, and the next port is tried.
    for (let turn = 0; turn < 3; turn++) {
        const port = await freePort();
        const url = `http://127.0.0.1:${port}`;
        const mark = randomUUID();
        const server = spawn('bash', ['e2e/serve.sh', String(port), data, clockName], {
            detached: true,
            stdio: 'ignore',
            env: { ...process.env, CACHE_PATH: cache, ...env, E2E_MARK: mark },
        });
        const answers = async () => server.exitCode !== null || (await isOurs(url, mark));
        await expect.poll(answers, { timeout: 120_000, message: `the application answers ${whom}` }).toBe(true);
        if (server.exitCode === null)
            return {
                url,
                stop: () => {
                    if (server.pid && server.exitCode === null) process.kill(-server.pid);
                },
            };
    }
    throw new Error(`No server of ours came up for ${whom}.`);
}

/** Every worker has a server of its own, every test the demo data as they were seeded. */
export const test = base.extend<{ fresh: undefined }, { server: string }>({
    server: [
        async ({ browserName }, run) => {
            freshDatabase();
            const server = await serve(browserName);
            await run(server.url);
            server.stop();
        },
        { scope: 'worker' },
    ],
    baseURL: async ({ server }, run) => run(server),
    // Nothing on any page may ask for what its policy forbids.
    page: async ({ page }, run) => {
        const refused: string[] = [];
        page.on('console', (message) => {
            if (/Content Security Policy/.test(message.text())) refused.push(message.text());
        });
        await run(page);
        expect(refused, 'refused by the content policy').toEqual([]);
    },
    fresh: [
        async ({ server }, run) => {
            if (server) freshDatabase();
            await run(undefined);
        },
        { auto: true },
    ],
});
