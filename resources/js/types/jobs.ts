import type { Colour, Power, Shared, Stage } from './shared';

// The list of jobs and the crew's day.

export interface JobRow {
    id: string;
    site: string;
    address: string;
    system: string;
    kind: string;
    version: number;
    equipment: string;
    cable: string | null;
    strands: { colour: Colour; landed: boolean }[];
    tape: { key: string; name: string; state: 'stuck' | 'done' | 'begun' | 'next'; n: number; done: number }[];
    now: { key: Stage; name: string; word: string };
    power: Power;
    restore: string[];
    fails: boolean;
    flagged: boolean;
    day: string | null;
    starts: string | null;
    who: string | null;
    minutes: number | null;
    archived: boolean;
    deleted: boolean;
    /** Who put it away, and when. */
    awayBy: string | null;
    awayAt: string | null;
    mark: string | null;
    handedOverAt: string | null;
    updatedAt: string;
}
export interface DayVisit {
    id: string;
    site: string;
    who: string;
    start: number;
    minutes: number;
    waits: number;
    starts: string;
    ends: string;
    done: boolean;
}
export interface Day {
    date: string;
    isToday: boolean;
    people: string[];
    visits: DayVisit[];
    warnings: { visit: string; text: string }[];
    load: { count: number; item: string; for: string[]; why: string }[];
}
export type Show = 'all' | 'open' | 'flagged' | 'archived';
export interface JobsProps extends Shared {
    jobs: JobRow[];
    /** How many fit, shown or not; and how many are still being worked out. */
    total: number;
    waiting: number;
    find: string;
    /** What may have been meant, where nothing fits. */
    meant: string | null;
    show: Show;
    counts: Record<Show, number>;
    day: Day;
    kinds: { value: string; word: string }[];
    archetypes: { id: string; title: string }[];
    sites: { id: string; name: string; address: string; systems: string[] }[];
}
export interface ImportReport {
    files: {
        name: string;
        job: { id: string; site: string; url: string } | null;
        problem: { pointer: string; message: string } | null;
        here?: ImportedHere;
    }[];
}
/** A job of a file that the crew has already. */
export interface ImportedHere {
    id: string;
    site: string;
    url: string;
    /** Records of the file that the job here has not. */
    new: number;
    /** Whether the job here takes records. */
    open: boolean;
}
