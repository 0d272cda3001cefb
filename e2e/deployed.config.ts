import { defineConfig } from '@playwright/test';
import base from '../playwright.config';

// One walk over a server that bin/deploy serves: see e2e/deployed.sh.
export default defineConfig({
    ...base,
    testDir: '.',
    testMatch: 'deployed.walk.ts',
    testIgnore: [],
    globalSetup: undefined as never,
    workers: 1,
    retries: 0,
    reporter: [['list']],
    use: { ...base.use, baseURL: process.env.DEPLOYED ?? '', ignoreHTTPSErrors: true },
});
