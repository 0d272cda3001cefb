import type { Frame, Shared } from './shared';

// Figures: calculations with their inputs, formulas and verdicts, in US units.

export interface FigureInput {
    key: string;
    label: string;
    unit: string;
    value: number | null;
    source: string;
    min: number;
    max: number;
    optional: boolean;
    /** What several inputs stand together for, in one row. */
    row: string | null;
}
export interface FigureResult {
    lines: { label: string; value: number | null; unit: string; formula: string }[];
    tone: string;
    verdict: string;
    /** Of the lines those that stand large beside each other. */
    answers: { label: string; value: number | null; unit: string; formula: string }[];
    plot: {
        x: string;
        /** Signs of US units. */
        xUnit: string;
        y: string;
        series: { name: string; points: number[][] }[];
        marks: { x: number; name: string }[];
    } | null;
}
export interface FigureView {
    key: string;
    title: string;
    about: string;
    inputs: FigureInput[];
    result: FigureResult | null;
}
export interface OverflowWay {
    key: string;
    title: string;
    breaks: string[];
    relay: boolean;
    parts: string[];
    stops: string[];
    goesOn: string[];
    /** The blower goes on in a cooling call while water stands in the pan. */
    blowsOn: boolean;
    powered: boolean;
    emergency: boolean | null;
    /** Everything that makes water here stops. */
    dry: boolean;
    /** The numbers on the installer's own relay, where given: its coil, and a contact for each screw. */
    coil: string;
    contacts: { screw: string; pins: string }[];
    fits: boolean;
    best: boolean;
    why: string;
}
/** A pan that gets wet: what makes its water, what is taken for granted, and each way to wire its switch. */
export interface Pan {
    place: string;
    name: string;
    makes: string[];
    assumes: string[];
    ways: OverflowWay[];
}
/** Of a house, with its frame; or without one. */
export interface FiguresProps extends Shared {
    job: Frame['job'] | null;
    power?: Frame['power'];
    supplies?: Frame['supplies'];
    beforeLive?: Frame['beforeLive'];
    mark?: Frame['mark'];
    tape?: Frame['tape'];
    fault?: Frame['fault'];
    strip?: Frame['strip'];
    restore?: Frame['restore'];
    points?: Frame['points'];
    house: string | null;
    figures: FigureView[];
    overflow: Pan[];
    /** The numbers on the installer's own relay, as written. */
    relayPins: string;
}
