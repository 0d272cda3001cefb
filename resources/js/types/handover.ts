import type { Choice } from './plan';
import type { LoadCheck, Measurement } from './prove';
import type { Frame, Insulation, OutcomeName, Reading } from './shared';
import type { PhotoView } from './survey';

// What the closing record shows.

export interface HandoverProps extends Frame {
    crew: string | null;
    thermostat: string | null;
    /** What worked before the work, on the thermostat that was found. */
    baseline: { call: string; state: string; told: string | null }[];
    facts: { label: string; value: string }[];
    wiring: (Insulation & {
        number: number;
        before: string;
        after: string;
        boardBefore: string;
        board: string;
        /** What was found on it: open in the wall, on the cabinet. */
        condition: string[];
        evidence: string;
    })[];
    /** Ties, the link, short leads, an adapter: before and now. */
    beside: {
        wall_before: string;
        wall: string;
        board_before: string;
        board: string;
        meaning: string;
        label: string;
    }[];
    settings: {
        label: string;
        menu: string;
        value: string | null;
        reason: string;
        asDerived: boolean;
        at: string | null;
    }[];
    proofs: {
        key: string;
        call: string;
        method: string;
        state: string;
        readings: Reading[];
        signs: { name: string; seen: boolean; how: string | null; outcome: OutcomeName; simulated: boolean }[];
    }[];
    survey: Reading[];
    loads: LoadCheck[];
    measurements: Measurement[];
    unexplained: Reading[];
    waived: { call: string; reason: string }[];
    photos: PhotoView[];
    figures: { title: string; verdict: string; tone: string }[];
    customer: string | null;
    choice: Choice | null;
    signatures: { role: string; name: string; strokes: number[][][]; at: string; simulated: boolean }[];
    /** Who has not signed. */
    unsigned: string[];
    simulated: string | null;
    lines: { label: string; done: boolean }[];
    restore: string[];
    open: string[];
}
