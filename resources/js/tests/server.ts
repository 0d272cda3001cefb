import { vi } from 'vitest';

/** What the application was asked, and a way to answer each by hand. */
export interface Asked {
    url: string;
    body: Record<string, unknown>;
    answer: (status: number, data?: object) => void;
    /** A page, not ours. */
    page: (status: number, html: string) => void;
    lose: () => void;
}

/** Stands in for the network: every request waits until the test answers it or loses it. */
export function server(): Asked[] {
    const asked: Asked[] = [];
    vi.stubGlobal('fetch', (url: string, init?: RequestInit) => {
        return new Promise<Response>((resolve, reject) => {
            asked.push({
                url,
                body: JSON.parse(typeof init?.body === 'string' ? init.body : '{}') as Record<string, unknown>,
                answer: (status, data = {}) => resolve(new Response(JSON.stringify(data), { status })),
                page: (status, html) => resolve(new Response(html, { status })),
                lose: () => reject(new TypeError('no signal')),
            });
        });
    });
    return asked;
}

/** Until everything that is ready has run. */
export const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));
