import { expect, it, vi } from 'vitest';
import { rounded, sent, shown, typed, unitOf, written, type Units } from '@/lib/units';

vi.mock('@inertiajs/react', () => ({ usePage: vi.fn() }));

// As the server gives them; `UnitsTest` holds the server's own against figures worked out by hand.
const metric: Units = {
    system: 'metric',
    table: {
        '°F': { unit: '°C', factor: 5 / 9, offset: -160 / 9 },
        'Δ°F': { unit: 'K', factor: 5 / 9, offset: 0 },
        ft: { unit: 'm', factor: 0.3048, offset: 0 },
    },
};
const us: Units = { system: 'us', table: { 'Δ°F': { unit: '°F', factor: 1, offset: 0 } } };

it.each([
    [32, '°F', 0, '°C'],
    [-40, '°F', -40, '°C'],
    [9, 'Δ°F', 5, 'K'],
    [100, 'ft', 30.48, 'm'],
    [24, 'V', 24, 'V'],
])('%f %s is %f %s', (value, unit, inMetric, sign) => {
    expect(shown(value, unit, metric)).toBeCloseTo(inMetric, 1);
    expect(unitOf(unit, metric)).toBe(sign);
    expect(typed(shown(value, unit, metric), unit, metric)).toBeCloseTo(value, 9);
    expect([shown(value, unit, us), typed(value, unit, us)]).toEqual([value, value]);
});

it('a difference of temperatures is said in degrees', () => {
    expect(unitOf('Δ°F', us)).toBe('°F');
});

it.each([
    [0.126, '0.13'],
    [0.5, '0.5'],
    [2, '2'],
    [9.999, '10'],
    [26.14, '26.1'],
    [-40.25, '-40.3'],
    [117.6, '118'],
    [12345, '12,345'],
    [15360.4, '15,360'],
    [0.05, '0.05'],
])('%f is written %s', (value, says) => {
    expect(rounded(value)).toBe(says);
});

it.each([
    ['50', us, metric, '10', 50],
    ['10', metric, us, '50', 50],
    ['21,5', metric, metric, '21,5', 70.7],
    ['warm', us, metric, 'warm', 'warm'],
    ['-', metric, us, '-', '-'],
    [' ', us, metric, ' ', null],
])('%j typed is the same value where the units change: %#', (text, then, now, shows, goes) => {
    const fahrenheit = { ...us, table: { '°F': { unit: '°F', factor: 1, offset: 0 } } };
    const at = (units: Units) => (units === us ? fahrenheit : units);
    const entry = { text, units: at(then) };
    expect(written(entry, '°F', at(now))).toBe(shows);
    const value = sent(entry, '°F');
    expect(typeof value === 'number' ? Number(value.toFixed(9)) : value).toBe(goes);
});
