import { practise } from './practise';
import { openJob, pass, raise, signIn, visitAgain } from './support';
import { expect, test, type Page } from './test';

// The short form as it is walked: the next proof by one button, the next pair by itself, what is seen by one tap.

const ENDS = /^(At rest is done|All looked at|Call has ended)/;
const BEGINS = /^(Nothing is called|Look round|Call is on)/;

/** What was typed and what was tapped, as an installer would count it. */
interface Counted {
    readings: number;
    taps: number;
}

const unfold = async (page: Page) => {
    const dock = page.locator('.dock__handle');
    if ((await dock.isVisible()) && (await dock.getAttribute('aria-expanded')) === 'false') await dock.click();
};

/** The pairs that are needed: the meter stands on each by itself, and shows a verdict when nothing is left. */
async function readAll(page: Page, counted: Counted): Promise<void> {
    for (;;) {
        await unfold(page);
        await expect(page.getByTestId('expected')).not.toContainText('…');
        // The verdict of the pair before stands until the page has been read again: what comes next says whether any.
        await expect(async () => {
            const judged = await page.getByTestId('verdict').isVisible();
            expect(!judged || (await page.getByTestId('then').isHidden())).toBe(true);
        }).toPass();
        if (await page.getByTestId('verdict').isVisible()) return;
        const before = await page.getByRole('combobox', { name: 'Probe A' }).inputValue();
        await page.getByRole('button', { name: 'Simulated meter reads' }).click();
        await expect(page.locator('#actual')).not.toHaveValue('');
        await page.locator('#actual').press('Enter');
        await expect(page.locator('#actual')).toHaveValue('');
        counted.readings++;
        // Either it moves on, or it stays with its verdict.
        await expect(async () => {
            const moved = (await page.getByRole('combobox', { name: 'Probe A' }).inputValue()) !== before;
            expect(moved || (await page.getByTestId('verdict').isVisible())).toBe(true);
        }).toPass();
    }
}

async function see(page: Page, counted: Counted): Promise<void> {
    const handle = page.locator('.dock__handle');
    if ((await handle.isVisible()) && (await handle.getAttribute('aria-expanded')) === 'true') await handle.click();
    const all = page.getByRole('button', { name: /^All \d+: yes$/ });
    const one = page.getByRole('button', { name: /^Yes: / });
    if (await all.isVisible()) await all.click();
    else if ((await one.count()) === 1) await one.click();
    else return;
    await expect(all).toBeHidden();
    counted.taps++;
}

/** One proof as it comes, and the stages that join it. */
async function asItComes(page: Page, counted: Counted): Promise<void> {
    await page.locator('main').getByRole('button', { name: BEGINS }).click();
    const ended = page.locator('main').getByRole('button', { name: ENDS });
    await expect(ended).toBeVisible();
    for (;;) {
        await pass(page, 700);
        if ((await ended.textContent()) !== 'All looked at') await readAll(page, counted);
        await see(page, counted);
        const more = page.getByRole('button', { name: /^Ask for more: / }).first();
        if (!(await more.isVisible())) break;
        const heading = page.getByRole('heading', { level: 1 });
        const before = (await heading.textContent()) ?? '';
        await more.click();
        await expect(heading).not.toHaveText(before);
    }
    const falls = (await ended.textContent()) === 'Call has ended';
    await ended.click();
    if (falls) {
        await expect(page.getByRole('button', { name: /^Yes: Everything shuts off/ })).toBeVisible();
        await pass(page, 130);
        await see(page, counted);
    }
    await expect(ended).toBeHidden();
}

for (const [device, width, height] of [
    ['desktop', 1280, 800],
    ['phone', 390, 844],
] as const) {
    for (const [house, most] of [
        ['Winding Hole 2', 18],
        ['Tollhouse', 26],
    ] as const) {
        const tag = house === 'Winding Hole 2' && device === 'phone' ? [] : ['@nightly'];
        test(`${house} by the short form on a ${device}`, { tag }, async ({ page }) => {
            await signIn(page);
            await openJob(page, house);
            await page.goto(page.url().replace(/[a-z]+$/, 'prove'));
            await practise(page);
            await raise(page, 'live', '26.6');
            await page.setViewportSize({ width, height });
            const route = page.getByTestId('route');
            await expect(route).toContainText(/\d+ to read, \d+ to answer, no power change/);
            const wanted = Number(/(\d+) to read/.exec((await route.textContent()) ?? '')?.[1]);
            const counted: Counted = { readings: 0, taps: 0 };
            for (let proof = 0; proof < 12; proof++) {
                await asItComes(page, counted);
                const next = page.getByRole('button', { name: /^Next: / });
                const through = page.getByRole('button', { name: /Go to Handover/ });
                await expect(next.or(through).first()).toBeVisible();
                if (await through.isVisible()) break;
                await next.click();
            }
            await expect(page.getByRole('button', { name: /Go to Handover/ })).toBeVisible();
            expect(counted.readings).toBe(wanted);
            expect(counted.readings).toBeLessThanOrEqual(most);
            // One tap for all that is seen in a proof, one for what falls out.
            expect(counted.taps).toBeLessThanOrEqual(20);
            await expect(page.getByTestId('coverage')).toContainText(/9\d\.\d %/);
        });
    }
}

test('a dead mode proved as found within eight entries, and told before the work', async ({ page }) => {
    await signIn(page);
    await visitAgain(page, 'Winding Hole 2', 'fault call');
    await page.goto(page.url().replace(/[a-z]+$/, 'prove'));
    await expect(page.getByText('Nothing is replaced').first()).toBeVisible();
    await raise(page, 'live', '26.6');

    let entries = 0;
    const tap = async (name: string | RegExp) => {
        await page.locator('main').getByRole('button', { name }).first().click();
        entries++;
    };
    await tap(/^R and C$/);
    await tap('In the base');
    await expect(page.getByRole('group', { name: 'Calls' })).toBeVisible();
    await tap(/^Heat 1/);
    await tap('Call is on');
    await expect(page.getByRole('button', { name: 'Call has ended' })).toBeVisible();
    await pass(page, 200);
    await tap('Yes: Strip heat 1 works');
    await tap('No: Blower runs');
    await tap('Customer told before the work');
    await expect(page.getByTestId('dead')).toContainText('Heat 1 is dead as found');
    await expect(page.getByTestId('dead').getByRole('button')).toBeHidden();
    expect(entries).toBeLessThanOrEqual(8);
    // What fits is named for the trace, the blower's own call among it.
    await expect(page.getByTestId('pattern')).toContainText(/blower|G/);
});

test('a house that heats by itself is not certified', async ({ page }) => {
    await signIn(page);
    await openJob(page, 'Winding Hole 2');
    await page.goto(page.url().replace(/[a-z]+$/, 'prove'));
    await practise(page, 'sequencer-welded');
    await raise(page, 'live', '26.6');
    await page.getByRole('button', { name: 'Nothing is called' }).click();
    await expect(page.getByRole('button', { name: 'At rest is done' })).toBeVisible();
    await pass(page, 700);
    await page.getByRole('button', { name: /Look and listen/ }).click();
    await expect(page.locator('main li', { hasText: /^Nothing runs at outdoor unit/ }).locator('.st')).toBeVisible();
    // The strips are warm though nothing calls: at rest fails, and nothing else can stand in for it.
    await expect(page.locator('main li', { hasText: /^Nothing runs at indoor board/ }).locator('.st')).toHaveText('no');
    await page.getByRole('button', { name: 'At rest is done' }).click();
    await expect(page.getByRole('group', { name: 'Calls' }).getByRole('button', { name: /^At rest/ })).toContainText(
        'fails',
    );
    await expect(page.getByTestId('pattern')).toContainText(/[Ss]equencer/);
    await expect(page.getByRole('button', { name: /Go to Handover/ })).toBeHidden();
    await page.goto(page.url().replace(/[a-z]+$/, 'handover'));
    await expect(page.locator('main li', { hasText: 'Every call proved' }).locator('.text-verd-ink')).toBeHidden();
});
