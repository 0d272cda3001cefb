import { expect, it } from 'vitest';
import { rounded, shown, typed, unitOf } from '@/lib/units';

it.each([
    [32, '°F', 0, '°C'],
    [-40, '°F', -40, '°C'],
    [9, 'Δ°F', 5, 'K'],
    [100, 'ft', 30.48, 'm'],
    [12000, 'BTU/h', 3.517, 'kW'],
    [400, 'CFM', 188.8, 'L/s'],
    [24, 'V', 24, 'V'],
])('%f %s is %f %s', (value, unit, metric, sign) => {
    expect(shown(value, unit, true)).toBeCloseTo(metric, 1);
    expect(unitOf(unit, true)).toBe(sign);
    expect(typed(shown(value, unit, true), unit, true)).toBeCloseTo(value, 9);
    expect([shown(value, unit, false), typed(value, unit, false), unitOf(unit, false)]).toEqual([value, value, unit]);
});

it.each([
    [0.126, '0.13'],
    [0.5, '0.5'],
    [2, '2'],
    [9.999, '10'],
    [26.14, '26.1'],
    [-40.25, '-40.3'],
    [117.6, '118'],
    [12345, '12 345'],
])('%f is written %s', (value, says) => {
    expect(rounded(value)).toBe(says);
});
