import { expect, test, type Page } from './test';
import { answer, conductor, measure, noPhotos, openJob, raise, signIn, visitAgain } from './support';

// Takes the pictures of docs/screenshots from the demo data, one of each main view.

const folder = 'docs/screenshots';

async function picture(page: Page, name: string): Promise<void> {
    await page.evaluate(() => document.fonts.ready);
    // What offers an undo goes away by itself.
    await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeHidden();
    await page.waitForTimeout(400);
    await page.screenshot({ path: `${folder}/${name}.png` });
}

test('the main views', async ({ page, browser }) => {
    await page.addInitScript(() => localStorage.setItem('theme', 'bone'));
    await signIn(page);
    await page.goto('/crew');
    await picture(page, 'people');
    await page.goto('/jobs');
    await openJob(page, "Lock Keeper's Row 6");
    for (const [index, line] of ['red R>R !', 'wht W>W !', 'grn G>G !', 'yel C>C ?'].entries())
        await conductor(page, line, index + 1);
    await noPhotos(page);
    for (const [key, value] of [
        ['outdoor', 'It cools only'],
        ['coolStages', 'One'],
        ['heatSource', 'Gas furnace'],
        ['heatStages', 'One'],
    ] as const)
        await answer(page, key, value);
    await measure(page, '26.7', 'pass');
    await page.getByRole('textbox', { name: /conductor/ }).fill('blu Y>Y ?');
    await expect(page.getByTestId('understood')).toContainText('blue');
    await page.locator('#main').evaluate((main) => main.scrollTo(0, 0));
    await picture(page, 'survey');
    await page.getByRole('textbox', { name: /conductor/ }).press('Enter');
    await expect(page.locator('tr[data-conductor="5"]')).toBeVisible();
    await page.getByRole('button', { name: /^B to the/ }).click();
    await conductor(page, 'red Y>Y seen', 1);
    await conductor(page, 'wht C>C seen', 2);
    await page.getByRole('button', { name: /Finish survey/ }).click();
    await page.getByRole('radio', { name: /C-powered, 1 heat 1 cool, remote/ }).click();
    await expect(page.getByText('3 of 3 calls proved by')).toBeVisible();
    await page.keyboard.press('Shift+Digit3');
    await page.getByRole('button', { name: /Use this plan/ }).click();
    await expect(page.getByRole('region', { name: 'Moves' })).toBeVisible();
    await page.locator('#main').evaluate((main) => main.scrollTo(0, 0));
    await picture(page, 'plan');
    await raise(page, 'isolated', '0.0');
    const ticks = page.getByRole('region', { name: 'Moves' }).getByRole('checkbox');
    for (let index = 0; index < 6; index++) {
        await ticks.nth(index).click();
        await expect(ticks.nth(index)).toHaveAttribute('aria-checked', 'true');
    }
    await page.getByRole('button', { name: /Go to Set/ }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Set' })).toBeVisible();
    await raise(page, 'live', '26.6');
    const fan = page.locator('[data-setting="fan-in-heat"]');
    await fan.getByRole('button', { name: /Fan in heat/ }).click();
    await fan.getByRole('button', { name: 'Thermostat' }).click();
    await expect(page.locator('tr[data-call="heat-1"]')).toContainText('not needed');
    await picture(page, 'set');
    for (const key of ['equipment-type', 'fan-in-heat', 'compressor-off']) {
        const tick = page.locator(`[data-setting="${key}"]`).getByRole('checkbox');
        await tick.click();
        await expect(tick).toHaveAttribute('aria-checked', 'true');
    }
    await page.getByRole('button', { name: /Go to Prove/ }).click();
    await page
        .getByRole('group', { name: 'Calls' })
        .getByRole('button', { name: /Cool 1/ })
        .click();
    await page.getByRole('button', { name: 'By voltage' }).click();
    await page.getByRole('button', { name: 'Call is on' }).click();
    await expect(page.getByRole('button', { name: 'Call has ended' })).toBeVisible();
    await page.getByRole('button', { name: 'Yes: Blower runs' }).click();
    await page.getByRole('button', { name: /Measure Rc to Y1/ }).click();
    await measure(page, '26.1', 'too-early');
    await page.locator('#main').evaluate((main) => main.scrollTo(0, 0));
    await picture(page, 'prove');

    const phone = await (
        await browser.newContext({
            viewport: { width: 390, height: 844 },
            deviceScaleFactor: 2,
            storageState: await page.context().storageState(),
        })
    ).newPage();
    await phone.addInitScript(() => localStorage.setItem('theme', 'headlamp'));
    await phone.goto(page.url());
    await phone.getByRole('button', { name: /Meter/ }).click();
    await picture(phone, 'prove-phone');

    await page.goto('/jobs');
    await picture(page, 'jobs');
    await openJob(page, 'Tollhouse');
    await page
        .getByRole('group', { name: 'Simulate a call' })
        .getByRole('button', { name: /^Defrost/ })
        .click();
    await page.getByRole('button', { name: 'Probe Rc at the wall plate' }).click();
    await page.getByRole('button', { name: 'Probe Aux at the wall plate' }).click();
    await expect(page.getByTestId('reason')).toContainText('defrost');
    await picture(page, 'plan-heat-pump');
    await page.goto('/jobs');
    await openJob(page, 'Quay House');
    await page.goto(page.url().replace(/[a-z]+$/, 'figures'));
    await expect(page.locator('[data-figure="balance"] [data-tone]')).toBeVisible();
    await picture(page, 'figures');
    await page.keyboard.press('6');
    await expect(page.getByRole('heading', { name: 'Suspects' })).toBeVisible();
    await picture(page, 'trace');
    const hunt = await (
        await browser.newContext({
            viewport: { width: 390, height: 844 },
            deviceScaleFactor: 2,
            storageState: await page.context().storageState(),
        })
    ).newPage();
    await hunt.goto(page.url());
    await hunt.getByText('Guided routines').click();
    await hunt.getByRole('button', { name: 'Short hunt' }).click();
    await expect(hunt.getByText('Guided: Short hunt')).toBeVisible();
    await hunt.locator('.trace__next').evaluate((part) => part.scrollIntoView({ block: 'start' }));
    await hunt.mouse.wheel(0, -170);
    await picture(hunt, 'trace-phone');
    await page.getByRole('button', { name: 'Share', exact: true }).click();
    await page.getByLabel('For whom').fill('Colleague at the locks');
    await page.getByRole('button', { name: 'Make the link' }).click();
    const link = await page.getByLabel('Link', { exact: true }).inputValue();
    const outside = await (
        await browser.newContext({ viewport: { width: 390, height: 844 }, deviceScaleFactor: 2 })
    ).newPage();
    await outside.goto(link);
    await outside.evaluate(() => document.documentElement.setAttribute('data-theme', 'bone'));
    await expect(outside.getByRole('heading', { name: /^Fault/ })).toBeVisible();
    await picture(outside, 'shared-phone');
    await page.goto('/jobs');
    await openJob(page, "Lock Keeper's Row 4");
    await picture(page, 'handover');

    await page.goto('/jobs');
    await visitAgain(page, 'Winding Hole 2', 'fault call');
    await page.goto(page.url().replace(/[a-z]+$/, 'prove'));
    await page.getByRole('button', { name: 'In the base' }).click();
    await raise(page, 'live', '26.6');
    await page
        .getByRole('group', { name: 'Calls' })
        .getByRole('button', { name: /^Heat 1/ })
        .click();
    await page.getByRole('button', { name: 'Call is on' }).click();
    await expect(page.getByRole('button', { name: 'Call has ended' })).toBeVisible();
    await page.getByRole('button', { name: 'Yes: Strip heat 1 works' }).click();
    await expect(page.locator('main li .st').first()).toBeVisible();
    await page.locator('#main').evaluate((main) => main.scrollTo(0, 0));
    await picture(page, 'as-found');
});
