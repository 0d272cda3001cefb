import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './test';
import { openJob, signIn, stage, visitAgain } from './support';

// Every screen held against WCAG 2.1 AA, in both themes.
test('no accessibility fault on any screen, in either theme', async ({ page }) => {
    await page.addInitScript(() => localStorage.setItem('theme', 'bone'));
    const faults = async (where: string, axe: AxeBuilder) =>
        (await axe.analyze()).violations.map(
            (violation) =>
                `${where}: ${violation.id}: ${violation.nodes
                    .map((node) => node.target.join(' '))
                    .slice(0, 3)
                    .join(' | ')}`,
        );
    const turn = (theme: string) =>
        page.evaluate((next) => document.documentElement.setAttribute('data-theme', next), theme);
    const clean = async (where: string) => {
        const all = new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']);
        expect(await faults(`${where}, bone`, all)).toEqual([]);
        // The second theme changes colors only: its contrast is what is new.
        await turn('headlamp');
        const contrast = new AxeBuilder({ page }).withRules(['color-contrast']);
        expect(await faults(`${where}, headlamp`, contrast)).toEqual([]);
        await turn('bone');
    };
    await page.goto('/sign-in');
    await clean('sign-in');
    await signIn(page);
    await clean('jobs');
    await page.getByRole('button', { name: /New job/ }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await clean('new job');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Import' }).click();
    await clean('import');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'More for Tollhouse' }).click();
    await page.getByRole('menuitem', { name: 'Name, day and person' }).click();
    await clean('details');
    await page.keyboard.press('Escape');
    await openJob(page, 'Tollhouse');
    await stage(page, 'Survey');
    await page.locator('summary').last().click();
    await clean('survey with its record open');
    await page.goto('/figures');
    await clean('figures');
    await page.goto('/crew');
    await page.getByRole('button', { name: 'More for Teal Marl' }).click();
    await page.getByRole('menuitem', { name: 'Change the role' }).click();
    await clean('a role');
    await page.keyboard.press('Escape');
    await clean('people');
    await page.goto('/account');
    await clean('account');
    await page.goto('/jobs');
    await openJob(page, 'Ropewalk 11');
    await page.getByRole('button', { name: /Which suits this house/ }).click();
    await expect(page.getByRole('dialog').locator('li').first()).toBeVisible();
    await clean('thermostat choice');
    await page.keyboard.press('Escape');
    await page.goto('/jobs');
    await openJob(page, 'Weir Pump Room');
    await page.getByRole('button', { name: 'Other plans' }).click();
    await clean('plans');
    await page.goto(page.url().replace(/[a-z]+$/, 'figures'));
    await clean('figures of a house');
    await page.goto('/jobs');
    await visitAgain(page, 'Winding Hole 2', 'fault call');
    await page.goto(page.url().replace(/[a-z]+$/, 'prove'));
    await page.getByRole('button', { name: 'In the base' }).hover();
    await clean('the old plate');
    await page.getByRole('button', { name: 'In the base' }).click();
    await expect(page.getByRole('group', { name: 'Calls' })).toBeVisible();
    await page.getByRole('button', { name: 'Put on …' }).click();
    await clean('as found, with what can be put on');
    await page.goto('/jobs');
    await openJob(page, 'Quay House');
    await page.keyboard.press('6');
    await expect(page.getByRole('heading', { name: 'Suspects' })).toBeVisible();
    for (const summary of await page.locator('summary').all()) await summary.click();
    await clean('trace');
    await page.goto('/jobs');
    await openJob(page, 'Tollhouse');
    await page.keyboard.press('6');
    await expect(page.getByRole('heading', { name: 'In which call' })).toBeVisible();
    await clean('complaint');
    await page.goto('/jobs');
    await openJob(page, "Lock Keeper's Row 4");
    const base = page.url().replace(/\/[a-z]+$/, '');
    for (const name of ['survey', 'plan', 'set', 'prove', 'handover']) {
        await page.goto(`${base}/${name}`);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        if (name !== 'handover') await expect(page.getByTestId('expected')).toContainText('V');
        await clean(name);
    }
});

/** What can be touched and is smaller than a finger needs: 44 px, the label of a field counted with it. */
const small = () =>
    [
        ...document.querySelectorAll<HTMLElement>(
            'a[href],button,input,select,textarea,summary,[role=button],[role=checkbox]',
        ),
    ]
        .filter((element) => {
            const own = element.getBoundingClientRect();
            if (
                own.width === 0 ||
                !element.checkVisibility({ visibilityProperty: true }) ||
                element.classList.contains('vh')
            )
                return false;
            const label = element.closest('label')?.getBoundingClientRect();
            return Math.min(Math.max(own.width, label?.width ?? 0), Math.max(own.height, label?.height ?? 0)) < 43.5;
        })
        .map((element) => `${element.tagName} ${element.getAttribute('aria-label') ?? element.textContent}`);

for (const [width, height, sites] of [
    [390, 844, ['Tollhouse', "Lock Keeper's Row 4"]],
    [1280, 800, ['Tollhouse']],
] as const) {
    test(`every target is 44 px and nothing is wider than the screen, ${width} wide`, async ({ browser }) => {
        const page = await (await browser.newContext({ viewport: { width, height } })).newPage();
        await page.goto('/sign-in');
        expect(await page.evaluate(small), 'sign-in').toEqual([]);
        await signIn(page);
        expect(await page.evaluate(small), 'jobs').toEqual([]);
        for (const site of sites) {
            await page.goto('/jobs');
            await openJob(page, site);
            const base = page.url().replace(/\/[a-z]+$/, '');
            for (const name of ['survey', 'plan', 'set', 'prove', 'handover', 'figures']) {
                await page.goto(`${base}/${name}`);
                await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
                const meter = page.getByRole('button', { name: /Meter$/ });
                if (await meter.isVisible()) await meter.click();
                expect(await page.evaluate(small), `${site}, ${name}`).toEqual([]);
                expect(
                    await page.evaluate(() => document.documentElement.scrollWidth),
                    `${site}, ${name}`,
                ).toBeLessThanOrEqual(width);
            }
        }
        await page.context().close();
    });
}
