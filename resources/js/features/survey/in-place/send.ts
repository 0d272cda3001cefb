import type { PlaceView } from '@/types';

/** Sends an edit of what is in place; a refusal is said below. */
export type Send = (op: string, fields: object, done?: () => void) => Promise<void>;

/** What the house calls a place. */
export function calledIn(places: PlaceView[], id: string): string {
    const item = places.find((candidate) => candidate.place === id);
    return item === undefined || item.name === '' ? (item?.label ?? id) : item.name;
}
