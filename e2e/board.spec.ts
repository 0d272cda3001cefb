import { expect, test, type Page } from './test';
import { openJob, probe, signIn, stage } from './support';

async function plan(page: Page, site: string): Promise<void> {
    await signIn(page);
    await openJob(page, site);
    await page.goto(page.url().replace(/[a-z]+$/, 'plan'));
    await expect(page.getByRole('heading', { level: 1, name: 'Plan' })).toBeVisible();
}

/** Simulates a call and looks at what the board shows: states of loads, and which conductors are live. */
async function shows(page: Page, call: string, loads: Record<string, 'in' | 'rest'>, live: number[]): Promise<void> {
    await page
        .getByRole('group', { name: 'Simulate a call' })
        .getByRole('button', { name: new RegExp(`^${call.replace('+', '\\+')} `) })
        .click();
    for (const [load, state] of Object.entries(loads))
        await expect(page.locator(`[data-load="${load}"]`).first(), `${call}: ${load}`).toHaveAttribute(
            'data-state',
            state,
        );
    const shown = () =>
        page
            .locator('g[data-conductor][data-live]')
            .evaluateAll((rows) => rows.map((row) => Number(row.getAttribute('data-conductor'))).sort());
    await expect.poll(shown, `${call}: live conductors`).toEqual(live);
}

test('a heat pump with strips: every call on the board, defrost included', async ({ page }) => {
    await plan(page, 'Tollhouse');
    await expect(page.getByText('8 of 8 calls proved by simulation')).toBeVisible();
    const rest = { 'outdoor-input': 'rest', valve: 'rest', 'sequencer-1': 'rest', 'second-stage': 'rest' } as const;
    await shows(page, 'At rest', rest, [1]);
    await shows(page, 'Cool 1', { 'outdoor-input': 'in', valve: 'in', 'sequencer-1': 'rest' }, [1, 3, 5, 7]);
    await shows(page, 'Cool 2', { 'second-stage': 'in', valve: 'in' }, [1, 3, 5, 6, 7]);
    await shows(page, 'Heat 1', { 'outdoor-input': 'in', valve: 'rest' }, [1, 3, 5]);
    await shows(page, 'Heat + aux', { 'sequencer-1': 'in', valve: 'rest' }, [1, 3, 5, 6, 8]);
    await shows(page, 'Emergency', { 'outdoor-input': 'rest', 'sequencer-1': 'in' }, [1, 3, 8]);
    await shows(page, 'Defrost', { 'outdoor-input': 'in', valve: 'in', 'sequencer-1': 'in' }, [1, 3, 5, 8]);

    // Fed backwards: with Aux open at the wall, Aux to C reads full and R to Aux nothing.
    await probe(page, 'wall.Rc', 'wall.Aux');
    await expect(page.getByTestId('reason')).toContainText("defrost relay's W contact");
    await expect(page.getByTestId('expected')).toContainText('0.0–');
    await shows(page, 'Heat 1', { 'sequencer-1': 'rest' }, [1, 3, 5]);
    await expect(page.getByTestId('reason')).toContainText(
        "The full voltage is across the Aux switch, the E switch and the defrost relay's W contact, which are open: " +
            'the way around is the idle strip heat',
    );
});

test('two transformers: each family on its own hot, and the link refused', async ({ page }) => {
    await plan(page, 'The Old Chandlery');
    await shows(page, 'At rest', { 'zone-valve': 'rest', contactor: 'rest' }, [1, 5]);
    await shows(page, 'Heat 1', { 'zone-valve': 'in', contactor: 'rest' }, [1, 5, 6]);
    await shows(page, 'Cool 1', { 'zone-valve': 'rest', contactor: 'in', 'blower-relay': 'in' }, [1, 3, 4, 5]);
    await probe(page, 'wall.Rc', 'wall.Rh');
    await expect(page.getByTestId('expected')).toContainText('ghost');
    await expect(page.getByTestId('reason')).toContainText('floats');
    await page.getByRole('button', { name: /Rc–Rh link/ }).click();
    await expect(page.getByText('0 of 3 calls proved by simulation')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Findings' })).toContainText('Two transformers are joined');
    await expect(page.getByRole('button', { name: /Use this plan/ })).toHaveAttribute('aria-disabled', 'true');
});

test('a valve energized in heating, and what an intact valve reads with the power off', async ({ page }) => {
    await plan(page, 'Dredger Cottage');
    await shows(page, 'Cool 1', { valve: 'rest', 'outdoor-input': 'in' }, [1, 3, 4]);
    await shows(page, 'Heat 1', { valve: 'in', 'outdoor-input': 'in' }, [1, 3, 4, 5]);
    await shows(page, 'Defrost', { valve: 'rest', 'sequencer-1': 'in' }, [1, 2, 3, 4, 5]);
    await page.keyboard.press('o');
    await probe(page, 'wall.O/B', 'wall.C');
    await expect(page.getByTestId('reason')).toContainText('Through the reversing valve');
    await expect(page.getByTestId('expected')).toContainText('14.');
    // The meter was used last: a digit would be a figure. The tape leads on.
    await stage(page, 'Prove');
    await expect(page.getByRole('heading', { level: 1, name: /Prove at rest/ })).toBeVisible();
    for (const call of ['Cool 1', 'Heat 1', 'Heat + aux', 'Emergency'])
        await expect(
            page
                .getByRole('group', { name: 'Calls' })
                .getByRole('button', { name: new RegExp(`^${call.replace('+', '\\+')}`) }),
        ).toBeVisible();
    await page.keyboard.press('3');
    await expect(page.locator('[data-setting="reversing-valve"]')).toContainText('Energized in heating (B)');
});
