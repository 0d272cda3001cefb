import { usePage } from '@inertiajs/react';
import type { Shared } from '@/types';

/**
 * The units of the crew, as the server gives them: everything is kept and computed in US units, and what is shown is
 * factor × US + offset where the table has the unit.
 */
export type Units = Shared['units'];

export const useUnits = (): Units => usePage<Shared>().props.units;

export const unitOf = (unit: string, units: Units): string => units.table[unit]?.unit ?? unit;

export function shown(value: number, unit: string, units: Units): number {
    const step = units.table[unit];
    return step ? step.factor * value + step.offset : value;
}

export function typed(value: number, unit: string, units: Units): number {
    const step = units.table[unit];
    return step ? (value - step.offset) / step.factor : value;
}

/** Three figures that mean something, no more. */
export function rounded(value: number): string {
    const size = Math.abs(value);
    if (size >= 1000) return Math.round(value).toLocaleString('en-US').replace(/,/g, ' ');
    if (size >= 100) return value.toFixed(0);
    if (size >= 10) return value.toFixed(1);
    return value.toFixed(2).replace(/0$/, '').replace(/\.0$/, '');
}
