import { expect, test, type Page } from './test';
import { openJob, signIn, stage } from './support';

async function set(page: Page, site: string): Promise<void> {
    await signIn(page);
    await openJob(page, site);
    await stage(page, 'Set');
}

const setting = (page: Page, key: string) => page.locator(`[data-setting="${key}"]`);

test("a heat pump: every key in the menu's order, a wrong valve seen at once, all ticked", async ({ page }) => {
    await set(page, 'Tollhouse');
    const keys = await page
        .locator('[data-setting]')
        .evaluateAll((rows) => rows.map((row) => row.getAttribute('data-setting')));
    expect(keys).toEqual([
        'equipment-type',
        'heat-fuel',
        'reversing-valve',
        'outdoor-stages',
        'compressors',
        'aux-stages',
        'aux-with-compressor',
        'emergency',
        'fan-in-heat',
        'compressor-off',
        'compressor-lockout',
        'aux-lockout',
        'aux-gap',
        'cycles',
        'r-source',
        'remote',
    ]);
    await setting(page, 'reversing-valve').getByRole('button', { name: 'Reversing valve' }).click();
    await expect(page.getByRole('region', { name: 'What the thermostat closes' })).toContainText(
        'Heat 1 closes O/B too',
    );
    await setting(page, 'reversing-valve').getByRole('button', { name: 'B, with heating' }).click();
    await expect(page.locator('tr[data-call="heat-1"]')).toContainText('not needed');
    await expect(page.locator('tr[data-call="cool-1"]')).toContainText('needed');
    await expect(page.getByRole('region', { name: 'Findings' })).toContainText(
        'Reversing valve is set to "Energized in heating (B)", should be "Energized in cooling (O)"',
    );
    await expect(page.getByRole('region', { name: 'Findings' })).toContainText(
        'Cool 1 heats: the reversing valve is in the wrong position',
    );
    for (const key of keys) {
        const tick = setting(page, key ?? '').getByRole('checkbox');
        await tick.click();
        await expect(tick).toHaveAttribute('aria-checked', 'true');
    }
    await expect(page.getByText('What the thermostat closes is what the equipment needs.')).toBeVisible();
    await page.getByText(/that this menu does not have/).click();
    await expect(page.getByText('Power source: Common')).toBeVisible();
    await expect(page.locator('.tape').getByRole('link', { name: /^Set/ })).toContainText('16 of 16 entered');
});

test('dual fuel: lockout from the balance point, a price that moves it, both running shown', async ({ page }) => {
    await set(page, 'Quay House');
    await setting(page, 'aux-with-compressor').getByRole('button', { name: 'Auxiliary with the compressor' }).click();
    await expect(page.getByRole('region', { name: 'What the thermostat closes' })).toContainText(
        'Furnace 1 runs the furnace beside the compressor',
    );
    await expect(setting(page, 'compressor-lockout')).toContainText('40 °F');
    await page.getByRole('link', { name: 'Figures' }).click();
    const balance = page.locator('[data-figure="balance"]');
    await expect(balance).toContainText('Changeover at 40 °F. Price governs');
    await expect(balance.getByRole('img')).toHaveAccessibleName(/thermal at 28 °F, economic at 38 °F/);
    await balance.getByLabel(/^Electricity/).fill('0.40');
    await expect(balance).toContainText('Changeover at 65 °F');
    await balance.getByLabel(/^Electricity/).fill('0.10');
    await expect(balance).toContainText('Capacity governs');
    await balance.getByLabel(/^Electricity/).press('Tab');
    const design = balance.getByLabel(/^Outdoor design temperature/);
    await design.fill('14');
    await page.getByRole('radio', { name: 'Metric' }).click();
    await expect(design).toHaveValue('-10');
    await design.fill('-99');
    await expect(balance.getByRole('alert')).toContainText(
        'is -99.0 °C; allowed: outdoor design temperature from -40.0 °C to 10.0 °C',
    );
    await page.getByRole('radio', { name: 'US' }).click();
    await page.getByRole('link', { name: 'Back to Set' }).click();
    await expect(setting(page, 'compressor-lockout')).toContainText('30 °F');
});

test('a float switch placed by the circuit, with its drawing', async ({ page }) => {
    await set(page, 'Weir Pump Room');
    await page.getByRole('link', { name: 'Figures' }).click();
    const ways = page.getByRole('region', { name: 'Overflow switch' });
    await expect(ways.locator('[data-best]')).toHaveAttribute('data-way', 'Y');
    await ways.locator('[data-way="R"]').click();
    await expect(ways).toContainText('goes blank or loses its charge');
    await ways.locator('[data-way="Y+W relay"]').click();
    await expect(ways.getByRole('img')).toHaveAccessibleName('Relay: coil on R, float switch, C; a contact in Y and W');
    await expect(ways).toContainText('relay, 24 V coil, 2 contacts');
    await page
        .locator('[data-figure="coil"]')
        .getByLabel(/^Measured/)
        .fill('9');
    await expect(page.locator('[data-figure="coil"] [data-tone]')).toContainText('Damaged, or another type');
});

test('electric heat without its fan: what the installer would see, and put right', async ({ page }) => {
    await set(page, 'Winding Hole 2');
    await setting(page, 'fan-in-heat').getByRole('button', { name: 'Fan in heat' }).click();
    await expect(page.getByRole('region', { name: 'What the thermostat closes' })).toContainText(
        'Heat 1 runs the strips without the blower',
    );
    await expect(page.getByRole('region', { name: 'What the thermostat closes' })).toContainText('Heat 1 closes G too');
    await expect(page.locator('tr[data-call="heat-1"]')).toContainText('needed');
    await expect(page.getByRole('region', { name: 'Findings' })).toContainText(
        'Fan in heat is set to "The equipment runs it"',
    );
    await setting(page, 'fan-in-heat').getByRole('checkbox').click();
    await expect(page.locator('tr[data-call="heat-1"]')).not.toContainText('needed');
    await expect(setting(page, 'fan-in-heat')).toContainText('The thermostat runs it');
});

test('figures without a house', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Figures' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Figures' })).toBeVisible();
    const tap = page.locator('[data-figure="tap"]');
    await tap.getByLabel(/^Line volts/).fill('208');
    await expect(tap.locator('[data-tone="fault"]')).toContainText('Use the 208 V lead');
    await page.setViewportSize({ width: 390, height: 844 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
