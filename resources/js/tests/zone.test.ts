import { afterEach, expect, it, vi } from 'vitest';
import { today } from '@/lib/format';
import { tellZone } from '@/lib/zone';

afterEach(() => {
    vi.useRealTimers();
    document.cookie = 'zone=; max-age=0; path=/';
});

it('tells the zone once, and again when the device has travelled', () => {
    const zone = vi.spyOn(Intl, 'DateTimeFormat');
    const at = (timeZone: string) =>
        zone.mockImplementation(() => ({ resolvedOptions: () => ({ timeZone }) }) as Intl.DateTimeFormat);
    at('America/Denver');
    expect([tellZone(), tellZone()]).toEqual([true, false]);
    at('America/Chicago');
    expect(tellZone()).toBe(true);
    expect(document.cookie).toContain('zone=America%2FChicago');
});

it("says the device's own day", () => {
    vi.useFakeTimers();
    vi.setSystemTime(new Date(2026, 0, 5, 0, 5));
    expect(today()).toBe('2026-01-05');
    vi.setSystemTime(new Date(2026, 0, 5, 23, 55));
    expect(today()).toBe('2026-01-05');
});
