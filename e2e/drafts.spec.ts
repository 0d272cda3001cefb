import { expect, test, type Page } from './test';
import { beginAtRest, openJob, signIn, stage } from './support';

const byThumb = (page: Page, name: string) => page.locator('.tapestrip').getByRole('link', { name }).click();

// What is typed and not sent yet is there again: after a reload, the way back, another tab. What was sent is not.

/** Everything that was typed, where it was typed, as it stands in the fields. */
type Fields = Record<string, (page: Page) => Promise<unknown>>;

async function again(page: Page, go: () => Promise<unknown>, fields: Fields): Promise<void> {
    const before: Record<string, unknown> = {};
    for (const [name, read] of Object.entries(fields)) before[name] = await read(page);
    await go();
    for (const [name, read] of Object.entries(fields))
        await expect.poll(() => read(page), { message: name }).toEqual(before[name]);
}

const figure: Fields = {
    figure: (page) => page.locator('#actual').inputValue(),
    a: (page) => page.getByRole('combobox', { name: 'Probe A' }).inputValue(),
    b: (page) => page.getByRole('combobox', { name: 'Probe B' }).inputValue(),
};

test('a figure and its pair, half a conductor, an answer in words', async ({ page, context }) => {
    await signIn(page);
    await openJob(page, 'Quay House');
    await stage(page, 'Survey');
    await page.getByRole('combobox', { name: 'Probe A' }).selectOption('indoor.G');
    await page.locator('#actual').fill('12.3');
    await page.locator('#entry').fill('brown spa');
    const all: Fields = { ...figure, line: (here) => here.locator('#entry').inputValue() };
    await again(page, () => page.reload(), all);
    await again(
        page,
        async () => {
            await stage(page, 'Handover');
            await page.goBack();
        },
        all,
    );
    // Another tab has the words too; once they are sent there, they are not sent a second time here.
    const other = await context.newPage();
    await other.goto(page.url());
    await expect(other.locator('#entry')).toHaveValue('brown spa');
    await other.locator('#entry').fill('brown spare spare');
    await other.locator('#entry').press('Enter');
    await expect(other.locator('#entry')).toHaveValue('');
    await expect(other.getByText('Keeping')).toBeHidden();
    await page.reload();
    await expect(page.locator('#entry')).toHaveValue('');
    await page.locator('#actual').press('Enter');
    await expect(page.locator('.log tr', { hasText: '12.3' }).first()).toBeVisible();
    await page.reload();
    await expect(page.locator('#actual')).toHaveValue('');
});

test('a figure of a running step comes back on its own pair, the meter open on a phone', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    await page
        .getByRole('link', { name: /Sailmaker's Loft/ })
        .first()
        .click();
    await byThumb(page, 'Prove');
    await beginAtRest(page);
    await page.locator('.dock__handle').click();
    // Not the pair that is asked for first.
    const second = page.getByRole('combobox', { name: 'Probe A' });
    await second.selectOption({ index: 3 });
    await page.locator('#actual').fill('0.4');
    await again(page, () => page.reload(), {
        ...figure,
        open: (here) => here.locator('.dock__handle').getAttribute('aria-expanded'),
    });
});

test('a signature and its name; the page comes back where it was', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    await page
        .getByRole('link', { name: /Ropewalk 11/ })
        .first()
        .click();
    await byThumb(page, 'Survey');
    await expect(page.locator('#entry')).toBeVisible();
    const top = () => page.locator('main').evaluate((main) => main.scrollTop);
    await expect(async () => {
        await page.locator('main').evaluate((main) => main.scrollTo(0, 900));
        await page.waitForTimeout(200);
        expect(await top()).toBeGreaterThan(800);
    }).toPass();
    const was = await top();
    await page.keyboard.press('5');
    const pad = page.getByRole('group', { name: /customer/i });
    await pad.scrollIntoViewIfNeeded();
    await pad.getByLabel('Name').fill('A. Tenant');
    const box = await pad.locator('svg').boundingBox();
    if (!box) throw new Error('no field to sign in');
    await page.mouse.move(box.x + 20, box.y + 40);
    await page.mouse.down();
    await page.mouse.move(box.x + 90, box.y + 80, { steps: 4 });
    await page.mouse.up();
    const signed: Fields = {
        name: () => pad.getByLabel('Name').inputValue(),
        strokes: () => pad.locator('svg path').getAttribute('d'),
    };
    expect(await signed.strokes?.(page)).toContain('L');
    await again(page, () => page.reload(), signed);
    await page.goBack();
    await expect(page.locator('#entry')).toBeVisible();
    await expect.poll(top).toBe(was);
});
