import { expect, type Page } from './test';

/** Begins to practise on a copy of the house of this page, with a chosen hidden fault or none, and goes there. */
export async function practise(page: Page, fault = ''): Promise<void> {
    const url = await page.evaluate(async (hidden) => {
        const token = decodeURIComponent(
            document.cookie
                .split('; ')
                .find((part) => part.startsWith('XSRF-TOKEN='))
                ?.split('=')[1] ?? '',
        );
        const answer = await fetch(location.pathname.replace(/[a-z]+$/, 'practice'), {
            method: 'POST',
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
            body: JSON.stringify({ on: true, fault: hidden }),
        });
        if (!answer.ok) throw new Error(await answer.text());
        return ((await answer.json()) as { url: string }).url;
    }, fault);
    await page.goto(url);
    await expect(page.getByText('Practice on a copy')).toBeVisible();
}
