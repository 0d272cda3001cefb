import { usePage } from '@inertiajs/react';
import { cut, number } from './numbers';
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

/**
 * What was typed, with the units that stood beside the field then: when the crew's units change meanwhile, here or on
 * another device, nothing typed is lost and nothing becomes another value.
 */
export interface Entry {
    text: string;
    units: Units;
}

/** The number that was typed, with a point or a comma. Nothing for an empty field or another text. */
function numberOf(text: string): number | null {
    const number = Number(text.replace(',', '.'));
    return text.trim() !== '' && Number.isFinite(number) ? number : null;
}

/** What the field shows now: as typed, or the same value in the units of today. */
export function written({ text, units }: Entry, unit: string, now: Units): string {
    const number = numberOf(text);
    return number === null || units.system === now.system ? text : field(shown(typed(number, unit, units), unit, now));
}

/** What is sent: the value in US units, nothing for an empty field, and a text that is no number as it is. */
export function sent({ text, units }: Entry, unit: string): number | string | null {
    const number = numberOf(text);
    return number === null ? text.trim() || null : typed(number, unit, units);
}

/** A number as a field holds it. */
export function field(value: number): string {
    return String(cut(value, Math.abs(value) >= 100 ? 0 : 2));
}

/** Three figures that mean something, no more. */
export function rounded(value: number): string {
    const size = Math.abs(value);
    if (size >= 100) return number(value);
    if (size >= 10) return number(value, 1);
    // Two decimals, of which no zero is said.
    const figures = cut(value, 2);
    return number(
        figures,
        [0, 1, 2].find((decimals) => cut(figures, decimals) === figures),
    );
}
