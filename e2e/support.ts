import { readFileSync, writeFileSync } from 'node:fs';
import type { Browser, BrowserContext } from '@playwright/test';
import { clockFile, expect, type Locator, type Page } from './test';

/** Lets time pass on the server, which counts the compressor's delay. The page then reads it anew. */
export async function pass(page: Page, seconds: number): Promise<void> {
    writeFileSync(clockFile, String(passed() + seconds));
    await page.reload();
}

function passed(): number {
    try {
        return Number(readFileSync(clockFile, 'utf8'));
    } catch {
        return 0;
    }
}

// Sessions of this worker, by person: the first test of a worker goes through the sign-in form, the rest take its
// cookie.
const sessions = new Map<string, Awaited<ReturnType<BrowserContext['cookies']>>>();

export async function signIn(page: Page, email = 'wren@ebb-and-sluice.example'): Promise<void> {
    const cookies = sessions.get(email);
    if (cookies) await page.context().addCookies(cookies);
    await page.goto(cookies ? '/jobs' : '/sign-in');
    if (page.url().endsWith('/sign-in')) {
        await page.getByLabel('E-mail address').fill(email);
        await page.getByLabel('Password').fill('saltmarsh');
        await page.getByRole('button', { name: 'Sign in' }).click();
    }
    await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    if (!cookies) sessions.set(email, await page.context().cookies());
}

export async function openJob(page: Page, site: string): Promise<void> {
    await page
        .locator('.main')
        .getByRole('link', { name: new RegExp(site) })
        .click();
    await expect(page.locator('.bar__job b')).toHaveText(site);
}

export async function stage(page: Page, name: string): Promise<void> {
    await page
        .locator('.tape')
        .getByRole('link', { name: new RegExp(`^${name}`) })
        .click();
    await expect(page.getByRole('heading', { level: 1, name: new RegExp(`^${name}`) })).toBeVisible();
}

/** Types one conductor line and keeps it. */
export async function conductor(page: Page, line: string, number: number): Promise<void> {
    const entry = page.getByRole('textbox', { name: /conductor/ });
    await entry.fill(line);
    await entry.press('Enter');
    await expect(page.locator(`tr[data-conductor="${number}"]`)).toBeVisible();
    await expect(entry).toHaveValue('');
}

export async function raise(page: Page, to: 'live' | 'isolated', volts: string): Promise<void> {
    await page
        .locator('.pf')
        .getByRole('button', { name: to === 'live' ? 'Make live' : 'Isolate' })
        .click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toBeVisible();
    for (const field of await dialog.getByLabel(/volts$/).all()) await field.fill(volts);
    // Isolated: the meter is proved. Live: what is still open is meant, also where the page learns of it only now.
    await expect(async () => {
        // On a slow machine it may have closed after the last look.
        if (await dialog.isHidden()) return;
        for (const tick of await dialog.getByRole('checkbox', { checked: false }).all()) await tick.click();
        await dialog
            .getByRole('button', { name: to === 'live' ? 'It is live' : 'It is dead' })
            .click({ timeout: 1_000 });
        await expect(dialog).toBeHidden({ timeout: 2_000 });
    }).toPass();
    await expect(page.getByRole('status', { name: 'Power flag' })).toContainText(
        to === 'live' ? 'LIVE 24 V' : 'ISOLATED',
    );
}

export async function measure(page: Page, value: string, outcome: 'pass' | 'fail' | 'too-early'): Promise<void> {
    const before = await page.locator('.log tr').count();
    await page.locator('#actual').fill(value);
    await page.locator('#actual').press('Enter');
    await expect(page.locator('#actual')).toHaveValue('');
    await expect(page.locator('.log tr').first()).toContainText(outcome === 'too-early' ? 'too early' : outcome);
    if (before < 12) await expect(page.locator('.log tr')).toHaveCount(before + 1);
}

export async function probe(page: Page, a: string, b: string): Promise<void> {
    await page.getByRole('combobox', { name: 'Probe A' }).selectOption(a);
    await page.getByRole('combobox', { name: 'Probe B' }).selectOption(b);
}

/** Opens a question of the survey, and its section if that is folded. */
export async function question(page: Page, key: string): Promise<Locator> {
    const row = page.locator(`[data-question="${key}"]`);
    await expect(row).toBeAttached();
    if (!(await row.getByRole('group').isVisible())) {
        if (!(await row.isVisible())) await page.locator('details', { has: row }).locator('summary').click();
        await row.getByRole('button').first().click();
    }
    await expect(row.getByRole('group')).toBeVisible();
    return row;
}

/** Answers a question of the survey: a choice by its words, a number or a text as it is typed. */
export async function answer(page: Page, key: string, value: string): Promise<void> {
    const row = await question(page, key);
    const open = row.getByRole('group');
    const field = open.getByRole('textbox');
    if ((await field.count()) > 0) {
        await field.fill(value);
        await open.getByRole('button', { name: 'Keep' }).click();
    } else {
        await open.getByRole('button', { name: value, exact: true }).click();
    }
    await expect(open).toHaveCount(0);
    await expect(row).toContainText(value);
}

/** Says why there is no photograph of the wall plate and of the board. */
export async function noPhotos(page: Page): Promise<void> {
    for (const place of ['Wall plate', 'Indoor board']) {
        const group = page.getByRole('group', { name: place });
        await group.getByRole('button', { name: 'None, because …' }).click();
        await group.getByRole('textbox').fill('no camera here');
        await group.getByRole('button', { name: 'Keep' }).click();
        await expect(group).toContainText('none: no camera here');
    }
}

/** A picture of one color or, with patches, one that does not compress; or so many bytes that are no picture. */
interface Made {
    name: string;
    bytes?: number;
    picture?: { width: number; height: number; patches: number };
}

/** Chooses a file that the browser itself makes, so that megabytes do not travel to it. Says its size. */
export async function chooseFile(input: Locator, made: Made): Promise<number> {
    return input.evaluate(async (element: HTMLInputElement, { name, bytes, picture }) => {
        let content: BlobPart = new Uint8Array(bytes ?? 0).fill(1);
        if (picture) {
            const canvas = new OffscreenCanvas(picture.width, picture.height);
            const paint = canvas.getContext('2d');
            paint?.fillRect(0, 0, picture.width, picture.height);
            for (let n = 0; n < picture.patches; n++) {
                if (paint) paint.fillStyle = `hsl(${(n * 37) % 360} 70% 50%)`;
                paint?.fillRect((n * 7919) % picture.width, (n * 104729) % picture.height, 90, 60);
            }
            content = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 });
        }
        const file = new File([content], name, { type: 'image/jpeg' });
        const list = new DataTransfer();
        list.items.add(file);
        element.files = list.files;
        element.dispatchEvent(new Event('change', { bubbles: true }));
        return file.size;
    }, made);
}

/** Chooses a proof of the call in hand; the short form keeps those that only part suspects behind one tap. */
export async function byProof(page: Page, name: string): Promise<void> {
    const proofs = page.getByRole('group', { name: 'Proof', exact: true });
    const proof = proofs.getByRole('button', { name, exact: true });
    await expect(proofs.getByRole('button').first()).toBeVisible();
    if (!(await proof.isVisible())) await proofs.getByRole('button', { name: /other proofs?$/ }).click();
    await proof.click();
}

/** Another visit to a house, of this kind, begun with a copy of what is known of it. */
export async function visitAgain(page: Page, house: string, kind: string): Promise<void> {
    await page.getByRole('button', { name: `More for ${house}` }).click();
    await page.getByRole('menuitem', { name: 'Copy …' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel(/visit/i).selectOption(kind);
    await dialog.getByRole('button', { name: 'Copy', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Survey' })).toBeVisible();
}

/** Somebody else, on a phone of their own. */
export async function another(browser: Browser, page: Page): Promise<Page> {
    const base = new URL(page.url()).origin;
    const context = await browser.newContext({ baseURL: base, viewport: { width: 390, height: 844 } });
    return context.newPage();
}

/** Begins the proof at rest on the page of Prove, with the power on. */
export async function beginAtRest(page: Page): Promise<void> {
    await raise(page, 'live', '26.6');
    await page
        .getByRole('group', { name: 'Calls' })
        .getByRole('button', { name: /^At rest/ })
        .click();
    await page.getByRole('button', { name: /^(Begin|Nothing is called)/ }).click();
    await expect(page.getByRole('button', { name: 'At rest is done' })).toBeVisible();
}
