import { execFileSync } from 'node:child_process';
import { expect, test } from './test';
import { another, openJob, signIn, stage } from './support';

const password = 'ropewalk and three herons';

test('the lead asks somebody in, who comes by the link and does what an apprentice may', async ({ page, browser }) => {
    await signIn(page);
    await page.goto('/crew');
    const invite = page.getByRole('region', { name: 'Invite somebody' });
    await invite.getByLabel('E-mail address').fill('new@ebb-and-sluice.example');
    await invite.getByRole('radio', { name: 'apprentice' }).click();
    await invite.getByRole('button', { name: 'Make the link' }).click();
    const link = await invite.getByLabel('Link', { exact: true }).inputValue();
    await expect(page.getByRole('region', { name: 'Links that are out' })).toContainText('new@ebb-and-sluice.example');

    const phone = await another(browser, page);
    await phone.goto(new URL(link).pathname);
    await expect(phone.getByRole('heading', { level: 1 })).toHaveText('Ebb & Sluice Heating asks you in');
    await phone.getByLabel('Your name').fill('Reed Lockram');
    await phone.getByLabel('Password').fill('too short');
    await phone.getByRole('button', { name: 'Come in' }).click();
    await expect(phone.getByRole('alert')).toContainText('at least 12 characters');
    await expect(phone.getByLabel('Your name')).toHaveValue('Reed Lockram');
    await phone.getByLabel('Password').fill(password);
    await phone.getByRole('button', { name: 'Come in' }).click();
    await expect(phone.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    await openJob(phone, 'Tollhouse');
    await phone.goto(phone.url().replace(/[a-z]+$/, 'handover'));
    await expect(phone.getByText('An installer or the lead decides this.').first()).toBeVisible();
    await expect(phone.getByRole('button', { name: /Hand over/ })).toHaveCount(0);

    await page.reload();
    const row = page.locator('[data-person="Reed Lockram"]');
    await expect(row).toContainText('apprentice');
    await row.getByRole('button', { name: 'More for Reed Lockram' }).click();
    await page.getByRole('menuitem', { name: 'Deactivate' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Deactivate' }).click();
    await expect(row).toContainText('deactivated');
    await phone.goto('/jobs');
    await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await phone.context().close();
});

test('the office reads a house and finds nothing to change', async ({ page }) => {
    await signIn(page, 'iris@ebb-and-sluice.example');
    await expect(page.getByRole('button', { name: /New job/ })).toHaveCount(0);
    await openJob(page, 'Tollhouse');
    for (const name of ['Survey', 'Plan', 'Set', 'Prove', 'Handover']) {
        await stage(page, name);
        await expect(page.getByRole('note', { name: 'About this job' })).toContainText('your role is reader');
        await expect(page.locator('#actual')).toHaveCount(0);
    }
});

test('a second factor is asked for once it is put on, and a code of the paper opens too', async ({ page, browser }) => {
    await signIn(page, 'sedge@ebb-and-sluice.example');
    await page.goto('/account');
    const part = page.getByRole('region', { name: 'Second factor' });
    await part.getByLabel('Present password').fill('saltmarsh');
    await part.getByRole('button', { name: 'Begin' }).click();
    const secret = (await part.locator('b.mono').innerText()).replace(/ /g, '');
    await expect(part.getByRole('img')).toBeVisible();
    await part.getByLabel('The six figures').fill('000000');
    await part.getByRole('button', { name: 'Put it on' }).click();
    await expect(part.getByRole('alert')).toContainText('not a code');
    const code = execFileSync('oathtool', ['--totp', '--base32', '-'], { input: `${secret}\n` });
    await part.getByLabel('The six figures').fill(code.toString().trim());
    await part.getByRole('button', { name: 'Put it on' }).click();
    await expect(part.locator('ol li')).toHaveCount(10);
    const paper = await part.locator('ol li').first().innerText();
    await part.getByRole('button', { name: 'They are on paper' }).click();
    await expect(part).toContainText('10 codes on paper are left');

    const phone = await another(browser, page);
    await phone.goto('/sign-in');
    await phone.getByLabel('E-mail address').fill('sedge@ebb-and-sluice.example');
    await phone.getByLabel('Password').fill('saltmarsh');
    await phone.getByRole('button', { name: 'Sign in' }).click();
    await expect(phone.getByRole('heading', { name: 'The code of your device' })).toBeVisible();
    await phone.getByLabel('Code').fill(paper);
    await phone.getByRole('button', { name: 'Sign in' }).click();
    await expect(phone.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    await phone.context().close();
});

test('the hand that was chosen has the keys on its side, on every device', async ({ page, browser }) => {
    await signIn(page, 'teal@ebb-and-sluice.example');
    await page.goto('/account');
    await page.getByRole('radio', { name: 'left' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-hand', 'left');

    const phone = await another(browser, page);
    await phone.context().addCookies(await page.context().cookies());
    await phone.goto('/jobs');
    await openJob(phone, "Lock Keeper's Row 6");
    await phone.locator('.dock__handle').click();
    const keys = await phone.locator('.pad__keys').boundingBox();
    expect(keys?.x).toBeGreaterThan(100);
    await phone.context().close();
});
