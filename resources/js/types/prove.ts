import type { Board, BoardState, Expectation, Frame, Mode, OutcomeName, Reading } from './shared';

export interface StepView {
    key: string;
    call: string;
    callLabel: string;
    method: string;
    methodLabel: string;
    shows: string;
    places: string[];
    follows: string | null;
    isolated: boolean;
    staysDead: boolean;
    main: boolean;
    /** Without it nothing of its call is proved, or it belongs to the short form. */
    required: boolean;
    do: string;
    hot: string;
    closes: string[];
    jumpers: string[][];
    lifted: string[];
    faceOff: boolean;
    wait: { seconds: number; reason: string };
    state: 'open' | 'running' | 'passed' | 'failed';
    running: boolean;
    startedAt: string | null;
    /** Ended, and one figure of it can be read again by itself: nothing has to be called for it. */
    readAgain: boolean;
    readyAt: string | null;
    probes: {
        a: string;
        b: string;
        mode: Mode;
        /** Says where a fault is, once something needed has failed. */
        optional: boolean;
        shows: string;
        expected: Expectation;
        reading: Reading | null;
    }[];
    signs: {
        key: string;
        text: string;
        sense: string;
        optional: boolean;
        outcome: OutcomeName | null;
        /** What it was, where it was neither yes nor no; whether that stops the work. */
        how: string | null;
        danger: boolean;
        neither: { value: string; label: string }[];
        reason: string | null;
        simulated: boolean;
        at: string | null;
    }[];
    /** The thermostat's call has ended; what pulled in has to be out by then. */
    offAt: string | null;
    outBy: string | null;
    dropOff: { seconds: number; reason: string } | null;
    dropped: boolean;
    /** Something stood meanwhile that the step did not ask for: it proves nothing. */
    altered: boolean;
    /** What its set-up has put on, while it runs. */
    stands: string[];
    /** Screws next to the jumper where a slip does harm. */
    beside: string[];
    /** A jumper built up screw by screw, with what each brings in. */
    buildUp: string[];
    /** The wait where the thermostat's test menu makes the call. */
    forced: { seconds: number; reason: string } | null;
    restore: string[];
    board: BoardState;
    waitingBoard: BoardState;
}
interface OldQuestion {
    key: string;
    text: string;
    value: string | null;
    choices: { value: string; label: string }[];
}
/** The thermostat that hangs there; what it is taken for, or what is lacking for that. */
export interface AsFoundView {
    letters: { printed: string; name: string; colour: string | null }[];
    power: OldQuestion;
    switches: OldQuestion;
    says: string | null;
    reference: string | null;
    assumptions: string[];
    lost: string[];
    lacking: string[];
}
export interface ProveProps extends Frame {
    thermostat: string;
    asFound: AsFoundView | null;
    calls: {
        call: string;
        label: string;
        proved: boolean;
        failed: boolean;
        running: boolean;
        waived: string | null;
        isCall: boolean;
        optional: boolean;
    }[];
    noContinuity: string | null;
    noWallJumper: Record<string, string>;
    steps: StepView[];
    routes: Record<string, { label: string; order: string[]; keys: string[]; reason: string }>;
    loads: LoadCheck[];
    measurements: Measurement[];
    splits: { mode: number; label: string; call: string }[];
    tons: number | null;
    restore: string[];
    board: Board;
    resting: BoardState;
    readings: Reading[];
}
interface Band {
    low: number;
    nominal: number;
    high: number;
}
/** The supply in one call: volts and the fall from rest, amperes by clamp, what each load adds; and what was read. */
export interface LoadCheck {
    call: string;
    label: string;
    a: string;
    b: string;
    clamp: string | null;
    volts: Band;
    fall: Band;
    amps: Band | null;
    adds: { load: string; amps: number }[];
    va: number;
    rating: number;
    read: { volts: Reading | null; amps: Reading | null };
    rest: number | null;
    verdict: { outcome: OutcomeName; reason: string; candidates: string[] } | null;
}
export interface Measurement {
    id: string;
    figure: string;
    title: string;
    call: string | null;
    callLabel: string | null;
    inputs: Record<string, number>;
    lines: { label: string; value: number | null; unit: string; formula: string }[];
    tone: string;
    verdict: string;
    simulated: boolean;
    at: string;
}
/** Titles of faults by the place where they are. */
export type FaultsByPlace = Record<string, string[]>;
export interface CannotTell {
    places: FaultsByPlace;
    told: { step: string; label: string } | null;
}
export interface Tells {
    suspects: number | null;
    unit: string;
    groups: { value: number | null; expected: boolean; places: FaultsByPlace }[];
}
/** What the proofs done so far are worth, or how far working that out has come. Shares in percent. */
export interface CoverageAnswer {
    done: number;
    of: number;
    coverage: CoverageView | null;
}
export interface CoverageGap {
    entry: string;
    title: string;
    places: number;
    named: string[];
    share: number;
    cheapest: { item: string; step: string | null; call: string | null; says: string; minutes: number } | null;
}
export interface CoverageView {
    share: number;
    atEnd: number;
    counted: number;
    /** Not shown by anything done; and by nothing that is still to be done either. */
    gaps: CoverageGap[];
    ahead: CoverageGap[];
    never: string[];
    passing: number;
}
