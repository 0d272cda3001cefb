import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { expect, serve, test as base, type Page } from './test';

// A second language, made from the first by `bin/pseudo`: every word of lang/ has an accent in it and every sentence is
// longer by a third. What is left plain on a screen does not come from there.

const test = base.extend<{ pseudo: string }>({
    pseudo: async ({ server }, run) => {
        execFileSync('bin/pseudo', { stdio: 'ignore' });
        execFileSync('npx', ['vite', 'build', '--logLevel', 'error'], {
            stdio: 'ignore',
            env: { ...process.env, UNIONBIT_BUILD: 'build-xa' },
        });
        // What is recorded is kept in the words that it was recorded in: the demo data are seeded in them too.
        const file = `${process.cwd()}/database/e2e-pseudo.sqlite`;
        const env = { APP_LOCALE: 'en-XA', UNIONBIT_BUILD: 'build-xa' };
        execFileSync('bash', ['e2e/seed.sh', file], { stdio: 'ignore', env: { ...process.env, ...env } });
        const own = await serve(`in pseudo beside ${server}`, env, file);
        await run(own.url);
        own.stop();
    },
});

// What is data, not language: names of people, houses and crews, titles of equipment, words that a thermostat's own
// menu has, units and dates as the locale writes them.
const data = [
    ...['unionbit', 'Unionbit', 'Ebb & Sluice Heating', 'Wren Halyard', 'Sedge Barrow', 'Wren', 'Sedge'],
    ...['Saltmarsh Locks', 'Tollhouse', 'Ropewalk', 'Dredger Cottage', 'The Old Chandlery', 'Heron Boathouse'],
    ...['Quay House', 'Flat 2', 'Weir Pump Room', "Sailmaker's Loft", 'Winding Hole', "Lock Keeper's Row"],
    ...['demo data has no camera', 'red R>R !', 'red Y>Y seen', 'wall>board', 'board>outdoor'],
    ...['aux', 'Converted', 'Electric', 'Enter'],
    ...menus(),
].sort((one, other) => other.length - one.length);

/** Titles of equipment, and the words of each thermostat's own menu. */
function menus(): string[] {
    const found: string[] = [];
    const strings = (value: unknown): void => {
        if (typeof value === 'string') found.push(value);
        else if (value !== null && typeof value === 'object') Object.values(value).forEach(strings);
    };
    for (const file of readdirSync('catalog/thermostats'))
        strings((JSON.parse(readFileSync(`catalog/thermostats/${file}`, 'utf8')) as { menu?: unknown }).menu);
    const equipment = JSON.parse(readFileSync('catalog/equipment.json', 'utf8')) as Record<string, string>[];
    strings(equipment.map(({ title, short }) => [title, short]));
    return found.filter((word) => word.length > 2);
}

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
            rest = rest.replace(
                /\b(Mon|Tue|Wed|Thu|Fri|Sat|Sun),? |\b[A-Z][a-z]{2} \d{1,2}\b| and |\bAux\b|BTU|tons|AWG|\bmin\b/g,
                ' ',
            );
            return (rest.match(/(?<![\p{L}\d])[A-Za-z]{3,}(?![\p{L}\d])/gu) ?? []).some((word) =>
                /[aeiouy]/i.test(word),
            )
                ? text.trim().slice(0, 90)
                : '';
        });
        return [...new Set(left.filter((text) => text !== ''))];
    }, known);
}

/** Text that runs out of its button, out of the screen, or under an edge that cuts it without a sign. */
async function cut(page: Page): Promise<string[]> {
    return page.evaluate(() => {
        const found: string[] = [];
        const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        for (let node = walker.nextNode(); node; node = walker.nextNode()) {
            const holder = node.parentElement;
            if (!holder || !/\S/.test(node.textContent ?? '') || holder.closest('.vh,.sr-only,svg,option,title'))
                continue;
            if (!holder.checkVisibility({ visibilityProperty: true })) continue;
            const range = document.createRange();
            range.selectNodeContents(node);
            const text = range.getBoundingClientRect();
            if (text.width === 0) continue;
            for (let box: HTMLElement | null = holder; box; box = box.parentElement) {
                const style = getComputedStyle(box);
                if (style.textOverflow === 'ellipsis' || /auto|scroll/.test(style.overflowX)) break;
                const edge = box.getBoundingClientRect();
                const cuts = style.overflowX === 'hidden' || style.clipPath !== 'none' || box.tagName === 'BUTTON';
                if (cuts && edge.width > 1 && text.right > edge.right + 2) {
                    found.push((node.textContent ?? '').trim().slice(0, 60));
                    break;
                }
            }
        }
        return [...new Set(found)];
    });
}

test('a second language is a folder: no plain word on any screen, nothing wider than it', async ({
    browser,
    pseudo,
}) => {
    // It walks every screen at two widths and measures each text on it.
    test.setTimeout(900_000);
    const problems: string[] = [];
    for (const [width, height] of [
        [1280, 800],
        [390, 844],
    ] as const) {
        const page = await (await browser.newContext({ viewport: { width, height } })).newPage();
        const look = async (where: string) => {
            await page.evaluate(() => document.fonts.ready);
            for (const expected of await page.getByTestId('expected').all()) await expect(expected).toContainText(/\d/);
            if (width === 1280) for (const text of await plain(page, data)) problems.push(`${where}: ${text}`);
            for (const text of await cut(page)) problems.push(`${where}, ${width}: cut: ${text}`);
            const wide = await page.evaluate(() => document.documentElement.scrollWidth);
            if (wide > width) problems.push(`${where}: ${wide} px wide on ${width}`);
            if (process.env.PSEUDO_SHOTS) await page.screenshot({ path: `/tmp/pseudo-${width}-${where}.png` });
        };
        await page.goto(`${pseudo}/sign-in`);
        await look('sign-in');
        await page.locator('input[type=email]').fill('wren@ebb-and-sluice.example');
        await page.locator('input[type=password]').fill('saltmarsh');
        await page.locator('form .btn--go').click();
        await expect(page.locator('.main li').first()).toBeVisible();
        await look('jobs');
        for (const [name, open] of [
            ['new job', page.locator('.head .btn--go')],
            ['import', page.locator('.head .btn--quiet')],
            ['keys', page.locator('button.tool').first()],
        ] as const) {
            await open.click();
            await expect(page.getByRole('dialog')).toBeVisible();
            await look(name);
            await page.keyboard.press('Escape');
            await expect(page.getByRole('dialog')).toBeHidden();
        }
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
                if (name !== 'prove' || site !== 'Tollhouse') continue;
                for (const other of [0, 1]) {
                    await page.locator('.pf__other').nth(other).click();
                    await expect(page.getByRole('dialog')).toBeVisible();
                    await look(`power ${other}`);
                    await page.keyboard.press('Escape');
                }
            }
        }
        await page.context().close();
    }
    expect(problems).toEqual([]);
});
