import { test } from './test';
import { openJob, signIn } from './support';

test('looks at trace', async ({ page }) => {
    await page.setViewportSize({ width: 1280, height: 800 });
    await signIn(page);
    await openJob(page, 'Quay House');
    await page.goto(page.url().replace(/\/(survey|plan|set|prove|handover)$/, '/trace'));
    await page.waitForTimeout(800);
    await page.screenshot({ path: '/tmp/t1.png' });
    await page.locator('.trace__rows').scrollIntoViewIfNeeded();
    await page.screenshot({ path: '/tmp/t2.png' });
    await page.setViewportSize({ width: 390, height: 844 });
    await page.waitForTimeout(300);
    await page.locator('.main').evaluate((e) => e.scrollTo(0, 0));
    await page.screenshot({ path: '/tmp/t3.png' });
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.getByRole('button', { name: 'Put the fault away' }).click();
    await page.waitForTimeout(800);
    await page.screenshot({ path: '/tmp/t4.png' });
});
