import type { Expectation, Mode, PointInfo } from '@/types';
import { number } from './numbers';
import { dateLocale, say } from '@/words';

export const signUnit: Record<Mode, string> = { V: 'V', O: 'Ω', A: 'A', B: 'Ω' };

/** A figure as a meter shows it: one decimal for volts and ohms, two for amperes. */
export function figure(value: number, mode: Mode): string {
    return number(value, mode === 'A' ? 2 : value >= 1000 ? 0 : 1);
}

export function range(expected: Expectation): string {
    if (expected.refused) return say('shared.not-now');
    if (expected.overLimit) return 'OL';
    if (expected.floating) return say('shared.0-20-ghost');
    if (expected.low === null || expected.high === null) return '';
    return `${figure(expected.low, expected.mode)}–${figure(expected.high, expected.mode)}`;
}

/** 10:52, in the reader's own time. */
export function clock(iso: string): string {
    return new Date(iso).toLocaleTimeString(dateLocale, { hour: '2-digit', minute: '2-digit' });
}

/** The day it is here: 2026-11-28. */
export function today(): string {
    const now = new Date();
    const two = (part: number) => String(part).padStart(2, '0');
    return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

export function day(iso: string): string {
    return new Date(iso).toLocaleDateString(dateLocale, { weekday: 'short', day: 'numeric', month: 'short' });
}

/** How long ago, in the largest whole unit: "5 days ago". */
export function ago(iso: string, now: string): string {
    const minutes = Math.max(0, Math.floor((Date.parse(now) - Date.parse(iso)) / 60_000));
    if (minutes < 60) return say('shared.minute-other-ago', { minutes });
    const hours = Math.floor(minutes / 60);
    if (hours < 48) return say('shared.hour-other-ago', { hours });
    return say('shared.day-other-ago', { days: Math.floor(hours / 24) });
}

/** 4:12 */
export function countdown(seconds: number): string {
    const whole = Math.max(0, Math.ceil(seconds));
    return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

export function pointName(points: PointInfo[], id: string): string {
    const point = points.find((candidate) => candidate.id === id);
    return point ? point.label : id.slice(id.indexOf('.') + 1);
}

const places: Record<string, string> = {
    wall: say('shared.wall-plate'),
    indoor: say('shared.indoor-board'),
    outdoor: say('shared.outdoor-unit'),
};

/** Where a point is, also one of the old plate that the circuit no longer has. */
export function placeOf(points: PointInfo[], id: string): string {
    return points.find((candidate) => candidate.id === id)?.placeLabel ?? places[id.split('.')[0] ?? ''] ?? '';
}

/** The time, with the day where it is not today. */
export function moment(iso: string): string {
    const today = new Date().toDateString() === new Date(iso).toDateString();
    return today
        ? clock(iso)
        : `${new Date(iso).toLocaleDateString(dateLocale, { day: 'numeric', month: 'short' })} ${clock(iso)}`;
}
