// What the pages of several stages have in common.

export type Colour =
    'red' | 'white' | 'green' | 'yellow' | 'blue' | 'orange' | 'brown' | 'black' | 'pink' | 'tan' | 'grey' | 'purple';
export type Mode = 'V' | 'O' | 'A' | 'B';
export type OutcomeName = 'pass' | 'fail' | 'too-early' | 'neutral';
export type Stage = 'survey' | 'plan' | 'set' | 'prove' | 'handover';
/** A stage on the tape, or the trace that swings out of it. */
export type Standing = Stage | 'trace';
export type PowerState = 'live' | 'isolated' | 'not-proved';

export interface Power {
    state: PowerState;
    volts: number | null;
    at: string | null;
    lapsed: boolean;
    lapseMinutes: number;
    lapsesAt: string | null;
    /** Why it is not proved. */
    why: string | null;
    /** Live by a reading of many hours ago. */
    old: boolean;
    /** The last reading of a hot against a common since the flag was raised. */
    read?: { volts: number; at: string } | null;
}
/** A supply that is proved dead, and made live, by a reading of its own. */
export interface Supply {
    id: string;
    label: string;
    live: string;
}
/** Something put on for a test, that goes back. */
export interface TemporaryThing {
    key: string;
    kind: string;
    a: string;
    b: string;
    label: string;
    /** Put on and taken off with the power off and proved dead. */
    isolated: boolean;
    /** What a test asks for; a breaker that is off is none. */
    ofTest: boolean;
}
export interface TapeSegment {
    key: Stage;
    name: string;
    state: 'stuck' | 'done' | 'begun' | 'next';
    n: number;
    done: number;
    word: string;
    open: string[];
    /** Nothing to do on this visit. */
    folded: boolean;
}
export interface PointInfo {
    id: string;
    label: string;
    place: string;
    placeLabel: string;
    terminal: string | null;
    conductor: string | null;
    group: 'screw' | 'conductor' | 'supply' | 'inside' | 'line' | 'metal';
}
/** How a person likes it, on every device. */
export interface Preferences {
    units: 'us' | 'metric' | null;
    language: string | null;
    theme: 'device' | 'bone' | 'headlamp';
    school: string;
    hand: 'left' | 'right';
    singleKeys: boolean;
}
export interface Shared {
    [key: string]: unknown;
    user: {
        id: number;
        name: string;
        crew: string;
        works: boolean;
        decides: boolean;
        leads: boolean;
        role: string;
        preferences: Preferences;
    } | null;
    units: { system: 'us' | 'metric'; table: Record<string, { unit: string; factor: number; offset: number }> };
    solo: boolean;
    now: string;
    errors: Record<string, string>;
}
export interface Frame extends Shared {
    job: {
        id: string;
        site: string;
        address: string;
        system: string;
        kind: string;
        version: number;
        equipment: string;
        equipmentTitle: string;
        cable: string;
        handedOverAt: string | null;
        /** Nothing can be worked here: it was handed over, or the reader only reads. */
        closed: boolean;
        updatedAt: string;
        practice: boolean;
        demo: boolean;
        /** The banner of a job that is demo data, or practice. */
        mark: string | null;
        importedAt: string | null;
    };
    power: Power;
    supplies: Supply[];
    /** What is still open, to be seen before the power comes on. */
    beforeLive: string[];
    mark: string;
    tape: TapeSegment[];
    /** Since when a fault is open in Trace. */
    fault: string | null;
    /** What stands, and what else can be put on. */
    strip: { standing: TemporaryThing[]; others: TemporaryThing[] };
    points: PointInfo[];
}
export interface Finding {
    code: string;
    severity: 'stop' | 'error' | 'warning' | 'note' | 'good';
    title: string;
    meaning: string;
    action: string;
    conductors: string[];
    points: string[];
    overridable: boolean;
}
export interface Expectation {
    mode: Mode;
    unit: string;
    a: string;
    b: string;
    low: number | null;
    nominal: number | null;
    high: number | null;
    floating: boolean;
    overLimit: boolean;
    reason: string;
    path: string[];
    decidedBy: string[] | null;
    refused: string | null;
    notes: string[];
    /** Those of the notes that mean harm now. Not kept with a reading. */
    harms?: string[];
}
export interface Reading {
    id: string;
    stage: string;
    step: string | null;
    call: string | null;
    mode: Mode;
    unit: string;
    a: string;
    b: string;
    value: number | null;
    low: number | null;
    high: number | null;
    power: string;
    outcome: OutcomeName;
    reason: string;
    candidates: string[];
    at: string;
    corrects: string | null;
    simulated: boolean;
    /** The name that the file gives, where it came out of a job file. */
    fromFile: string | null;
    unexplained: boolean;
    note: string;
}
/** The insulation of a conductor: keys for the ink, and the words for them. */
export interface Insulation {
    colour: Colour;
    stripe: Colour | null;
    colourWord: string;
    stripeWord: string | null;
}
export interface EndView {
    state: 'landed' | 'spare' | 'capped' | 'cut' | 'broken' | 'spliced';
    terminal: string | null;
    onto?: string;
}
export interface EvidenceView {
    value: 'seen' | 'traced' | 'colour' | 'unknown';
    label: string;
    proof: boolean;
}
export interface HangsOn {
    id: string;
    label: string;
    kind: string;
}
export interface BoardRow extends Insulation {
    id: string;
    number: number;
    /** Its number, or with several cables cable and number. */
    name: string;
    cable: string;
    /** Where its far end is. */
    place: string;
    screws: string[];
    /** Conductors that go on from there, to which it can be spliced. */
    splices: { id: string; name: string }[];
    evidence: EvidenceView;
    was: string | null;
    wasState: string;
    lands: string | null;
    landsState: string;
    moved: boolean;
    board: string | null;
    /** The screw that it is on there, as a point: a print may mean another letter. */
    boardPoint: string | null;
    boardState: string;
    boardMoved: boolean;
    load: HangsOn | null;
}
export interface OutdoorRow extends Insulation {
    id: string;
    number: number;
    from: string;
    to: string;
    board: string | null;
    outdoor: string | null;
    load: HangsOn | null;
}
export interface Board {
    cables: { id: string; label: string }[];
    rows: BoardRow[];
    wallStubs: { printed: string; point: string; hot: boolean }[];
    boardStubs: { printed: string; point: string; load: HangsOn | null }[];
    plate: string[];
    module: string[];
    kit: string[];
    link: { a: string; b: string; in: boolean; kind: string } | null;
    outdoorCable: string;
    outdoor: OutdoorRow[];
    ties: { place: string; a: string; b: string; label: string }[];
}
export interface BoardState {
    energised: string[];
    /** Volts of live points that carry less than a coil pulls in at. */
    low: Record<string, string>;
    loads: Record<string, { state: 'rest' | 'in' | 'buzzing' | 'chattering' | 'waiting'; label: string }>;
    amps: number;
    /** Transformers whose fuse opens. */
    blown: string[];
    notes: string[];
}
export interface Simulation extends BoardState {
    call: string;
    label: string;
    closes: string[];
}
export interface CallProof {
    call: string;
    label: string;
    closes: string[];
    pulledIn: string[];
    problems: string[];
    amps: number;
    proved: boolean;
}
export interface MoveRow {
    key: string;
    text: string;
    why: string;
    conductor: string | null;
    done: boolean;
}
