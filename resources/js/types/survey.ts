import type { Colour, EndView, EvidenceView, Finding, Frame, Insulation, Reading } from './shared';

// What the survey shows of a house as it was found.

export interface ConductorRow extends Insulation {
    number: number;
    near: EndView;
    far: EndView;
    evidence: EvidenceView;
    condition: string[];
    loopOhms: number | null;
    splice: Colour | null;
    spare: boolean;
    line: string;
}
export interface CableView {
    id: string;
    label: string;
    from: string;
    to: string;
    fromLabel: string;
    toLabel: string;
    /** Conductors whose two ends are known to be the same. */
    proved: number;
    gauge: number;
    feet: number;
    /** How it lies: loose, stapled, buried or blocked; null is not looked at. */
    run: string | null;
    conductors: ConductorRow[];
}
/** The next step of telling ends apart, and what the readings so far prove. */
export interface IdentifyView {
    kind: 'none' | 'known' | 'chain';
    trips: number;
    ends: { id: string; near: string; far: string; known: boolean }[];
    far: string[][];
    near: string[][];
    read: {
        pairs: Record<string, string>;
        whole: string[];
        silent: string[];
        broken: string[];
        open: string[];
        contradicts: boolean;
    } | null;
}
export interface PlaceView {
    place: string;
    label: string;
    name: string;
    units: string[];
    supplies: string[];
    outdoors: boolean;
    removable: boolean;
}
export interface HouseMapView {
    places: PlaceView[];
    addable: { place: string; label: string; units: { id: string; title: string }[] }[];
}
/** What the conductor line offers: the server's words, the likely ones first. */
export interface EntryWords {
    colours: { key: Colour; word: string }[];
    plate: string[];
    flags: string[];
}
export interface EntryPreview {
    number: number | null;
    colour: Colour | null;
    stripe: Colour | null;
    colourWord: string | null;
    stripeWord: string | null;
    near: EndView | null;
    far: EndView | null;
    evidence: EvidenceView;
    complete: boolean;
    condition: string[];
    loopOhms: number | null;
    problems: { field: string; value: string; message: string }[];
}
export type AnswerValue = string | number | string[] | null;
export interface QuestionView {
    key: string;
    section: string;
    text: string;
    help: string;
    kind: 'choice' | 'number' | 'ticks' | 'text';
    choices: { value: string; label: string }[];
    unit: string;
    value: AnswerValue;
    said: string | null;
}
export type SafetyKind = 'float' | 'pump' | 'shedding';
export interface SafetyDevice {
    id: string;
    label: string;
    breaks: string[];
    relay: boolean;
    place?: string;
    kind?: SafetyKind;
}
export interface JumperView {
    place: string;
    a: string;
    b: string;
    label: string;
}
export interface PlateSuggestion {
    title: string;
    because: string;
    check: string;
    answers: Record<string, string>;
}
export interface PhotoMark {
    id: string;
    x: number;
    y: number;
    end: string;
}
export interface PhotoView {
    id: string;
    place: string;
    url: string | null;
    width: number | null;
    height: number | null;
    skipped: string | null;
    at: string;
    marks: PhotoMark[];
}
export interface SurveyProps extends Frame {
    cables: CableView[];
    map: HouseMapView;
    prints: { place: string; name: string; printed: string; means: string | null }[];
    /** Letters printed, by place. */
    screws: Record<string, string[]>;
    entry: EntryWords;
    questions: QuestionView[];
    match: { id: string | null; title: string | null; why: string[]; open: string[]; current: string };
    plate: PlateSuggestion[];
    digits: { digits: string; tons: number }[];
    safety: SafetyDevice[];
    jumpers: JumperView[];
    wanted: { a: string; b: string; label: string; why: string }[];
    photos: PhotoView[];
    needs: { key: string; label: string; done: boolean }[];
    assumes: string[];
    finished: boolean;
    findings: Finding[];
    overrides: Record<string, string>;
    readings: Reading[];
    visits: { id: string; kind: string; at: string; current: boolean; follows: boolean; handedOverAt: string | null }[];
    changes: { version: number; what: string; by: string; at: string }[];
}
