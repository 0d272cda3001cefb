import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './test';
import { another, openJob, signIn, stage } from './support';

test('a fault is shown to a colleague from afar, who reads until the link is taken back', async ({ page, browser }) => {
    await signIn(page);
    await openJob(page, 'Quay House');
    await page.goto(page.url().replace(/[a-z]+$/, 'trace'));
    await page.getByRole('button', { name: 'Share', exact: true }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByRole('radio', { name: 'For advice' })).toBeChecked();
    await expect(dialog.getByRole('checkbox', { name: 'Name and address' })).not.toBeChecked();
    await dialog.getByLabel('For whom').fill('Colleague at the lock');
    await dialog.getByRole('radio', { name: 'a day' }).click();
    expect((await new AxeBuilder({ page }).include('[role="dialog"]').analyze()).violations).toEqual([]);
    await dialog.getByRole('button', { name: 'Make the link' }).click();
    const link = await dialog.getByLabel('Link', { exact: true }).inputValue();
    await expect(dialog).toContainText('not opened yet');
    await dialog.getByRole('button', { name: 'Done' }).click();

    const phone = await another(browser, page);
    await phone.goto(new URL(link).pathname);
    await expect(phone.getByRole('heading', { level: 1 })).toHaveText('Shown to you by Ebb & Sluice Heating');
    await expect(phone.getByRole('heading', { name: /^Fault, traced since/ })).toBeVisible();
    await expect(phone.getByText('Quay House')).toHaveCount(0);
    await expect(phone.getByRole('button')).toHaveText([/Print/]);
    const width = await phone.evaluate(() => document.documentElement.scrollWidth);
    expect(width).toBeLessThanOrEqual(390);
    for (const theme of ['bone', 'headlamp']) {
        await phone.evaluate((name) => document.documentElement.setAttribute('data-theme', name), theme);
        expect((await new AxeBuilder({ page: phone }).analyze()).violations).toEqual([]);
    }

    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Share', exact: true }).click();
    await expect(dialog).toContainText('opened once');
    await dialog.getByRole('button', { name: 'Take it back' }).click();
    await expect(dialog).toContainText('No link to this house is out.');
    await phone.reload();
    await expect(phone.getByRole('heading', { name: 'This link has ended' })).toBeVisible();
    await phone.context().close();
});

test('a customer gets what was done, with their name on it; the lead sees which houses are out', async ({
    page,
    browser,
}) => {
    await signIn(page);
    await openJob(page, "Lock Keeper's Row 4");
    await stage(page, 'Handover');
    await page.getByRole('button', { name: 'Share', exact: true }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('radio', { name: 'For the customer' }).click();
    await dialog.getByRole('checkbox', { name: 'Photographs' }).click();
    await dialog.getByRole('button', { name: 'Make the link' }).click();
    await expect(dialog.getByLabel('For whom')).toBeFocused();
    await dialog.getByLabel('For whom').fill('The customer');
    await dialog.getByRole('button', { name: 'Make the link' }).click();
    const link = await dialog.getByLabel('Link', { exact: true }).inputValue();
    const phone = await another(browser, page);
    await phone.goto(new URL(link).pathname);
    await expect(phone.getByRole('heading', { level: 2 })).toContainText('Lock Keeper');
    await expect(phone.getByRole('heading', { name: 'Calls' })).toBeVisible();
    await expect(phone.getByRole('heading', { name: /Photographs/ })).toHaveCount(0);
    await expect(phone.getByRole('heading', { name: 'Settings' })).toHaveCount(0);
    await phone.context().close();

    await page.goto('/crew');
    const houses = page.getByRole('region', { name: 'Houses that are shared' });
    await expect(houses).toContainText('The customer · Lock Keeper');
    await houses.getByRole('button', { name: 'Take it back' }).click();
    await expect(houses).toHaveCount(0);
});
