import { expect, test, type Page } from './test';
import { openJob, raise, signIn } from './support';

/** The page of a job's fault. */
async function toTrace(page: Page): Promise<void> {
    await page.keyboard.press('6');
    await expect(page.getByRole('heading', { level: 1, name: /^Trace/ })).toBeVisible();
}

/** Does what is proposed, with the outcome that it says is the likeliest. */
async function follow(page: Page): Promise<void> {
    const next = page.locator('.trace__next');
    const words = (await next.locator('.trace__do').textContent()) ?? '';
    const rows = await page.locator('.trace__rows tbody tr').count();
    const first = next.locator('.trace__oc tbody tr').first().locator('td').first();
    const outcome = (await first.count()) > 0 ? ((await first.textContent()) ?? '') : '';
    const dead = (await next.locator('.trace__meta').textContent())?.includes('isolated') ?? false;
    const put = next.getByRole('button', { name: /^(It is set up so|All is put back)$/ });
    // Nothing is put on, taken back or exchanged with the power on.
    const change = next.getByRole('button', { name: /^(A new fuse is in|The test breaker is (in|out))$/ });
    const hands = (await put.count()) + (await change.count()) > 0;
    const event = (await next.locator('.trace__meta').textContent())?.includes('–') ?? false;
    const flag = page.getByRole('status', { name: 'Power flag' });
    const shows = (await flag.textContent()) ?? '';
    if (!event && (dead || hands) && !shows.includes('ISOLATED')) await raise(page, 'isolated', '0.0');
    for (const button of [put, change]) {
        if ((await button.count()) > 0) {
            await button.first().click();
            await expect(button).toHaveCount(0);
        }
    }
    if (!event && !dead && !((await flag.textContent()) ?? '').includes('LIVE')) await raise(page, 'live', '26.4');
    if (/^(Read|Clamp)/.test(words)) {
        const numbers = outcome.replaceAll(',', '').match(/\d+(\.\d+)?/g) ?? ['0'];
        const value = numbers.reduce((sum, one) => sum + Number(one), 0) / numbers.length;
        await page
            .locator('.dock')
            .getByRole('textbox')
            .fill(/over/.test(outcome) ? 'OL' : value.toFixed(2));
        await page.locator('.dock').getByRole('textbox').press('Enter');
    } else if ((await next.getByRole('group', { name: 'What was found' }).count()) > 0) {
        await next.getByRole('button', { name: outcome.trim(), exact: true }).click();
    } else if ((await next.getByRole('button', { name: 'Seen' }).count()) > 0) {
        for (const sign of await next.locator('.trace__signs li').all()) {
            const name = (await sign.locator('span').first().textContent()) ?? '';
            const answer = new RegExp(`${name}: (\\w+)`, 'i').exec(outcome)?.[1] ?? 'no';
            await sign.getByRole('button', { name: answer, exact: true }).click();
        }
        await next.getByRole('button', { name: 'Seen' }).click();
    } else {
        await next.getByRole('button', { name: 'Done' }).click();
    }
    await expect.poll(() => page.locator('.trace__rows tbody tr').count()).toBeGreaterThan(rows);
}

test('the demo fault is open, its suspects, trips and rows stand', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Quay House');
    await toTrace(page);
    await expect(page.getByText('a fault is open')).toBeVisible();
    await expect(page.locator('.trace__bar').first()).toContainText('1 red');
    await expect(page.locator('.trace__rows tbody tr')).toHaveCount(3);
    await expect(page.locator('.trace__next .trace__do')).not.toBeEmpty();
    await page.getByRole('button', { name: 'Fuse of T1 opened' }).click();
    await page.getByRole('group', { name: 'When did it open?' }).getByRole('button', { name: 'nobody saw' }).click();
    await expect(page.getByText('open, 1 spent')).toBeVisible();
    await expect(page.locator('.trace__rows tbody tr')).toHaveCount(4);
});

test('a complaint by taps, followed by what is proposed until it is found, repaired and works again', async ({
    page,
}) => {
    await signIn(page);
    await openJob(page, 'Tollhouse');
    await toTrace(page);
    await page.getByRole('group', { name: 'In which call' }).getByRole('button', { name: 'Cool 1' }).click();
    await page.getByRole('group', { name: 'outdoor unit' }).getByRole('button', { name: 'no' }).click();
    await page.getByRole('group', { name: 'blower' }).getByRole('button', { name: 'yes' }).click();
    await page.getByRole('button', { name: 'The thermostat was just changed' }).click();
    await page.getByRole('button', { name: 'Start the trace' }).click();
    await expect(page.getByRole('heading', { name: 'Suspects' })).toBeVisible();

    const found = page.locator('.trace__found');
    for (let turn = 0; turn < 30 && (await found.count()) === 0; turn++) await follow(page);
    await expect(found).toContainText('Proved again');
    const waive = found.getByRole('button', { name: 'Go on without the confirming test' });
    if ((await waive.count()) > 0) {
        await waive.click();
        await expect(waive).toBeHidden();
    }
    await page.locator('.trace__next').getByRole('button', { name: 'Done' }).click();
    await expect(page.getByRole('heading', { name: 'Run it again' })).toBeVisible();
    for (let turn = 0; turn < 12; turn++) {
        if ((await page.getByRole('heading', { name: 'It works again' }).count()) > 0) break;
        await page.locator('.trace__next').getByRole('button', { name: 'Seen' }).waitFor();
        await follow(page);
    }
    await expect(page.getByRole('heading', { name: 'It works again' })).toBeVisible();
    await page.getByRole('button', { name: 'Close the fault' }).click();
    await expect(page.getByRole('button', { name: 'Start from nothing' })).toBeVisible();
});

test('by thumb: a row taken back stays and says so, what cannot be reached is not asked again', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    await page
        .getByRole('link', { name: /Dredger Cottage/ })
        .first()
        .click();
    await page.locator('.tapestrip').getByRole('link', { name: 'Trace' }).click();
    await page.getByRole('group', { name: 'In which call' }).getByRole('button', { name: 'Cool 1' }).click();
    await page.getByRole('group', { name: 'outdoor unit' }).getByRole('button', { name: 'no' }).click();
    await page.getByRole('button', { name: 'Start the trace' }).click();
    const words = page.locator('.trace__do');
    const before = await words.textContent();
    await page.getByRole('button', { name: 'Cannot reach it' }).click();
    await expect(words).not.toHaveText(before ?? '');
    await expect(page.locator('.trace__rows')).toContainText('cannot reach');
    await page.getByRole('button', { name: 'Take back row 1' }).click();
    await expect(page.locator('.trace__rows')).toContainText('taken back');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
});

test("in the trade's words, guided step by step; what another device sees stands here too", async ({
    page,
    browser,
}) => {
    await signIn(page);
    await openJob(page, 'Tollhouse');
    await toTrace(page);
    await page.getByLabel('In your words').fill('cool: outdoor silent sometimes, gremlins, since the new thermostat');
    await page.getByRole('button', { name: 'Take it' }).click();
    await expect(page.getByText('Not understood: gremlins')).toBeVisible();
    const pressed = page.locator('[aria-pressed="true"]');
    await expect(pressed).toContainText(['Cool 1', 'no', 'at times', 'The thermostat was just changed']);
    await page.getByRole('button', { name: 'Start the trace' }).click();
    await expect(page.locator('.head')).toContainText('not: outdoor unit (at times)');

    await page.getByText('Guided routines').click();
    await page.getByRole('button', { name: 'It comes and goes' }).click();
    await expect(page.getByText('Guided: It comes and goes')).toBeVisible();

    const other = await (await browser.newContext({ storageState: await page.context().storageState() })).newPage();
    await other.goto(page.url());
    await expect(other.getByText('Guided: It comes and goes')).toBeVisible();
    await other.getByText('Something else was seen or looked at').click();
    await other.getByRole('group', { name: 'transformer, by hand' }).getByRole('button', { name: 'hot' }).click();
    await other
        .getByRole('group', { name: 'When in the call' })
        .getByRole('button', { name: 'after the delay' })
        .click();
    await other.getByRole('button', { name: 'Seen' }).last().click();
    await expect(page.locator('.trace__rows tbody tr').first()).toContainText('transformer, by hand: hot');
    await other.close();

    await page.getByRole('button', { name: 'Leave the routine' }).click();
    await expect(page.getByText('Guided routines')).toBeVisible();
    await page.getByRole('button', { name: 'Put the fault away' }).click();
    await expect(page.getByRole('button', { name: 'Start from nothing' })).toBeVisible();
});
