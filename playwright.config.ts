import { defineConfig } from '@playwright/test';

const port = Number(process.env.E2E_PORT ?? 8123);

// Debian's Chromium, never a download of its own; the application serves a fresh demo database of its own.
export default defineConfig({
    testDir: 'e2e',
    // The pictures of the documentation are taken only when asked for: PICTURES=1 npx playwright test pictures
    testIgnore: process.env.PICTURES ? [] : ['pictures.spec.ts'],
    workers: 1,
    timeout: 60_000,
    retries: 0,
    forbidOnly: !!process.env.CI,
    reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
    use: {
        baseURL: `http://127.0.0.1:${port}`,
        viewport: { width: 1280, height: 800 },
        screenshot: 'only-on-failure',
        actionTimeout: 8_000,
        launchOptions: { executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'] },
    },
    webServer: { command: `bash e2e/serve.sh ${port}`, url: `http://127.0.0.1:${port}/up`, reuseExistingServer: false, timeout: 60_000 },
});
