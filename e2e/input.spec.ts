import { expect, test, type Page } from './test';
import { conductor, openJob, question, signIn } from './support';

let house = 0;

/** A fresh house for each test, so that none depends on another. */
async function newHouse(page: Page): Promise<string> {
    await signIn(page);
    await page.keyboard.press('n');
    const dialog = page.getByRole('dialog');
    const site = `Lock Keeper's Row 1${house++}`;
    await dialog.getByRole('textbox', { name: 'House' }).fill(site);
    await dialog.getByRole('combobox', { name: 'Equipment' }).selectOption('furnace-gas-1h-1c');
    await dialog.getByLabel('Wall cable, ft').fill('0');
    await dialog.getByRole('button', { name: 'Open job' }).click();
    await expect(dialog.getByRole('alert')).toContainText('1 ft to 1,000 ft');
    await dialog.getByLabel('Wall cable, ft').fill('38');
    await dialog.getByRole('button', { name: 'Open job' }).click();
    await expect(page.getByRole('heading', { name: 'Survey' })).toBeVisible();
    return page.url();
}

test('a bad conductor line is explained at its place and nothing of it is kept', async ({ page }) => {
    await newHouse(page);
    const entry = page.getByRole('textbox', { name: /conductor/ });
    const cases: [string, RegExp][] = [
        ['mauve R>R !', /"mauve" is no insulation color. The colors are red, white, green/],
        ['blk L>Q !', /No terminal Q on this indoor board. It has R, W, G, Y and C/],
        ['blk Q>C', /put it in quotes/],
    ];
    for (const [line, says] of cases) {
        await entry.fill(line);
        await expect(page.locator('#entry-bad')).toContainText(says);
        await entry.press('Enter');
        await expect(page.locator('#entry-bad')).toContainText(says);
        await expect(entry).toHaveValue(line);
    }
    await expect(page.getByText('No conductors yet')).toBeVisible();
    await entry.fill('blk L>Q !');
    // A click on the stage in hand reads the page again and keeps what is half typed.
    await Promise.all([
        page.waitForResponse((answer) => answer.url() === page.url()),
        page
            .locator('.tape')
            .getByRole('link', { name: /^Survey/ })
            .click(),
    ]);
    await expect(entry).toHaveValue('blk L>Q !');
    await expect(page.getByTestId('understood')).toContainText('black');
    await expect(page.getByTestId('understood')).toContainText('L');
});

test('a bad reading is explained at its place', async ({ page }) => {
    await newHouse(page);
    for (const [value, says] of [
        ['abc', '"abc" is no reading. Use a number from 0 to 600 V'],
        ['-5', '-5 V is not possible'],
        ['2600', 'out of range'],
    ] as const) {
        await page.locator('#actual').fill(value);
        await page.locator('#actual').press('Enter');
        await expect(page.locator('#actual-bad')).toContainText(says);
        await expect(page.locator('#actual')).toHaveValue(value);
    }
    await expect(page.getByText('No reading yet.')).toBeVisible();
    const rating = await question(page, 'transformerVa');
    await rating.getByRole('textbox').fill('4000');
    await rating.getByRole('textbox').press('Enter');
    await expect(rating.getByRole('alert')).toContainText(
        'Transformer rating is 4,000 VA; allowed: a number from 10 VA to 200 VA',
    );
    await expect(rating.getByRole('textbox')).toHaveValue('4000');
});

test('two people on one house: the later one is told and loses nothing', async ({ page, browser }) => {
    const url = await newHouse(page);
    const other = await (await browser.newContext()).newPage();
    await signIn(other, 'sedge@ebb-and-sluice.example');
    // The other device has not heard of the change yet when its own is sent.
    await other.route('**/pulse', (route) => route.abort());
    await other.goto(url);
    await expect(other.getByText('No conductors yet')).toBeVisible();
    await conductor(page, 'red R>R !', 1);

    // What does not touch what was done meanwhile is taken, beside it.
    const entry = other.getByRole('textbox', { name: /conductor/ });
    await entry.fill('wht W>W !');
    await entry.press('Enter');
    await expect(other.locator('tr[data-conductor="2"]')).toContainText('white');
    await expect(other.locator('tr[data-conductor="1"]')).toContainText('red');

    // The same conductor: told, and the line stays to be sent again.
    await page.reload();
    await page.getByRole('button', { name: 'Change conductor 1' }).click();
    await page.getByRole('textbox', { name: /conductor/ }).fill('red R>C !');
    await page.keyboard.press('Enter');
    await expect(page.locator('tr[data-conductor="1"]')).toContainText('C');
    await other.getByRole('button', { name: 'Change conductor 1' }).click();
    await entry.fill('red R>W !');
    await entry.press('Enter');
    await expect(other.locator('#entry-bad')).toContainText('Wren Halyard changed 1 red');
    await expect(entry).toHaveValue('red R>W !');
    await expect(other.getByRole('alert')).toHaveCount(1);
    await entry.press('Enter');
    await expect(other.locator('tr[data-conductor="1"]')).toContainText('W');
    await other.context().close();
});

test('without a signal nothing typed is lost, and sending it again writes it once', async ({ page }) => {
    await newHouse(page);
    const entry = page.getByRole('textbox', { name: /conductor/ });
    await entry.fill('red R>R !');
    // The first answer is lost on its way back: the server has it, this device does not know.
    await page.route('**/survey-edits', async (route) => {
        await route.fetch();
        await route.abort();
    });
    await entry.press('Enter');
    await expect(page.locator('#entry-bad')).toContainText('No signal: not sent');
    await expect(entry).toHaveValue('red R>R !');
    await page.unroute('**/survey-edits');
    await entry.press('Enter');
    await expect(entry).toHaveValue('');
    await expect(page.locator('tr[data-conductor]')).toHaveCount(1);
});

test('a removed conductor comes back with undo', async ({ page }) => {
    await newHouse(page);
    await conductor(page, 'red R>R !', 1);
    await page.getByRole('button', { name: 'Remove conductor 1' }).click();
    await expect(page.getByText('No conductors yet')).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.locator('tr[data-conductor="1"]')).toContainText('red');
});

test('another crew is kept out of the job', async ({ page, browser }) => {
    const url = await newHouse(page);
    const other = await (await browser.newContext()).newPage();
    await signIn(other, 'another@crew.example');
    await expect(other.getByText('No jobs yet')).toBeVisible();
    expect((await other.goto(url))?.status()).toBe(403);
    await expect(other.getByRole('heading', { name: 'Not yours to open' })).toBeVisible();
    await other.context().close();
});

test('on a phone, with the thumb: the keypad records and the stages are one touch away', async ({ browser }) => {
    const page = await (
        await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
    ).newPage();
    await newHouse(page);
    await page.getByRole('button', { name: /Meter/ }).tap();
    for (const key of ['2', '6', '.', '8'])
        await page.locator('.pad').getByRole('button', { name: key, exact: true }).tap();
    await page.locator('.pad').getByRole('button', { name: 'Record' }).tap();
    await expect(page.getByTestId('verdict')).toContainText('In range');
    await expect(page.locator('body')).toHaveJSProperty('scrollWidth', 390);
    await page.getByRole('button', { name: 'Fold meter' }).tap();
    await page.getByRole('navigation', { name: 'Job stages' }).getByRole('link', { name: /Plan/ }).tap();
    await expect(page.getByText('The survey has no conductors yet.')).toBeVisible();
    await page.context().close();
});

test('the finished house can be read everywhere and changed nowhere', async ({ page }) => {
    await signIn(page);
    await openJob(page, "Lock Keeper's Row 4");
    await page.keyboard.press('4');
    await expect(page.getByRole('heading', { level: 1, name: /Prove/ })).toBeVisible();
    await expect(page.getByRole('button', { name: /Jumper is|Call is/ })).toHaveCount(0);
    await expect(page.locator('#actual')).toHaveCount(0);
    await page.keyboard.press('2');
    await expect(page.getByRole('heading', { level: 1, name: 'Plan' })).toBeVisible();
    await expect(page.getByRole('radio').first()).toBeDisabled();
    await page.keyboard.press(']');
    await expect(page.getByLabel('Probe A')).toHaveValue('wall.Rh');
    await page.keyboard.press('5');
    await expect(page.getByText('Nothing left open')).toBeVisible();
    for (const format of ['A4', 'Letter']) {
        const printed = (await page.pdf({ format, printBackground: true })).toString('latin1');
        expect(printed.match(/\/Type\s*\/Page\b/g), `record and customer's page on ${format}`).toHaveLength(3);
    }
});

test('a reading typed before the step is started says what to do first', async ({ page }) => {
    const url = await newHouse(page);
    for (const [index, line] of ['red R>R !', 'wht W>W !', 'grn G>G !', 'yel Y>Y !', 'blu C>C !'].entries())
        await conductor(page, line, index + 1);
    await page.goto(url.replace('/survey', '/plan'));
    await page.getByRole('radio', { name: /Battery, 1 heat 1 cool/ }).click();
    await expect(page.getByRole('region', { name: 'Findings' })).toContainText(
        'Cap it and leave it for the next thermostat',
    );
    await page.goto(url.replace('/survey', '/prove'));
    await page.getByRole('group', { name: 'Calls' }).getByRole('button', { name: /^Fan/ }).click();
    await page.locator('#actual').fill('26');
    await page.locator('#actual').press('Enter');
    await expect(page.locator('#actual-bad')).toContainText('Start the step first');
    await expect(page.locator('#actual')).toHaveValue('26');
    await page.keyboard.press('Escape');
    await page.keyboard.press('o');
    await expect(page.getByTestId('reason')).toContainText('Ohms only with the power off and proved dead');
});

test('a slow answer never puts an older page over a newer one', async ({ page }) => {
    await newHouse(page);
    let slow = true;
    await page.route('**/survey', async (route) => {
        if (!slow || !('x-inertia' in route.request().headers())) return route.continue();
        slow = false;
        const answer = await route.fetch();
        await new Promise((resolve) => setTimeout(resolve, 2_000));
        await route.fulfill({ response: answer });
    });
    await expect(page.getByText('No reading yet.')).toBeVisible();
    const late = page.waitForResponse(
        (response) => response.url().endsWith('/survey') && 'x-inertia' in response.request().headers(),
    );
    const fuse = await question(page, 'fuseAmps');
    await fuse.getByRole('textbox').fill('5');
    await fuse.getByRole('textbox').press('Enter');
    await expect.poll(() => slow).toBe(false);
    await page.locator('#actual').fill('26.7');
    await page.locator('#actual').press('Enter');
    await late;
    await expect(page.locator('#actual')).toHaveValue('');
    await page.waitForLoadState('networkidle');
    await expect(page.locator('.log tr')).toHaveCount(1);
    await expect(fuse).toContainText('5 A');
});

test('after a lost answer a corrected value counts, and what is typed meanwhile stays', async ({ page }) => {
    await newHouse(page);
    let lost = false;
    await page.route('**/power', async (route) => {
        if (lost) return route.continue();
        await route.fetch();
        lost = true;
        await route.abort();
    });
    await page.locator('.pf').getByRole('button', { name: 'Make live' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel(/volts/).fill('26.2');
    await dialog.getByRole('button', { name: 'It is live' }).click();
    await expect(dialog.getByRole('alert')).toContainText('not sent');
    await dialog.getByLabel(/volts/).fill('25.1');
    await dialog.getByRole('button', { name: 'It is live' }).click();
    await expect(page.getByRole('status', { name: 'Power flag' })).toContainText('R–C 25.1 V');

    await page.route('**/readings', async (route) => {
        const answer = await route.fetch();
        await new Promise((resolve) => setTimeout(resolve, 1_000));
        await route.fulfill({ response: answer });
    });
    const actual = page.locator('#actual');
    const answered = page.waitForResponse((response) => response.url().endsWith('/readings'));
    await actual.fill('26.7');
    await actual.press('Enter');
    await actual.fill('24.8');
    await answered;
    await expect(page.locator('.log tr')).toHaveCount(1);
    await expect(page.locator('.log tr')).toContainText('26.7');
    await expect(actual).toHaveValue('24.8');
});
