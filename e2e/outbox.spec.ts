import { expect, test, type Page } from './test';
import { beginAtRest, chooseFile, openJob, signIn, stage } from './support';

// A day with a bad signal: nothing that was typed, seen or photographed is lost, and all of it arrives once.

const bar = (page: Page) => page.getByRole('status', { name: 'Kept on this device' });

async function type(page: Page, value: string): Promise<void> {
    await page.locator('#actual').fill(value);
    await page.locator('#actual').press('Enter');
    await expect(page.locator('#actual')).toHaveValue('');
}

test('without a signal the probes go on, and each figure arrives at the pair that it was read at', async ({ page }) => {
    await signIn(page);
    await openJob(page, "Sailmaker's Loft");
    await stage(page, 'Prove');
    await beginAtRest(page);
    const at = () => page.getByRole('combobox', { name: 'Probe A' }).inputValue();
    await page.context().setOffline(true);
    const pairs: string[] = [];
    for (const value of ['0.2', '0.1', '0.3']) {
        pairs.push(await at());
        await type(page, value);
        await expect.poll(at).not.toBe(pairs[pairs.length - 1]);
    }
    await expect(bar(page)).toContainText('3 entries are kept');
    const sent: string[] = [];
    page.on('request', (request) => {
        if (request.method() === 'POST' && request.url().endsWith('/readings')) {
            const { a, value, ago, knew } = request.postDataJSON() as Record<string, string>;
            expect(Number(ago)).toBeGreaterThan(0);
            expect(Number(knew)).toBeGreaterThan(0);
            sent.push(`${a} ${value}`);
        }
    });
    await page.context().setOffline(false);
    await expect(bar(page)).toBeHidden();
    expect([...new Set(sent)]).toEqual(pairs.map((pair, n) => `${pair} ${['0.2', '0.1', '0.3'][n]}`));
});

test('a busy server and a page that is not ours lose nothing: it waits, and goes again by hand', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Tollhouse');
    await stage(page, 'Survey');
    const logged = page.locator('.log tr', { hasText: '26.5' });
    for (const [status, body, says] of [
        [502, 'Bad gateway', 'The server could not take it'],
        [200, '<html>Accept our terms</html>', 'Something else answered'],
    ] as const) {
        const known = await logged.count();
        await page.route('**/readings', (route) => route.fulfill({ status, contentType: 'text/html', body }));
        await type(page, '26.5');
        await expect(bar(page)).toContainText(says);
        await expect(logged).toHaveCount(known);
        // Another page of this device holds it as well, and so does this one after it was opened anew.
        await page.reload();
        await expect(bar(page)).toContainText('one entry is kept');
        await page.unroute('**/readings');
        await bar(page)
            .getByRole('button', { name: 'Send again' })
            .click({ timeout: 5000 })
            .catch(() => undefined);
        await expect(bar(page)).toBeHidden();
        await expect(logged).toHaveCount(known + 1);
    }
});

test('two pages of one device keep one queue, and a photograph outlives the page it was taken on', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Tollhouse');
    await stage(page, 'Survey');
    const other = await page.context().newPage();
    await other.goto(page.url());
    await expect(other.locator('#actual')).toBeVisible();
    await page.context().setOffline(true);
    await type(page, '23.3');
    await type(other, '23.9');
    await expect(bar(page)).toContainText('2 entries are kept');
    const wall = page.getByRole('group', { name: 'Wall plate' });
    await chooseFile(wall.getByLabel('Photograph of the wall plate'), {
        name: 'plate.jpg',
        picture: { width: 400, height: 300, patches: 0 },
    });
    await expect(wall).toContainText('plate.jpg is kept on this device');
    // The page goes, the photograph stays.
    await page.goto('about:blank');
    await page.context().setOffline(false);
    await page.goto(other.url());
    await expect(bar(page)).toBeHidden();
    await expect(page.getByRole('group', { name: 'Wall plate' })).toContainText('picture');
    for (const value of ['23.3', '23.9']) await expect(page.locator('.log tr', { hasText: value })).toHaveCount(1);
});
