import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { expect, secondPort, serve, test as base, type Page } from './test';

// A second language, made from the first by `bin/pseudo`: every word of lang/ has an accent in it and every sentence is
// longer by a third. What is left plain on a screen does not come from there.

const test = base.extend<{ pseudo: string }>({
    pseudo: async ({ server }, run) => {
        execFileSync('bin/pseudo', { stdio: 'ignore' });
        execFileSync('npx', ['vite', 'build', '--logLevel', 'error'], {
            stdio: 'ignore',
            env: { ...process.env, UNIONBIT_BUILD: 'build-xa' },
        });
        const own = await serve(secondPort, `in pseudo beside ${server}`, {
            APP_LOCALE: 'en-XA',
            UNIONBIT_BUILD: 'build-xa',
        });
        await run(own.url);
        own.stop();
    },
});

/** Names that are data: of the demo crew and its houses, of equipment and thermostats, of the catalogue. */
function names(): string[] {
    const found: string[] = [];
    for (const folder of ['catalog/equipment', 'catalog/thermostats'])
        for (const file of readdirSync(folder)) {
            const read = JSON.parse(readFileSync(`${folder}/${file}`, 'utf8')) as Record<string, unknown>;
            const walk = (value: unknown): void => {
                if (typeof value === 'string') found.push(value);
                else if (value !== null && typeof value === 'object') Object.values(value).forEach(walk);
            };
            walk(read);
        }
    return found;
}

const data = [
    ...names(),
    ...['Unionbit', 'Ebb & Sluice Heating', 'Wren Halyard', 'Sedge Barrow', 'Wren', 'Sedge', 'Saltmarsh Locks'],
];

/** Words on the page that have a plain vowel, three letters at least, outside of names that are data. */
async function plain(page: Page, known: string[]): Promise<string[]> {
    return page.evaluate((names) => {
        const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        const texts: string[] = [];
        for (let node = walker.nextNode(); node; node = walker.nextNode()) {
            const holder = node.parentElement;
            if (!holder || ['SCRIPT', 'STYLE'].includes(holder.tagName) || holder.closest('[data-data]')) continue;
            texts.push(node.textContent ?? '');
        }
        for (const element of document.querySelectorAll('[aria-label],[placeholder],[title],[alt]'))
            for (const name of ['aria-label', 'placeholder', 'title', 'alt']) {
                const text = element.getAttribute(name);
                if (text) texts.push(text);
            }
        const left = texts.map((text) => {
            let rest = text;
            for (const name of names) rest = rest.split(name).join(' ');
            return (rest.match(/(?<![\p{L}\d])[A-Za-z]{3,}(?![\p{L}\d])/gu) ?? []).some((word) =>
                /[aeiouy]/i.test(word),
            )
                ? text.trim().slice(0, 90)
                : '';
        });
        return [...new Set(left.filter((text) => text !== ''))];
    }, known);
}

test('a second language is a folder: no plain word on any screen, nothing wider than it', async ({
    browser,
    pseudo,
}) => {
    test.setTimeout(120_000);
    const problems: string[] = [];
    for (const [width, height] of [
        [1280, 800],
        [390, 844],
    ] as const) {
        const page = await (await browser.newContext({ viewport: { width, height } })).newPage();
        const look = async (where: string) => {
            await page.waitForLoadState('networkidle');
            if (width === 1280) for (const text of await plain(page, data)) problems.push(`${where}: ${text}`);
            const wide = await page.evaluate(() => document.documentElement.scrollWidth);
            if (wide > width) problems.push(`${where}: ${wide} px wide on ${width}`);
            if (process.env.PSEUDO_SHOTS) await page.screenshot({ path: `/tmp/pseudo-${width}-${where}.png` });
        };
        await page.goto(`${pseudo}/sign-in`);
        await look('sign-in');
        await page.locator('input[type=email]').fill('wren@ebb-and-sluice.example');
        await page.locator('input[type=password]').fill('saltmarsh');
        await page.locator('button[type=submit], form button').first().click();
        await expect(page.locator('.main li').first()).toBeVisible();
        await look('jobs');
        for (const site of ["Lock Keeper's Row 4", 'Tollhouse']) {
            await page.goto(`${pseudo}/jobs`);
            await page
                .locator('.main')
                .getByRole('link', { name: new RegExp(site) })
                .click();
            await expect(page.locator('.bar__job b')).toHaveText(site);
            const base = page.url().replace(/\/[a-z]+$/, '');
            for (const name of ['survey', 'plan', 'set', 'prove', 'handover', 'figures']) {
                await page.goto(`${base}/${name}`);
                await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
                await look(`${site} ${name}`);
            }
        }
        await page.context().close();
    }
    expect(problems).toEqual([]);
});
