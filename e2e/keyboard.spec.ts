import { expect, test } from './test';
import { openJob, signIn } from './support';

test('a house surveyed and planned without a mouse', async ({ page }) => {
    await signIn(page);
    await page.keyboard.press('n');
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.getByRole('textbox', { name: 'House' }).focus();
    await page.keyboard.type('Coot Corner');
    await page.getByRole('combobox', { name: 'Equipment' }).focus();
    await page.keyboard.type('Gas furnace, one stage, with one');
    await page.keyboard.press('Enter');
    if (await page.getByRole('dialog').isVisible()) await page.getByRole('button', { name: 'Open job' }).press('Enter');
    await expect(page.getByRole('heading', { name: 'Survey' })).toBeVisible();

    // N puts the cursor in the entry; single keys are off while it has the focus; Up brings the last line back.
    await page.keyboard.press('n');
    const entry = page.getByRole('textbox', { name: /conductor/ });
    await expect(entry).toBeFocused();
    for (const [index, line] of ['red R>R !', 'wht W>W !', 'grn G>G !', 'yel Y>Y !', 'blu C>C !'].entries()) {
        await page.keyboard.type(line);
        await page.keyboard.press('Enter');
        await expect(page.locator(`tr[data-conductor="${index + 1}"]`)).toBeVisible();
        await expect(entry).toHaveValue('');
    }
    await page.keyboard.press('ArrowUp');
    await expect(entry).toHaveValue('blu C>C !');
    await page.keyboard.press('Escape');
    await expect(entry).not.toBeFocused();

    await page.keyboard.press('2');
    await expect(page.getByRole('heading', { level: 1, name: 'Plan' })).toBeVisible();
    await page.getByRole('radio', { name: /C-powered, 1 heat 1 cool, remote/ }).press('Enter');
    await expect(page.getByText(/calls proved by simulation/)).toBeVisible();
    await page.keyboard.press('j');
    await page.keyboard.press('j');
    await expect(page.getByRole('button', { name: 'Conductor 2 white' })).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press('k');
    await expect(page.getByRole('button', { name: 'Conductor 1 red' })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('button', { name: 'Probe G at the board' }).press('Enter');
    await expect(page.getByRole('combobox', { name: 'Probe A' })).toHaveValue('indoor.G');
    await page.keyboard.press('x');
    await expect(page.getByRole('combobox', { name: 'Probe B' })).toHaveValue('indoor.G');
    await page.keyboard.press('o');
    await expect(page.getByRole('button', { name: /ohms/ })).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByTestId('reason')).toContainText(/winding|blower relay|Wire/);

    // P asks for the power; Escape backs out; the keys are listed under ?.
    await page.keyboard.press('p');
    await expect(page.getByRole('dialog')).toContainText('R–C now, volts');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog')).toContainText('Record the reading typed in the dock');
});

test('the headlamp theme stays, and motion can be still', async ({ page }) => {
    await signIn(page);
    await page.getByRole('button', { name: /headlamp theme/ }).click();
    const chosen = await page.locator('html').getAttribute('data-theme');
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-theme', chosen ?? '');

    await page.emulateMedia({ reducedMotion: 'reduce' });
    await openJob(page, 'Tollhouse');
    await page
        .getByRole('group', { name: 'Simulate a call' })
        .getByRole('button', { name: /^Cool 1/ })
        .click();
    const flow = page.locator('.sb .flow, .sb .flow-back').first();
    await expect(flow).toBeAttached();
    expect(await flow.evaluate((line) => getComputedStyle(line).animationName)).toBe('none');
    await page.emulateMedia({ reducedMotion: 'no-preference' });
    expect(await flow.evaluate((line) => getComputedStyle(line).animationName)).toBe('flow');
});

test('the key for power offers what the page wants, and Enter does what the button does', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Weir Pump Room');
    await page.locator('.tape').getByRole('link', { name: /^Plan/ }).click();
    await expect(page.getByRole('button', { name: /Isolate first/ })).toBeVisible();
    await page.locator('body').press('p');
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('Isolate and prove dead');
    await page.keyboard.type('0.0');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Space');
    const tick = dialog.getByRole('checkbox');
    await expect(tick).toBeChecked();
    // On the ticked box too: it is sent, and stays ticked.
    await tick.press('Enter');
    await expect(dialog).toBeHidden();
    await expect(page.locator('.pf')).toContainText('ISOLATED');
});
