import { readFileSync } from 'node:fs';
import { expect, test, type Locator, type Page } from './test';
import { chooseFile, answer, conductor, signIn, stage } from './support';

/** The eight conductors of a heat pump with strips, as they are typed. */
const eight = [
    'red R>R !',
    'wht W>W !',
    'grn G>G !',
    'yel Y>Y !',
    'blu C>C !',
    'org O>O !',
    'blk Y2>Y2 !',
    'brn E>E ?',
];
const said = [
    ['outdoor', 'It is a heat pump'],
    ['evidence', 'reversing valve and accumulator'],
    ['coolStages', 'Two'],
    ['compressors', 'One with two stages'],
    ['valve', 'In cooling (O)'],
    ['heatSource', 'Electric strips'],
    ['heatStages', 'One'],
    ['eGoes', 'Tied to W inside'],
] as const;

async function openUnseen(page: Page, site: string): Promise<void> {
    await page.getByRole('button', { name: /New job/ }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('textbox', { name: 'House' }).fill(site);
    await dialog.getByRole('button', { name: 'Open job' }).click();
    await expect(page.getByRole('heading', { name: 'Survey' })).toBeVisible();
}

/** Walks there with Tab alone, as a hand on the keys would. */
async function tabTo(page: Page, wanted: Locator, most = 40): Promise<void> {
    for (let step = 0; step < most; step++) {
        if (await wanted.evaluate((element) => element === document.activeElement)) return;
        await page.keyboard.press('Tab');
    }
    expect(await wanted.evaluate((element) => element === document.activeElement), 'reached with Tab').toBe(true);
}

test('an eight-conductor heat pump by keyboard only, its equipment unknown at first', async ({ page }) => {
    await signIn(page);
    await page.keyboard.press('n');
    await tabTo(page, page.getByRole('textbox', { name: 'House' }));
    await page.keyboard.type('Spoonbill Barn');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Survey' })).toBeVisible();

    await page.keyboard.press('n');
    const entry = page.getByRole('textbox', { name: /conductor/ });
    await expect(entry).toBeFocused();
    await page.keyboard.type('re');
    await page.keyboard.press('Tab');
    await expect(entry).toHaveValue('red ');
    await page.keyboard.type('R>');
    await page.keyboard.press('Tab');
    await page.keyboard.type('!');
    await expect(entry).toHaveValue('red R>R !');
    for (const [index, line] of eight.entries()) {
        if (index > 0) await page.keyboard.type(line);
        await page.keyboard.press('Enter');
        await expect(page.locator(`tr[data-conductor="${index + 1}"]`)).toBeVisible();
        await expect(entry).toHaveValue('');
    }
    await page.keyboard.press('Escape');

    await page.keyboard.press('q');
    for (const [key, value] of said) {
        const group = page.locator(`[data-question="${key}"]`).getByRole('group');
        await expect(group).toBeFocused();
        const choice = group.getByRole(key === 'evidence' ? 'checkbox' : 'button', { name: value, exact: true });
        await tabTo(page, choice, 8);
        await page.keyboard.press('Enter');
        if (key === 'evidence') {
            await tabTo(page, group.getByRole('button', { name: 'Keep 1' }), 8);
            await page.keyboard.press('Enter');
        }
    }
    // Nobody chose the equipment: it is what was answered.
    await expect(page.locator('#equipment')).toContainText('Heat pump');
    // What was read stays as it was read; the circuit takes it for the board's Y1.
    await expect(page.locator('tr[data-conductor="4"]')).toContainText('Y');

    // In the ledger: J down to the eighth, C to change it, and it is traced; Delete and back with undo.
    for (let row = 0; row < 8; row++) await page.keyboard.press('j');
    await expect(page.locator('tr[data-conductor="8"]')).toHaveAttribute('aria-selected', 'true');
    await page.keyboard.press('c');
    await expect(entry).toHaveValue('brown E>E ?');
    await entry.press('End');
    await page.keyboard.press('Backspace');
    await page.keyboard.type('!');
    await page.keyboard.press('Enter');
    await expect(page.locator('tr[data-conductor="8"]')).toContainText('traced');
    await expect(page.locator('tr[data-conductor]')).toHaveCount(8);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Delete');
    await expect(page.locator('tr[data-conductor]')).toHaveCount(7);
    await tabTo(page, page.getByRole('button', { name: 'Undo' }), 200);
    await page.keyboard.press('Enter');
    await expect(page.locator('tr[data-conductor]')).toHaveCount(8);
});

test('the same by touch on a phone: chips, choices, nothing typed but the house', async ({ browser }) => {
    const page = await (
        await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
    ).newPage();
    await signIn(page);
    await page.getByRole('button', { name: /New job/ }).tap();
    await page.getByRole('dialog').getByRole('textbox', { name: 'House' }).fill('Spoonbill Loft');
    await page.getByRole('dialog').getByRole('button', { name: 'Open job' }).tap();
    await expect(page.getByRole('heading', { name: 'Survey' })).toBeVisible();
    await expect(page.locator('#equipment')).toContainText('Equipment not seen yet');
    // All the rest can wait with one tap, also over a reload, until one goes on.
    await page.getByRole('button', { name: 'The rest later' }).tap();
    await expect(page.locator('[data-question] [role="group"]')).toHaveCount(0);
    await page.reload();
    await expect(page.locator('[data-question] [role="group"]')).toHaveCount(0);
    await page.getByRole('button', { name: 'Go on answering' }).tap();

    for (const [key, value] of said) {
        const group = page.locator(`[data-question="${key}"]`).getByRole('group');
        await group.getByRole(key === 'evidence' ? 'checkbox' : 'button', { name: value, exact: true }).tap();
        if (key === 'evidence') await group.getByRole('button', { name: 'Keep 1' }).tap();
        await expect(group).toHaveCount(0);
    }
    await expect(page.locator('#equipment')).toContainText('Heat pump');

    const chips = page.getByRole('group', { name: 'Next word' });
    const tap = async (word: string) => chips.getByRole('button', { name: word, exact: true }).tap();
    const words = [
        ['red', 'R', 'R'],
        ['white', 'Aux', 'W'],
        ['green', 'G', 'G'],
        ['yellow', 'Y', 'Y1'],
        ['blue', 'C', 'C'],
        ['orange', 'O', 'O'],
        ['black', 'Y2', 'Y2'],
        ['brown', 'E', '-'],
    ] as const;
    for (const [index, [colour, near, far]] of words.entries()) {
        for (const word of [colour, near, far, '!']) await tap(word);
        const box = await chips.getByRole('button').first().boundingBox();
        expect(box?.height ?? 0).toBeGreaterThanOrEqual(44);
        await page.getByRole('button', { name: 'Add', exact: true }).tap();
        await expect(page.locator(`tr[data-conductor="${index + 1}"]`)).toBeVisible();
    }
    await expect(page.locator('tr[data-conductor]')).toHaveCount(8);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.context().close();
});

test('line voltage at the wall stops the plan, and nothing goes past it', async ({ page }) => {
    await signIn(page);
    await openUnseen(page, 'Bittern Chapel');
    await conductor(page, 'red R>R !', 1);
    await conductor(page, 'wht W>W !', 2);
    await answer(page, 'wire', 'Thick, under wire connectors');
    const stop = page.locator('[data-severity="stop"]');
    await expect(stop).toContainText(/Stop\. .*line-voltage thermostat/i);
    await expect(stop).toContainText(/electrician|licen[cs]e/i);
    await expect(stop.getByRole('button')).toHaveCount(0);
    await stage(page, 'Plan');
    await expect(page.locator('main')).toContainText('Stop. Thick conductors');
    await page.getByRole('radio').first().click();
    await expect(page.getByRole('alert').first()).toContainText('SC01: Thick conductors under wire connectors');

    await stage(page, 'Survey');
    await answer(page, 'wire', 'Solid thermostat wire');
    await expect(stop).toHaveCount(0);
});

test('several job files at once: the broken one is explained to the spot, the good one is opened', async ({ page }) => {
    await signIn(page);
    const good = readFileSync('docs/examples/heat-pump-o-1c-1aux.json', 'utf8');
    const broken = good.replace('"colour": "white"', '"colour": "mauve"');
    await page.getByRole('button', { name: 'Import' }).click();
    const file = (name: string, text: string) => ({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
    await page
        .locator('input[aria-label="Job files"]')
        .setInputFiles([file('broken.json', broken), file('half.json', good.slice(0, 900)), file('good.json', good)]);
    const report = page.getByRole('list', { name: 'What was read' });
    await expect(report.getByRole('listitem')).toHaveCount(3);
    await expect(report.getByRole('listitem').nth(0)).toContainText('nothing of it was kept');
    await expect(report.getByRole('listitem').nth(0)).toContainText('/survey/cables/0/conductors/');
    await expect(report.getByRole('listitem').nth(0)).toContainText('is "mauve"; allowed: red, white');
    await expect(report.getByRole('listitem').nth(1)).toContainText(/JSON/);
    await report.getByRole('link', { name: /^Open/ }).click();
    await expect(page.getByRole('heading', { name: 'Survey' })).toBeVisible();
    await expect(page.locator('tr[data-conductor]').first()).toBeVisible();

    // Out again by the same door: what is saved reads as what came in.
    const answered = await page.request.get(page.url().replace(/survey$/, 'job-file'));
    const was: unknown = JSON.parse(good);
    expect(((await answered.json()) as { survey: unknown }).survey).toEqual((was as { survey: unknown }).survey);
});

test('a photograph with a mark on a conductor end, and what is no photograph', async ({ page }) => {
    await signIn(page);
    await openUnseen(page, 'Curlew Mill');
    await conductor(page, 'red R>R !', 1);
    await conductor(page, 'wht W>W !', 2);
    const wall = page.getByRole('group', { name: 'Wall plate' });
    const chooser = wall.getByLabel('Photograph of the wall plate');
    await chooser.setInputFiles({
        name: 'plate.jpg',
        mimeType: 'image/jpeg',
        buffer: Buffer.from('%PDF-1.4 not a picture at all'),
    });
    await expect(wall.getByRole('alert')).toContainText(/JPEG/);
    await chooseFile(chooser, { name: 'huge.jpg', bytes: 11 * 1024 * 1024 });
    await expect(wall.getByRole('alert')).toContainText(/10 MB/);

    await chooseFile(chooser, { name: 'plate.jpg', picture: { width: 800, height: 600, patches: 0 } });
    await expect(wall).toContainText('1 picture');
    await wall.getByRole('button', { name: /picture 1/ }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('radio', { name: '2 white' }).click();
    const canvas = dialog.getByRole('application');
    const box = await canvas.boundingBox();
    await canvas.click({ position: { x: (box?.width ?? 0) * 0.25, y: (box?.height ?? 0) * 0.5 } });
    await expect(dialog.getByRole('button', { name: '2 white: take this mark away' })).toBeVisible();
    await canvas.focus();
    for (const key of ['ArrowRight', 'ArrowRight', 'ArrowUp', 'Enter']) await page.keyboard.press(key);
    await expect(dialog.getByRole('button', { name: '1 red: take this mark away' })).toBeVisible();
    const mark = await dialog.getByRole('button', { name: '2 white: take this mark away' }).boundingBox();
    expect(((mark?.x ?? 0) + (mark?.width ?? 0) / 2 - (box?.x ?? 0)) / (box?.width ?? 1)).toBeCloseTo(0.25, 1);
    await page.keyboard.press('Escape');
    await page.reload();
    await expect(wall.getByRole('button', { name: 'Wall plate, picture 1, 2 marks' })).toBeVisible();
});

test('pasted lines are understood one by one, all kept or none', async ({ page }) => {
    await signIn(page);
    await openUnseen(page, 'Grebe Lodge');
    const entry = page.getByRole('textbox', { name: /conductor/ });
    await entry.focus();
    await page.evaluate(() => {
        const data = new DataTransfer();
        data.setData('text', 'red R>R !\nmauve W>W !\ngrn G>G !');
        document.activeElement?.dispatchEvent(
            new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
        );
    });
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('"mauve" is no insulation color');
    await dialog.getByRole('textbox').fill('red R>R !\nwht W>W !\ngrn G>G !');
    await dialog.getByRole('button', { name: 'Add 3 conductors' }).click();
    await expect(dialog).toBeHidden();
    await expect(page.locator('tr[data-conductor]')).toHaveCount(3);
});

test('the list: day and person, next visit, archive, delete and undo, and the calendar', async ({ page }) => {
    await signIn(page);
    await openUnseen(page, 'Avocet House');
    await page.goto('/jobs');
    const more = (word: string) => page.getByRole('menuitem', { name: word }).click();
    const row = page.locator('.main li', { hasText: 'Avocet House' });
    const menu = row.getByRole('button', { name: /^More for/ });
    await menu.click();
    await more('Name, day and person');
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Day').fill('2031-03-04');
    await dialog.getByLabel('Start').fill('16:30');
    await dialog.getByLabel('Van or person').fill('Wren');
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(dialog).toBeHidden();
    await expect(row).toContainText('16:30');
    await page.goto('/jobs?day=2031-03-04');
    await expect(page.getByRole('navigation', { name: 'The day' })).toContainText('Avocet House');
    expect(await (await page.request.get('/visits.ics')).text()).toContain('DTSTART');

    await menu.click();
    await more('Archive');
    await expect(row).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(row).toHaveCount(1);
    await menu.click();
    await more('Delete');
    await expect(row).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(row).toHaveCount(1);

    await menu.click();
    await more('Copy …');
    await page
        .getByRole('dialog')
        .getByRole('radio', { name: /Sister system/ })
        .click();
    await page.getByRole('dialog').getByRole('textbox', { name: 'Name of the system' }).fill('Upstairs');
    await page.getByRole('dialog').getByRole('button', { name: 'Copy' }).click();
    await expect(page.getByRole('heading', { name: 'Survey' })).toBeVisible();
    await page.goto('/jobs');
    await expect(row).toHaveCount(2);
});

test('an air handler in the attic: a place and its cables by one line each, its print asked, a point found', async ({
    page,
}) => {
    await signIn(page);
    await openUnseen(page, 'Bittern Chapel');
    await answer(page, 'outdoor', 'It cools only');
    await answer(page, 'coolStages', 'One');
    await answer(page, 'heatSource', 'Gas furnace');
    await answer(page, 'heatStages', 'One');
    await answer(page, 'coolAir', 'An air handler of its own, elsewhere');
    const house = page.getByRole('region', { name: 'The house' });
    await house.getByRole('button', { name: 'Place: Second indoor unit' }).click();
    await house.getByLabel('The second indoor unit is called').fill('Attic air handler');
    await house.getByRole('button', { name: 'Keep the name' }).click();
    await expect(house.getByRole('button', { name: 'Place: Attic air handler' })).toBeVisible();

    await house.getByRole('button', { name: 'Add a cable' }).click();
    await house.getByLabel(/A cable in one line/).fill('18/4 to the moon');
    await page.keyboard.press('Enter');
    await expect(house).toContainText('Say where it goes');
    await house.getByLabel(/A cable in one line/).fill('second wall cable 18/4 to the attic air handler, 36 ft');
    await page.keyboard.press('Enter');
    await house.getByRole('button', { name: /^Cable C, 18\/4/ }).click();
    await expect(house).toContainText('0 of 4 known at both ends');
    await expect(page.locator('tr[data-conductor]')).toHaveCount(4);

    await page.getByRole('button', { name: 'Change conductor 1' }).click();
    await page.getByRole('textbox', { name: /conductor/ }).fill('red R>"BK" !');
    await page.keyboard.press('Enter');
    const prints = page.getByRole('region', { name: 'What the boards print' });
    await prints.getByLabel(/BK is/).selectOption('R');
    await expect(prints.getByLabel(/BK is/)).toHaveValue('R');

    // A supply by one line: its figures where one stands, with its unit where none does; each is asked for its own.
    await house.getByRole('button', { name: 'Add a supply' }).click();
    await house.getByLabel(/A supply in one line/).fill('75 VA at the attic air handler, 3 A fuse');
    await page.keyboard.press('Enter');
    await expect(page.locator('[data-question="transformerVa@T2"]')).toContainText('75 VA');
    await house.getByRole('button', { name: 'Add a supply' }).click();
    await house.getByLabel(/A supply in one line/).fill('20 VA at the humidifier, no fuse');
    await page.keyboard.press('Enter');
    await expect(house.getByRole('button', { name: 'Place: Humidifier' })).toBeVisible();
    await expect(page.locator('[data-question="fuseAmps@T3"]')).toContainText('0 A');

    await page.getByRole('button', { name: 'Find a point, lead A' }).click();
    await page.getByRole('textbox', { name: 'Find a point' }).fill('behind fuse T2');
    await page.locator('[data-point="T2.fused"]').click();
    await expect(page.getByRole('combobox', { name: 'Probe A' })).toHaveValue('T2.fused');
    await page.getByRole('button', { name: 'Take out cable C' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(house.getByRole('button', { name: /^Cable C, 18\/4/ })).toBeVisible();
});

test('which is which: five mixed up conductors told apart by phone in two trips, kept over a reload', async ({
    browser,
}) => {
    const page = await (
        await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
    ).newPage();
    await signIn(page);
    await openUnseen(page, 'Osier Beds');
    for (const [index, line] of ['red R>R', 'wht W>Y', 'grn G>W', 'yel Y>G', 'blu spare'].entries())
        await conductor(page, `${line} ?`, index + 1);
    const part = page.getByRole('region', { name: 'Which is which' });
    await part.getByText('Which is which').click();
    await expect(part).toContainText('2 trips to the other end');
    await part.getByRole('button', { name: 'All lifted' }).click();
    await expect(part).toContainText('Then twist these together');
    await part.getByRole('button', { name: 'Twisted' }).click();

    // By color everything runs through: the far ends twisted are those written at 1 with 2, and at 3 with 4.
    const taps = async (...names: string[]) => {
        for (const name of names) await part.getByRole('button', { name, exact: true }).click();
    };
    await taps('1 red (R)', '4 yellow (Y)', '2 white (W)', '3 green (G)');
    await expect(part).toContainText('1 red (R) and 4 yellow (Y) answer each other');
    await page.reload();
    await expect(part).toContainText('1 red (R) and 4 yellow (Y) answer each other');
    await part.getByRole('button', { name: 'That is all of them' }).click();
    await expect(part).toContainText('Now twist these together here');
    // What was to be twisted before is gone until the readings are worked out.
    await expect(part.locator('li.border-copper').first()).toBeVisible();
    const twisted = (await part.locator('li.border-copper').allInnerTexts()).map((text) => text.split('+'));
    // Each color at the wall comes out at the end of that color, whatever the record says lands there.
    const far: Record<string, string> = {
        red: 'red (R)',
        yellow: 'white (Y)',
        white: 'green (W)',
        green: 'yellow (G)',
        blue: 'blue (spare)',
    };
    for (const pair of twisted) await taps(...pair.map((end) => far[/[a-z]+/.exec(end)?.[0] ?? ''] ?? ''));
    await part.getByRole('button', { name: 'That is all of them' }).click();
    await expect(part.getByRole('table')).toContainText('Traced');
    await part.getByRole('button', { name: 'Keep as evidence' }).click();
    await expect(part).toBeHidden();
    await expect(page.locator('tr[data-conductor="4"]')).toContainText('traced');
});
