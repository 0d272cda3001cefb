import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';

test('first start, a house, a photograph and a PDF by the queue, a backup, over TLS', async ({ page }) => {
    const answer = await page.goto('/');
    expect(answer?.headers()['strict-transport-security']).toContain('max-age');
    await expect(page.getByRole('heading', { name: 'A new server' })).toBeVisible();
    await page.getByLabel('Code of this server').fill(process.env.FIRST_CODE ?? '');
    await page.getByLabel('Name of the crew').fill('Ebb & Sluice Heating');
    await page.getByLabel('Your name').fill('Wren Halyard');
    await page.getByLabel('E-mail address').fill('wren@ebb-and-sluice.example');
    await page.getByLabel('Password').fill('ropewalk and three herons');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
    const cookies = await page.context().cookies();
    expect(cookies.every((cookie) => cookie.secure)).toBe(true);

    await page.goto('/jobs');
    await page.getByRole('button', { name: /New job/ }).click();
    await page.getByRole('textbox', { name: 'House' }).fill('Reed Bank');
    await page.getByRole('button', { name: 'Open job' }).click();
    await expect(page.getByRole('heading', { name: 'Survey' })).toBeVisible();
    const entry = page.getByRole('textbox', { name: /conductor/ });
    for (const line of ['red R>R !', 'wht W>W !', 'grn G>G !']) {
        await entry.fill(line);
        await entry.press('Enter');
        await expect(entry).toHaveValue('');
    }
    await page
        .locator('[data-place="wall"] input[type=file]')
        .setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: await page.screenshot() });
    await expect(page.locator('[data-place="wall"] img')).toHaveCount(1);
    await page.goto(page.url().replace(/[a-z]+$/, 'handover'));
    const loading = page.waitForEvent('download');
    await page.getByRole('button', { name: 'PDF' }).click();
    const pdf = await (await loading).path();
    expect(readFileSync(pdf).subarray(0, 5).toString()).toBe('%PDF-');
    await page.goto('/crew');
    await page.getByRole('button', { name: 'Make one now' }).click();
    await expect(page.getByText('is made:')).toBeVisible();
});
