import { expect, test, type Page } from './test';
import { openJob, signIn, stage } from './support';

/** Opens a house of the demo at Plan and chooses a kind of thermostat. */
async function plan(page: Page, site: string, thermostat: RegExp): Promise<void> {
    await signIn(page);
    await openJob(page, site);
    await stage(page, 'Plan');
    const radio = page.getByRole('radio', { name: thermostat });
    const other = page.getByRole('button', { name: 'Other thermostats' });
    if ((await other.count()) > 0 && !(await radio.isVisible())) await other.click();
    await radio.click();
    await expect(page.getByRole('region', { name: 'Plans' })).toContainText(/plans? works?/);
}

const plans = (page: Page) => page.getByRole('region', { name: 'Plans' });

for (const [site, thermostat, calls, says] of [
    ['Tollhouse', /C-powered, heat pump 4 heat 2 cool/, '8 of 8', 'Letter to letter'],
    ['The Old Chandlery', /C-powered, heat pump 4 heat 2 cool/, '3 of 3', 'Letter to letter'],
    ['Heron Boathouse', /Radio pair with receiver/, '1 of 1', 'Outputs at the equipment'],
    ["Sailmaker's Loft", /C-powered, heat pump 4 heat 2 cool/, '4 of 4', 'Letter to letter'],
    ['Weir Pump Room', /C-powered, 1 heat 1 cool, remote/, '3 of 3', 'The float switch moves from R to Y'],
] as const) {
    test(`${site}: to a chosen plan`, async ({ page }) => {
        await plan(page, site, thermostat);
        await expect(plans(page).locator('[data-candidate]').first()).toBeVisible();
        if ((await plans(page).locator('[data-taken]').count()) === 0)
            await plans(page).getByRole('button', { name: 'Take it' }).first().click();
        await expect(plans(page).locator('[data-taken]')).toContainText(says);
        await expect(page.getByText(`${calls} calls proved by simulation`)).toBeVisible();
        const use = page.getByRole('button', { name: /Use this plan/ });
        if (await use.isVisible()) await use.click();
        await expect(page.getByRole('region', { name: 'Moves' })).toBeVisible();
        if (site === 'Tollhouse')
            await expect(page.getByRole('region', { name: 'Moves' })).toContainText('Tie E to Aux at the plate');
        if (site === 'Heron Boathouse')
            await expect(page.getByText('The outputs stand at the equipment.')).toBeVisible();
        await expect(page.getByRole('region', { name: 'Before power' })).toContainText(/Ω/);
    });
}

test('Ropewalk 11: asked what suits, compared, ranked otherwise, and the cable taken with a reason', async ({
    page,
}) => {
    await signIn(page);
    await openJob(page, 'Ropewalk 11');
    await stage(page, 'Plan');
    await page.getByRole('button', { name: /Which suits this house/ }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('radiogroup', { name: /phone/ }).getByRole('radio', { name: 'Yes' }).click();
    await expect(dialog.locator('li').first()).toContainText('can be set from a phone');
    await dialog
        .locator('[data-profile="two-part-three-conductor"]')
        .getByRole('button', { name: 'Hold beside' })
        .click();
    await dialog.locator('[data-profile="c-or-battery-2h-2c"]').getByRole('button', { name: 'Hold beside' }).click();
    const sides = dialog.getByRole('table', { name: 'Side by side' });
    await expect(sides).toContainText('4 green brings W2 instead of G');
    await expect(sides.getByRole('row', { name: /Lost here/ })).toContainText('The fan alone cannot be called');
    await dialog.locator('[data-profile="c-or-battery-2h-2c"]').getByRole('button', { name: 'Choose' }).click();
    await expect(dialog).toBeHidden();

    await expect(plans(page).locator('[data-taken]')).toContainText('4 green brings W2 instead of G');
    await plans(page).getByRole('button', { name: 'Other plans' }).click();
    await expect(plans(page).locator('[data-candidate]')).toHaveCount(4);
    await plans(page)
        .getByText(/does not work, with the reason/)
        .click();
    await expect(plans(page)).toContainText('Cool 1: The blower relay is at rest');
    await plans(page).getByText('What counts for you').click();
    for (const word of ['Parts', 'Minutes and trips', 'Risk'])
        await plans(page).getByRole('slider', { name: word }).fill('0');
    await expect(plans(page).locator('[data-candidate]').first()).toHaveAttribute('data-candidate', 'WO02');
    const cable = plans(page).locator('[data-candidate="WO02"]');
    await cable.getByRole('button', { name: /Why/ }).click();
    await expect(cable.locator('blockquote')).toContainText('We pull a new cable in the wall');
    await plans(page).getByRole('textbox').fill('the ceiling is open anyway');
    await cable.getByRole('button', { name: 'Take it' }).click();
    await expect(page.getByText('Reason: the ceiling is open anyway')).toBeVisible();
    await expect(page.getByText('4 of 4 calls proved by simulation')).toBeVisible();
    await page.getByRole('button', { name: /Use this plan/ }).click();
    await expect(page.getByRole('region', { name: 'Moves' })).toContainText('Pull the new cable 18/7');
});

test('by keys alone: a conductor into a short, shown as on the wall, and back and forth', async ({ page }) => {
    await plan(page, 'Weir Pump Room', /C-powered, 1 heat 1 cool, remote/);
    await expect(page.getByText('3 of 3 calls proved by simulation')).toBeVisible();
    await page.keyboard.press('e');
    await page.keyboard.press('5');
    await expect(page.getByRole('button', { name: 'Conductor 5 blue' })).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press('r');
    const short = page.getByTestId('short');
    await expect(short).toContainText('Short circuit as soon as the power comes on');
    await expect(short).toContainText(/3 A fuse → .*1 red → .*5 blue/);
    await expect(short).toContainText(/The 3 A fuse opens after/);
    await expect(page.locator('g[data-conductor="5"]')).toHaveAttribute('data-fault', '');
    await expect(page.getByRole('region', { name: 'Findings' })).toContainText('is the common and lands on');
    await page.keyboard.press('Control+z');
    await expect(short).toBeHidden();
    await page.keyboard.press('Control+Shift+Z');
    await expect(short).toBeVisible();
    await page.keyboard.press('c');
    await expect(short).toBeHidden();
    await expect(page.getByText('3 of 3 calls proved by simulation')).toBeVisible();
    await page.keyboard.press('4');
    await page.keyboard.press('0');
    await expect(page.getByText('Fan is not proved')).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('1');
    await expect(page.getByRole('heading', { level: 1, name: 'Survey' })).toBeVisible();
});

test("a thermostat of one's own: made, refused at its place, chosen, put away", async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Ropewalk 11');
    await stage(page, 'Plan');
    const other = page.getByRole('button', { name: 'Other thermostats' });
    if ((await other.count()) > 0) await other.click();
    await page.getByRole('button', { name: /Add your own/ }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Name').fill('Hallway, two heat');
    await dialog.getByLabel('Screws').fill('Rc Rh C Y1 G W1 W9');
    await dialog.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(dialog.getByRole('alert')).toContainText('is "W9"');
    await dialog.getByLabel('Screws').fill('Rc Rh C Y1 G W1 W2');
    await dialog.getByLabel('Heat stages').fill('2');
    await dialog.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(dialog).toBeHidden();
    await expect(page.getByRole('radio', { name: /Hallway, two heat/ })).toHaveAttribute('aria-checked', 'true');
    await expect(plans(page)).toContainText('plans work');
    const again = page.getByRole('button', { name: 'Other thermostats' });
    if (await again.isVisible()) await again.click();
    await page.getByRole('button', { name: 'Put Hallway, two heat away' }).click();
    await expect(page.getByRole('button', { name: 'Put Hallway, two heat away' })).toHaveCount(0);
});

test('papers hold at any name on A4 and Letter: nothing overlaps, nothing leaves its page', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Weir Pump Room');
    await stage(page, 'Survey');
    const job = page.url().replace(/\/survey.*/, '');
    const long = 'the old air handler in the roof space behind the second chimney';
    await page.getByRole('button', { name: /Indoor board/ }).click();
    const name = page.getByRole('textbox', { name: /name|called/i }).first();
    await name.fill(long.slice(0, 40));
    await name.press('Enter');
    await expect(page.getByText(long.slice(0, 40)).first()).toBeAttached();
    for (const paper of ['wiring.svg', 'labels.svg', 'door.svg']) {
        const svg = await (await page.request.get(`${job}/${paper}`)).text();
        expect(svg).toContain('width="190mm"');
        const sheet = await page.context().newPage();
        await sheet.setContent(`<body style="margin:0">${svg}</body>`);
        const wrong = await sheet.evaluate(() => {
            const paperEdge = document.querySelector('svg')?.getBoundingClientRect().right ?? 0;
            const pageHeight = (250 / 25.4) * 96;
            const boxes = [...document.querySelectorAll('text')].map((text) => ({
                said: text.textContent,
                box: text.getBoundingClientRect(),
            }));
            return boxes.flatMap(({ said, box }, index) => [
                ...(box.right > paperEdge + 1 ? [`${said} leaves the sheet`] : []),
                ...(Math.floor((box.top + 1) / pageHeight) !== Math.floor((box.bottom - 1) / pageHeight)
                    ? [`${said} is cut by the page`]
                    : []),
                ...boxes
                    .slice(index + 1)
                    .filter(
                        (other) =>
                            Math.min(box.right, other.box.right) - Math.max(box.left, other.box.left) > 1 &&
                            Math.min(box.bottom, other.box.bottom) - Math.max(box.top, other.box.top) > 3,
                    )
                    .map((other) => `${said} over ${other.said}`),
            ]);
        });
        expect(wrong, paper).toEqual([]);
        await sheet.close();
    }
});
