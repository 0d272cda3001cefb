import type { Frame, Reading } from './shared';

export interface TraceSign {
    key: string;
    label: string;
    answers: { value: string; label: string }[];
}
/** One thing to do next, with what each outcome would leave. */
export interface TraceProposal {
    key: string;
    words: string;
    setup: string[];
    place: string;
    minutes: number;
    power: string | null;
    isolated: boolean;
    call: string;
    /** The set-up as the trace protocol has it; none for an event. */
    test: Record<string, unknown> | null;
    /** Keys of what has to stand on the strip. */
    things: string[];
    event: Record<string, unknown> | null;
    before: Record<string, unknown>[];
    read: { mode: string; a: string; b: string } | null;
    see: TraceSign[];
    look: { target: string; finds: { value: string; label: string }[] } | null;
    outcomes: { result: string; share: number; leaves: number; first: string }[];
}
export interface TraceSuspect {
    id: string;
    title: string;
    /** Where, and what it does to the circuit. */
    detail: string;
    share: number;
    start: number;
    fallen: boolean;
    /** Number of the row that felled it. */
    felledBy: number | null;
    shown: boolean;
    unknown: boolean;
}
export interface TraceRowView {
    number: number;
    id: string;
    at: string;
    kind: string;
    place: string;
    test: string;
    setup: string[];
    result: string;
    moved: { title: string; from: number; to: number } | null;
    withdrawn: boolean;
    /** Nobody that is left explains it. */
    odd: boolean;
    again: { mode: string; a: string; b: string } | null;
}
export interface TraceDone {
    group: string;
    titles: string[];
    share: number;
    repair: string;
    fix: string;
    parts: string[];
    minutes: number;
    safety: string[];
    fuses: number[];
    reopen: string[];
    confirm: boolean;
    stuck: boolean;
    unknown: boolean;
}
export interface TraceView {
    minutes: number;
    call: string;
    at: string;
    suspects: TraceSuspect[];
    next: TraceProposal[];
    rows: TraceRowView[];
    fuses: { id: string; now: string; spent: number }[];
    places: { value: string; label: string }[];
    trips: { number: number; place: string }[];
    done: TraceDone | null;
    open: { value: string; label: string }[];
    finished: boolean;
    /** What was repaired works; the other calls are run too, for a second fault. */
    second: boolean;
    landing: string[];
    /** The guided routines, the most telling first, and the one that is followed. */
    routines: { now: string | null; all: { value: string; label: string; step: string }[] };
    /** Suspected cables, spot by spot. */
    routes: { cable: string; label: string; spots: { value: string; label: string; found: string | null }[] }[];
    /** Wires of a part that is exchanged; none before the list is made. */
    exchange: {
        what: string;
        count: number;
        wires: { end: string; label: string; screw: string; off: boolean; on: boolean }[] | null;
    } | null;
    /** What was odd before the repair. */
    odd: {
        number: number;
        id: string;
        test: string;
        setup: string[];
        result: string;
        again: { mode: string; a: string; b: string } | null;
        struck: boolean;
    }[];
    /** The proof of the call that is run again: started, what is read and seen counts there too. */
    proof: { step: string; label: string; running: boolean } | null;
    breaker: { since: string | null; seconds: number | null; says: string } | null;
    wiggled: { number: number; spot: string; answered: boolean }[];
    signs: TraceSign[];
    looks: { target: string; label: string; of: string; finds: { value: string; label: string }[] }[];
    moments: { value: string; label: string }[];
}
export interface TraceProps extends Frame {
    entry: {
        calls: { value: string; label: string }[];
        signs: TraceSign[];
        history: { value: string; label: string }[];
        whens: { value: string; label: string }[];
    };
    opened: {
        id: string;
        at: string;
        told: { call: string; sees: string[]; when: string }[];
        history: string[];
    } | null;
    /** Rows of Prove that go along. */
    carried: number;
    trace: TraceView | null;
    readings: Reading[];
}
