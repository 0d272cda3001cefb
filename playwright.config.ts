import { defineConfig } from '@playwright/test';

// Debian's Chromium without a window, never a download of its own. Each worker serves the application itself, see
// e2e/test.ts; tests know nothing of each other, so that they can run side by side.
export default defineConfig({
    testDir: 'e2e',
    // The pictures of the documentation are taken only when asked for: PICTURES=1 npx playwright test pictures
    // Long walks over what shorter ones walk too run by night: bin/test all.
    grepInvert: process.env.NIGHTLY ? [] : [/@nightly/],
    testIgnore: process.env.PICTURES ? [] : ['pictures.spec.ts'],
    globalSetup: './e2e/setup.ts',
    fullyParallel: true,
    workers: Number(process.env.E2E_WORKERS ?? 2),
    // A machine may be a quarter as fast as another: the limits stop what hangs, they judge no speed.
    timeout: 480_000,
    // A second try on a machine that is busy elsewhere; what needed it is listed as flaky at the end.
    retries: 1,
    expect: { timeout: 60_000 },
    forbidOnly: !!process.env.CI,
    reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
    use: {
        viewport: { width: 1280, height: 800 },
        contextOptions: { reducedMotion: 'reduce' },
        screenshot: 'only-on-failure',
        actionTimeout: 60_000,
        launchOptions: {
            executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
            args: [
                '--no-sandbox',
                '--disable-gpu',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                '--no-first-run',
            ],
        },
    },
});
