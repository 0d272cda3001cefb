import { expect, test } from './test';
import { byProof, chooseFile, conductor, measure, openJob, probe, raise, signIn, stage } from './support';

test('a digit typed with the focus elsewhere goes to the meter, and single keys can be switched off', async ({
    page,
}) => {
    await signIn(page);
    await openJob(page, 'Tollhouse');
    await stage(page, 'Survey');
    await page.getByRole('button', { name: /ohms/ }).click();
    await page.getByRole('button', { name: 'V~ volts' }).click();
    await page.keyboard.type('26,4');
    await expect(page.getByRole('heading', { level: 1, name: 'Survey' })).toBeVisible();
    await expect(page.locator('#actual')).toHaveValue('26,4');
    await page.locator('#actual').fill('');
    await page.keyboard.press('Escape');

    // The tape used last: the same digit is a stage.
    await page
        .locator('.tape')
        .getByRole('link', { name: /^Survey/ })
        .click();
    await page.keyboard.press('2');
    await expect(page.getByRole('heading', { level: 1, name: 'Plan' })).toBeVisible();
    await page.keyboard.press('?');
    await page.getByRole('checkbox', { name: 'Single keys work on this device' }).click();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
    await page.locator('.tape').getByRole('link', { name: /^Plan/ }).click();
    await page.keyboard.press('1');
    await page.keyboard.press('p');
    await expect(page.getByRole('heading', { level: 1, name: 'Plan' })).toBeVisible();
    await expect(page.getByRole('dialog')).toBeHidden();
});

test('lines typed ahead while others are on their way stay lines of their own, and a refused one is not lost', async ({
    page,
}) => {
    await signIn(page);
    await page.getByRole('button', { name: /New job/ }).click();
    await page.getByRole('textbox', { name: 'House' }).fill('Reed Bank');
    await page.getByRole('button', { name: 'Open job' }).click();
    await expect(page.getByRole('heading', { name: 'Survey' })).toBeVisible();
    await page.route('**/survey-edits', async (route) => {
        await new Promise((resolve) => setTimeout(resolve, 400));
        await route.continue();
    });
    await page.getByRole('textbox', { name: /conductor/ }).focus();
    await page.keyboard.type('red R>R !\nwht W>W !\nmauve Y>Y\ngrn G>G !\nblu C>C !');
    await page.keyboard.press('Enter');
    for (const [number, words] of [
        [1, 'red'],
        [2, 'white'],
        [3, 'green'],
        [4, 'blue'],
    ] as const)
        await expect(page.locator(`tr[data-conductor="${number}"]`)).toContainText(words);
    await expect(page.locator('tr[data-conductor]')).toHaveCount(4);
    const entry = page.getByRole('textbox', { name: /conductor/ });
    const back = page.getByRole('button', { name: 'Take it back into the line' });
    if (await back.isVisible()) await back.click();
    await expect(entry).toHaveValue('mauve Y>Y');
});

test('two supplies are proved dead by two readings, and what is open is asked before power', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'The Old Chandlery');
    await page.locator('.pf').getByRole('button', { name: 'Isolate' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel(/supply of R \(/).fill('0.0');
    await dialog.getByRole('checkbox').click();
    await dialog.getByRole('button', { name: 'It is dead' }).click();
    await expect(dialog.getByRole('alert')).toContainText('The supply of RH: enter the dead reading');
    await dialog.getByLabel(/supply of RH/).fill('0,1');
    await dialog.getByRole('button', { name: 'It is dead' }).click();
    await expect(page.getByRole('status', { name: 'Power flag' })).toContainText('ISOLATED');

    await stage(page, 'Prove');
    await page
        .getByRole('group', { name: 'Calls' })
        .getByRole('button', { name: /^Cool 1/ })
        .click();
    await byProof(page, 'By jumper');
    await page.getByRole('button', { name: 'Jumper is on' }).click();
    await expect(page.getByTestId('strip')).toContainText('goes with the step');
    await page.locator('.pf').getByRole('button', { name: 'Make live' }).click();
    await expect(dialog.getByRole('group', { name: 'Still open' })).toContainText('Not put back yet: Jumper');
    for (const field of await dialog.getByLabel(/volts$/).all()) await field.fill('26');
    await dialog.getByRole('button', { name: 'It is live' }).click();
    await expect(dialog.getByRole('alert')).toContainText('say that it is meant');
    await dialog.getByRole('checkbox').click();
    await dialog.getByRole('button', { name: 'It is live' }).click();
    await expect(page.getByRole('status', { name: 'Power flag' })).toContainText('LIVE 24 V');
});

test('practice runs on a copy, says so on every stage, and ending it leaves the job as it was', async ({ page }) => {
    await signIn(page);
    await openJob(page, "Lock Keeper's Row 4");
    await stage(page, 'Prove');
    const real = page.url();
    const tape = await page.locator('.tape').textContent();
    await page.getByRole('button', { name: 'with a hidden fault' }).click();
    await expect(page.getByRole('note', { name: 'About this job' })).toContainText('Practice on a copy');
    expect(page.url()).not.toBe(real);
    await raise(page, 'live', '26.4');
    for (const name of ['Survey', 'Plan', 'Set', 'Handover', 'Prove']) {
        await stage(page, name);
        await expect(page.getByRole('note', { name: 'About this job' })).toContainText('Practice on a copy');
    }
    await page.getByRole('button', { name: 'End practice' }).click();
    await expect(page).toHaveURL(real);
    expect(await page.locator('.tape').textContent()).toBe(tape);
    await page.goto('/jobs');
    await expect(page.locator('.main li', { hasText: "Lock Keeper's Row 4" })).toHaveCount(1);
});

test('without a signal the dock says that the reading is kept, of this pair and no other', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Tollhouse');
    await stage(page, 'Survey');
    await raise(page, 'live', '26.8');
    await probe(page, 'indoor.R', 'indoor.C');
    await measure(page, '26.7', 'pass');
    await expect(page.getByTestId('verdict')).toContainText('In range');
    await page.context().setOffline(true);
    await page.locator('#actual').fill('26.5');
    await page.locator('#actual').press('Enter');
    await expect(page.getByTestId('kept')).toContainText('26.5 V is kept on this device');
    await expect(page.getByRole('status', { name: 'Kept on this device' })).toContainText('one entry is');
    await expect(page.locator('.dock')).not.toContainText('not sent');
    await page.getByRole('combobox', { name: 'Probe A' }).selectOption('indoor.G');
    await expect(page.getByTestId('kept')).toHaveCount(0);
    await expect(page.getByTestId('verdict')).toHaveCount(0);
    await expect(page.getByTestId('reason')).toContainText('kept on this device');
    await page.context().setOffline(false);
    await expect(page.getByRole('status', { name: 'Kept on this device' })).toBeHidden();
    await page.getByRole('combobox', { name: 'Probe A' }).selectOption('indoor.R');
    await expect(page.locator('.log tr').first()).toContainText('26.5');
});

test('a refusal belongs to the pair that it was typed for', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Tollhouse');
    await stage(page, 'Survey');
    await page.locator('#actual').fill('2600');
    await page.locator('#actual').press('Enter');
    await expect(page.locator('#actual-bad')).toContainText('out of range');
    await page.getByRole('combobox', { name: 'Probe B' }).selectOption('indoor.G');
    await expect(page.locator('#actual-bad')).toHaveCount(0);
});

test('a phone: jump links stand free, and on its side reading, both probes and Record are there at once', async ({
    browser,
}) => {
    const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await signIn(page);
    await openJob(page, 'Ropewalk 11');
    await page
        .locator('.tapestrip')
        .getByRole('link', { name: /^Survey/ })
        .click();
    await conductor(page, 'pnk - > - cap', 6);
    const links = page.getByRole('navigation', { name: 'Parts of the survey' }).getByRole('link');
    for (const link of await links.all()) {
        const box = await link.boundingBox();
        expect(box?.height ?? 0).toBeGreaterThanOrEqual(44);
    }
    await links.first().click({ trial: true });
    await page.setViewportSize({ width: 844, height: 390 });
    await page.getByRole('button', { name: /Meter$/ }).click();
    for (const part of [
        page.locator('#actual'),
        page.getByRole('combobox', { name: 'Probe A' }),
        page.getByRole('combobox', { name: 'Probe B' }),
        page.getByRole('button', { name: 'Record', exact: true }),
    ])
        await expect(part).toBeInViewport({ ratio: 0.99 });
    await page.getByRole('button', { name: '2', exact: true }).click();
    await expect(page.locator('#actual')).toHaveValue('2');
    await page.context().close();
});

test('a photograph is reduced on the device, and one that did not arrive is sent again', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Ropewalk 11');
    await stage(page, 'Survey');
    const wall = page.getByRole('group', { name: 'Wall plate' });
    const sizes: number[] = [];
    await page.route('**/photos', async (route) => {
        sizes.push(route.request().postDataBuffer()?.length ?? 0);
        await (sizes.length === 1 ? route.abort() : route.continue());
    });
    const size = await chooseFile(wall.getByLabel('Photograph of the wall plate'), {
        name: 'plate.jpg',
        picture: { width: 4000, height: 3000, patches: 4000 },
    });
    await expect(wall).toContainText('plate.jpg is kept on this device');
    await expect(wall).toContainText('1 picture');
    expect(sizes).toHaveLength(2);
    expect(sizes[1]).toBeLessThan(size);
    const width = await wall
        .locator('img')
        .evaluate((image: HTMLImageElement) => image.decode().then(() => image.naturalWidth));
    expect(width).toBe(2400);
});

test('put away by name, taken back from the list; a handed-over record is never deleted', async ({ page }) => {
    await signIn(page);
    const menu = (site: string) => page.getByRole('button', { name: `More for ${site}` });
    await menu("Lock Keeper's Row 4").click();
    await expect(page.getByRole('menuitem', { name: 'Delete' })).toHaveCount(0);
    await page.getByRole('menuitem', { name: 'Archive' }).click();
    await menu('Tollhouse').click();
    await page.getByRole('menuitem', { name: 'Delete' }).click();
    await page
        .getByRole('group', { name: 'Filter' })
        .getByRole('button', { name: /^Put away/ })
        .click();
    await expect(page.locator('.main li')).toHaveCount(2);
    await expect(page.locator('.main li', { hasText: 'Tollhouse' })).toContainText('deleted by Wren Halyard');
    await expect(page.locator('.main li', { hasText: "Lock Keeper's Row 4" })).toContainText(
        'archived by Wren Halyard',
    );
    await menu('Tollhouse').click();
    await page.getByRole('menuitem', { name: 'Restore' }).click();
    await expect(page.locator('.main li')).toHaveCount(1);
});

test('a person changes the password', async ({ page }) => {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill('sedge@ebb-and-sluice.example');
    await page.getByLabel('Password').fill('saltmarsh');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: 'Keys and account' }).click();
    await page.getByRole('link', { name: 'My account' }).click();
    const part = page.getByRole('region', { name: 'Password' });
    await part.getByLabel('Present password').fill('saltmarsh');
    await part.getByLabel('New password').fill('ropewalk and three herons');
    await part.getByRole('button', { name: 'Change the password' }).click();
    await expect(part).toContainText('Every other device is signed out');
});

test('a page that fails says so and gives back what was typed in it', async ({ page }) => {
    await signIn(page);
    await openJob(page, "Lock Keeper's Row 6");
    await stage(page, 'Survey');
    await page.getByRole('textbox', { name: /conductor/ }).fill('wht W>W !');
    // What the server says next is nothing that the page can draw.
    await page.route('**/survey', async (route) => {
        const answer = await route.fetch();
        const told = (await answer.json()) as { props: Record<string, unknown> };
        await route.fulfill({ response: answer, json: { ...told, props: { ...told.props, cables: null } } });
    });
    await page
        .locator('.tape')
        .getByRole('link', { name: /^Survey/ })
        .click();
    const failed = page.getByRole('alert');
    await expect(failed).toContainText('This page failed');
    await expect(failed).toContainText('wht W>W !');
    await page.unroute('**/survey');
    await failed.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('textbox', { name: /conductor/ })).toHaveValue('wht W>W !');
    await expect(page.getByTestId('understood')).toContainText('white');
});
