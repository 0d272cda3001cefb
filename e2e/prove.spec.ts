import { practise } from './practise';
import { expect, test, type Page } from './test';
import { byProof, measure, openJob, pass, probe, raise, signIn, stage } from './support';

const calls = (page: Page) => page.getByRole('group', { name: 'Calls' });
const call = (page: Page, name: string) =>
    calls(page).getByRole('button', { name: new RegExp(`^${name.replace('+', '\\+')} ?(proved|open|fails|left)`) });

/**
 * Everything that the running step asks for: its waits, every pair by the simulated meter, then what is seen and
 * heard.
 */
async function simulate(page: Page, ending: string): Promise<void> {
    await expect(page.getByRole('button', { name: ending })).toBeVisible();
    await pass(page, 700);
    await expect(page.getByRole('button', { name: ending })).toBeVisible();
    const pairs = await page.locator('[aria-label^="Measure "]').count();
    expect(pairs).toBeGreaterThan(0);
    for (let index = 0; index < pairs; index++) {
        const pair = page.locator('[aria-label^="Measure "]').nth(index);
        await expect(async () => {
            await pair.click();
            await expect(pair).toHaveAttribute('aria-pressed', 'true', { timeout: 2_000 });
        }).toPass();
        await page.getByRole('button', { name: 'Simulated meter reads' }).click();
        await expect(page.locator('#actual')).not.toHaveValue('');
        await page.locator('#actual').press('Enter');
        await expect(page.locator('#actual')).toHaveValue('');
    }
    // What stands on no row of the board, as the clamp.
    for (const row of await page.locator('main tr[data-probe] button').all()) {
        await row.click();
        await page.getByRole('button', { name: 'Simulated meter reads' }).click();
        await expect(page.locator('#actual')).not.toHaveValue('');
        await page.locator('#actual').press('Enter');
        await expect(page.locator('#actual')).toHaveValue('');
    }
    const look = page.getByRole('button', { name: /Look and listen/ });
    if (await look.isVisible()) {
        const signs = await page.getByRole('button', { name: /^Yes: / }).count();
        await look.click();
        await expect(page.locator('main li .st')).toHaveCount(signs);
    }
}

/** Ends the call and watches everything fall out, as the simulated house does. */
async function fallOut(page: Page): Promise<void> {
    await page.getByRole('button', { name: 'Call has ended' }).click();
    await expect(page.getByRole('button', { name: /^Yes: Everything shuts off/ })).toBeVisible();
    await pass(page, 130);
    await page.getByRole('button', { name: /Look and listen/ }).click();
    await expect(page.getByRole('button', { name: 'Call has ended' })).toBeHidden();
}

/** Nothing called, by the simulated house. */
async function atRest(page: Page): Promise<void> {
    await call(page, 'At rest').click();
    await page.getByRole('button', { name: 'Nothing is called' }).click();
    await simulate(page, 'At rest is done');
    await page.getByRole('button', { name: 'At rest is done' }).click();
    await expect(call(page, 'At rest')).toContainText('proved');
}

/** Proves a call by voltage; a stage that joins a running call is asked for without a stop. The call stays on. */
async function byVoltage(page: Page, name: string): Promise<void> {
    const more = page.getByRole('button', { name: `Ask for more: ${name}`, exact: true });
    if (await more.isVisible()) {
        await more.click();
        await expect(page.getByRole('heading', { level: 1, name: `Prove ${name}`, exact: true })).toBeVisible();
    } else {
        const ended = page.getByRole('button', { name: 'Call has ended' });
        if (await ended.isVisible()) await fallOut(page);
        await expect(ended).toBeHidden();
        await call(page, name).click();
        await byProof(page, 'By voltage');
        await page.getByRole('button', { name: /Call is on|Call again/ }).click();
    }
    await simulate(page, 'Call has ended');
}

async function callNames(page: Page): Promise<string[]> {
    const words = await calls(page).getByRole('button').allTextContents();
    return words
        .map((text) => text.replace(/(proved|open|fails|left out)$/, ''))
        .filter((name) => !/^(At rest|Float lifted|Load shed|Defrost)/.test(name));
}

/** Every call of the house by voltage, in the order of the strip. */
async function everyCall(page: Page, names: string[]): Promise<void> {
    for (const name of names) await byVoltage(page, name);
    await fallOut(page);
    for (const name of names) await expect(call(page, name)).toContainText('proved');
}

test("Lock Keeper's Row 4, on its next visit: before power, three ways, and every call", async ({ page }) => {
    await signIn(page);
    await page.getByRole('button', { name: "More for Lock Keeper's Row 4" }).click();
    await page.getByRole('menuitem', { name: 'Copy …' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Copy', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Survey' })).toBeVisible();
    await stage(page, 'Plan');
    await page.getByRole('radio', { name: /C-powered, 1 heat 1 cool/ }).click();
    await expect(page.getByText('3 of 3 calls proved by simulation')).toBeVisible();
    await stage(page, 'Prove');
    await practise(page);

    await raise(page, 'isolated', '0.0');
    await page.getByRole('button', { name: 'Face is off' }).click();
    await simulate(page, 'Ohms are done');
    await page.getByRole('button', { name: 'Ohms are done' }).click();
    await expect(page.getByText('Ready for power')).toBeVisible();

    await expect(page.getByTestId('route')).toContainText(/[Aa]bout \d+ min, \d+ of them waiting/);
    await page.getByRole('button', { name: /^Next: at rest/ }).click();
    for (const [way, begin, end] of [
        ['By jumper', 'Jumper is on', 'Jumper is out, face is on'],
        ['At the board', 'Jumper is on', 'Jumper is out, cable is back'],
    ] as const) {
        await call(page, 'Cool 1').click();
        await byProof(page, way);
        await page.getByRole('button', { name: begin }).click();
        await expect(page.getByRole('button', { name: end })).toBeVisible();
        await raise(page, 'live', '26.4');
        await simulate(page, end);
        await raise(page, 'isolated', '0.0');
        await page.getByRole('button', { name: end }).click();
        await expect(page.getByText('Equipment proved')).toBeVisible();
    }
    await raise(page, 'live', '26.4');
    await everyCall(page, await callNames(page));
    await expect(page.getByRole('button', { name: /Go to Handover/ })).toBeHidden();
    await atRest(page);
    await expect(page.getByRole('button', { name: /Go to Handover/ })).toBeVisible();
    await expect(page.getByTestId('coverage')).toContainText(/9\d\.\d %/);
});

test('Winding Hole 2: every call proved with the simulated meter', { tag: '@nightly' }, async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Winding Hole 2');
    await stage(page, 'Prove');
    await practise(page);
    await raise(page, 'live', '26.6');
    const names = await callNames(page);
    expect(names).toHaveLength(4);
    await everyCall(page, names);
    await atRest(page);
    await stage(page, 'Handover');
    await expect(page.getByTestId('worth')).toContainText('of what can be wrong in this house would have shown');
    await expect(page.locator('main li', { hasText: 'Every call proved' }).locator('.text-verd-ink')).toBeVisible();
});

// Seven calls, in two halves that run side by side: the second stage joins the first without a stop.
for (const [half, from, to, level] of [
    ['cooling', 0, 3, 'cool-2'],
    ['heating', 3, 7, 'heat-2'],
] as const) {
    const tag = half === 'cooling' ? [] : ['@nightly'];
    test(`Tollhouse: ${half} proved with the simulated meter`, { tag }, async ({ page }) => {
        await signIn(page);
        await openJob(page, 'Tollhouse');
        await stage(page, 'Prove');
        await practise(page);
        await raise(page, 'live', '26.6');
        const names = await callNames(page);
        expect(names).toHaveLength(7);
        await everyCall(page, names.slice(from, to));
        await expect(page.locator(`[data-level="${level}"]`)).toContainText('yes');
    });
}

test('Dredger Cottage: every call but one, which is left out with its reason', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Dredger Cottage');
    await stage(page, 'Prove');
    await practise(page);
    await raise(page, 'live', '26.6');
    await call(page, 'Fan').click();
    await page.getByRole('button', { name: /other proofs?$/ }).click();
    await page.locator('summary', { hasText: 'By continuity' }).click();
    await expect(page.getByText('It lives on 24 V: with the power off')).toBeVisible();
    await everyCall(page, (await callNames(page)).slice(0, -1));
    const level = page.locator('[data-level="emergency"]');
    await level.getByRole('button', { name: /Leave it out/ }).click();
    await level.getByRole('textbox').fill('the strips are switched off for the season');
    await level.getByRole('button', { name: 'Keep' }).click();
    await atRest(page);
    await expect(page.getByRole('button', { name: /Go to Handover/ })).toBeVisible();
    await stage(page, 'Handover');
    await expect(page.locator('article').getByText('Practice on a copy')).toBeVisible();
    await expect(page.getByText('the strips are switched off for the season')).toBeVisible();
});

test('what a test would tell, a reading flagged and corrected, the supply loaded, the air measured', async ({
    page,
}) => {
    await signIn(page);
    await openJob(page, 'Winding Hole 2');
    await stage(page, 'Prove');
    await raise(page, 'live', '26.6');
    await call(page, 'Cool 1').click();
    await byProof(page, 'By voltage');
    const tell = page.getByTestId('cannot-tell');
    await expect(tell).toContainText(/If it fails, it cannot tell .* from /);
    await tell.locator('summary').click();
    await expect(tell.getByRole('button', { name: /tells them apart/ }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Call is on' }).click();
    await expect(page.getByRole('button', { name: 'Call has ended' })).toBeVisible();
    await pass(page, 700);
    await probe(page, 'indoor.Y', 'indoor.C');
    await page.getByRole('button', { name: 'What would this tell?' }).click();
    await expect(page.getByTestId('tells')).toContainText('as expected, so it cannot tell these from a sound house');

    await measure(page, '13.0', 'fail');
    await page.getByTestId('verdict').getByRole('button', { name: 'Flag as unexplained' }).click();
    await expect(page.locator('.log tr').first()).toContainText('unexplained');
    await page.locator('.log tr').first().getByRole('button').click();
    await page.locator('.log').getByRole('button', { name: 'Correct it' }).click();
    await expect(page.getByText('Actual, in place of 13.0 V')).toBeVisible();
    await page.locator('#actual').fill('25.8');
    await page.locator('#actual').press('Enter');
    await expect(page.locator('.log tr.line-through')).toContainText('13.0');
    await expect(page.locator('.log tr').first()).toContainText('25.8');

    await page.getByRole('button', { name: 'Volts of the supply, At rest' }).click();
    await measure(page, '26.4', 'pass');
    await page.getByRole('button', { name: 'Volts of the supply, Cool 1' }).click();
    await measure(page, '23.3', 'pass');
    await expect(page.locator('[data-load-check="cool-1"] [data-fall="fail"]')).toContainText('It falls by 3.1 V');
    await page.getByRole('button', { name: 'Amperes in the hot conductor, Fan' }).click();
    await measure(page, '0.31', 'pass');

    const split = page.getByRole('form', { name: 'Temperature split' });
    await split.getByLabel('Return air').fill('76');
    await split.getByLabel('Supply air').fill('570');
    await split.getByRole('button', { name: 'Keep the split' }).click();
    await expect(split.getByRole('alert')).toContainText('supply air from 20 °F to 180 °F');
    await split.getByLabel('Supply air').fill('57');
    await split.getByRole('button', { name: 'Keep the split' }).click();
    await expect(page.locator('[data-measured="split"][data-tone="verd"]')).toContainText('Plausible for cooling');
    await stage(page, 'Handover');
    await expect(page.getByRole('region', { name: 'Unexplained readings' })).toContainText('13.0');
    await expect(page.getByRole('region', { name: 'Loads and air' })).toContainText('It falls by 3.1 V');
});

test('four devices, two hundred readings, some sent twice: none lost, none doubled', async ({ page, browser }) => {
    await signIn(page);
    await openJob(page, 'Winding Hole 2');
    await stage(page, 'Prove');
    await raise(page, 'live', '26.6');
    const job = page.url().replace(/\/[a-z]+$/, '');
    const devices: Page[] = [];
    for (const name of ['wren', 'sedge']) {
        const first = await (await browser.newContext()).newPage();
        await signIn(first, `${name}@ebb-and-sluice.example`);
        const second = await (
            await browser.newContext({ storageState: await first.context().storageState() })
        ).newPage();
        await second.goto('/up');
        devices.push(first, second);
    }
    const ids = await Promise.all(
        devices.map((device, number) =>
            device.evaluate(
                async ([url, mine]) => {
                    const token = decodeURIComponent(
                        document.cookie
                            .split('; ')
                            .find((part) => part.startsWith('XSRF-TOKEN='))
                            ?.split('=')[1] ?? '',
                    );
                    const letters = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
                    const sent: string[] = [];
                    for (let index = 0; index < 50; index++) {
                        const id = `01M000000000000000000${mine}${letters[index >> 5]}${letters[index & 31]}00`;
                        const body = JSON.stringify({
                            id,
                            stage: 'prove',
                            step: null,
                            call: 'fan',
                            mode: 'V',
                            a: 'indoor.G',
                            b: 'indoor.C',
                            value: `25.${index % 10}`,
                        });
                        const send = () =>
                            fetch(`${url}/readings`, {
                                method: 'POST',
                                headers: {
                                    'Content-Type': 'application/json',
                                    Accept: 'application/json',
                                    'X-XSRF-TOKEN': token,
                                },
                                body,
                            });
                        const answers = await Promise.all(index % 4 === 0 ? [send(), send()] : [send()]);
                        if (answers.every((answer) => answer.status === 201)) sent.push(id);
                    }
                    return sent;
                },
                [job, String(number)] as const,
            ),
        ),
    );
    expect(ids.flat()).toHaveLength(200);
    const csv = (await (await page.request.get(`${job}/readings.csv`)).text()).trim().split('\n').slice(1);
    const kept = csv.filter((row) => row.includes('indoor.G,indoor.C'));
    expect(kept).toHaveLength(200);
    for (let digit = 0; digit < 10; digit++)
        expect(
            kept.filter((row) => row.includes(`,25.${digit},`) || (digit === 0 && row.includes(',25,'))),
        ).toHaveLength(20);
    for (const device of devices) await device.context().close();
});

test('a hidden fault found by the pattern of what passes and fails', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Winding Hole 2');
    await stage(page, 'Prove');
    await practise(page, 'conductor-open:A5.h1');
    await raise(page, 'live', '26.6');
    await byVoltage(page, 'Fan');
    await fallOut(page);
    const pattern = page.getByTestId('pattern');
    const first = await page.locator('[data-level]').allTextContents();
    expect(first.join()).toContain('Fan');
    if (!(await pattern.isVisible())) {
        await byVoltage(page, 'Cool 1');
        await fallOut(page);
    }
    await expect(pattern.locator('[data-fit="conductor-open:A5.h1"]')).toBeVisible();
});

test('a connection dropped in mid-step: the entry is kept, and sent once when the signal is back', async ({ page }) => {
    await signIn(page);
    await openJob(page, "Sailmaker's Loft");
    await stage(page, 'Prove');
    await raise(page, 'live', '26.6');
    await page.getByRole('group', { name: 'Calls' }).getByRole('button', { name: /^Fan/ }).click();
    await byProof(page, 'By voltage');
    await page.getByRole('button', { name: 'Call is on' }).click();
    await expect(page.getByRole('button', { name: 'Call has ended' })).toBeVisible();
    await pass(page, 30);
    await expect(page.getByRole('button', { name: 'Call has ended' })).toBeVisible();
    await probe(page, 'indoor.G', 'indoor.G');
    await page.locator('#actual').fill('26100');
    await expect(page.getByText('Did the meter stand on mV?')).toBeHidden();
    await probe(page, 'indoor.G', 'indoor.C');
    await page.getByRole('button', { name: 'Yes, take 26.1 V' }).click();
    await expect(page.locator('#actual')).toHaveValue('26.1');
    await page.locator('#actual').fill('');
    await page.getByLabel('Order of the proofs').selectOption('meter');
    await expect(page.getByRole('group', { name: 'Proof' }).getByRole('button').first()).toHaveText(/By voltage/);
    await page.context().setOffline(true);
    await probe(page, 'indoor.G', 'indoor.C');
    await page.locator('#actual').fill('26.1');
    await page.locator('#actual').press('Enter');
    await expect(page.getByRole('status', { name: 'Kept on this device' })).toContainText(
        'one entry is kept on this device',
    );
    await expect(page.locator('#actual')).toHaveValue('');
    await page.getByRole('button', { name: 'Yes: Blower runs' }).click();
    await expect(page.getByRole('status', { name: 'Kept on this device' })).toContainText('2 entries are kept');
    await page.context().setOffline(false);
    await expect(page.getByRole('status', { name: 'Kept on this device' })).toBeHidden();
    await expect(page.locator('.log tr', { hasText: '26.1' })).toHaveCount(1);
    await page.reload();
    await expect(page.locator('.log tr', { hasText: '26.1' })).toHaveCount(1);
    await expect(page.locator('main')).toContainText('yes');
    await page.getByRole('button', { name: 'Call has ended' }).click();
    await page.getByRole('button', { name: 'Yes: Everything shuts off when the call ends' }).click();
    // What was taken stays: what is missing is called for again, or everything anew.
    await page.getByRole('button', { name: 'On again for what is missing' }).click();
    await expect(page.locator('main')).toContainText('Blower runs');
    await expect(page.getByRole('button', { name: 'Yes: Blower runs' })).toBeHidden();
    await page.getByRole('button', { name: 'Call has ended' }).click();
    await expect(page.getByRole('button', { name: 'Everything anew' })).toBeVisible();
});

test("two devices on one job: the same step, each other's readings within two seconds", async ({ page, browser }) => {
    await signIn(page);
    await openJob(page, 'Weir Pump Room');
    await stage(page, 'Prove');
    const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await signIn(other, 'sedge@ebb-and-sluice.example');
    await other.goto(page.url());
    await raise(page, 'live', '26.6');
    await page
        .getByRole('group', { name: 'Calls' })
        .getByRole('button', { name: /^Heat 1/ })
        .click();
    await byProof(page, 'By voltage');
    await page.getByRole('button', { name: 'Call is on' }).click();
    await expect(other.getByRole('heading', { level: 1, name: 'Prove Heat 1' })).toBeVisible();
    await expect(other.getByRole('button', { name: 'Call has ended' })).toBeVisible();
    await pass(page, 60);
    await probe(page, 'indoor.W', 'indoor.C');
    await measure(page, '25.9', 'pass');
    await expect(other.locator('[data-probe="indoor.W~indoor.C"]')).toContainText('25.9');
    await page.getByRole('button', { name: 'Call has ended' }).click();
    await other.context().close();
});

test('what is still in place blocks the handover, and a signature is kept', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Ropewalk 11');
    await stage(page, 'Plan');
    const radio = page.getByRole('radio', { name: /C optional with batteries/ });
    const other = page.getByRole('button', { name: 'Other thermostats' });
    if ((await other.count()) > 0 && !(await radio.isVisible())) await other.click();
    await radio.click();
    await expect(page.getByRole('region', { name: 'Plans' })).toContainText(/plans? works?/);
    await stage(page, 'Prove');
    await raise(page, 'isolated', '0.0');
    await page
        .getByRole('group', { name: 'Calls' })
        .getByRole('button', { name: /^Cool 1/ })
        .click();
    await byProof(page, 'At the board');
    await expect(page.locator('main')).toContainText('At the board lift the thermostat cable, each end insulated');
    await page.getByRole('button', { name: 'Jumper is on' }).click();
    await expect(page.getByTestId('strip')).toContainText('Jumper R to');
    await stage(page, 'Handover');
    await expect(page.locator('article')).toContainText(
        'Put back: Thermostat cable back on the board, each end tugged',
    );
    await expect(page.getByRole('button', { name: /Hand over/ })).toHaveAttribute('aria-disabled', 'true');
    const pad = page.getByRole('group', { name: 'Customer' });
    const field = pad.getByRole('img');
    const box = await field.boundingBox();
    await pad.getByLabel('Name').fill('A. Teal');
    await pad.getByRole('button', { name: 'Sign' }).click();
    await expect(pad.getByRole('alert')).toContainText('Sign in the field');
    await field.scrollIntoViewIfNeeded();
    const at = (await field.boundingBox()) ?? box ?? { x: 0, y: 0, width: 1, height: 1 };
    await page.mouse.move(at.x + 20, at.y + 60);
    await page.mouse.down();
    await page.mouse.move(at.x + 120, at.y + 20, { steps: 6 });
    await page.mouse.move(at.x + 200, at.y + 80, { steps: 6 });
    await page.mouse.up();
    await pad.getByRole('button', { name: 'Sign' }).click();
    await expect(page.getByRole('img', { name: 'Signature of the customer' })).toBeVisible();
    await stage(page, 'Prove');
    await page.getByRole('button', { name: 'Jumper is out, cable is back' }).click();
    await expect(page.getByTestId('strip')).toContainText('nothing');
});
