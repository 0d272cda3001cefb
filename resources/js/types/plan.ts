import type { QuestionView } from './survey';
import type { Board, CallProof, Finding, Frame, MoveRow, Reading, Simulation } from './shared';

// Plans: what is offered for a thermostat, and the one in hand.

export interface Candidate {
    key: string;
    title: string;
    codes: string[];
    ways: { code: string; text: string; part: string | null; minutes: number; warns: string | null }[];
    proved: number;
    of: number;
    lost: string[];
    /** Wishes that it does not meet. */
    unmet: string[];
    parts: string[];
    minutes: number;
    trips: number;
    score: number;
    reasons: string[];
    customer: string;
    refusals: string[];
}
export interface Weights {
    capability: number;
    parts: number;
    time: number;
    risk: number;
}
export interface Offers {
    offered: Candidate[];
    refused: Candidate[];
    tried: number;
    /** Ways that this house rules out, and why. */
    ruledOut: string[];
    weights: Weights;
}
export interface ThermostatRow {
    profile: string;
    title: string;
    score: number;
    best: string | null;
    lost: string[];
    parts: string[];
    minutes: number | null;
    reasons: string[];
    refused: string[];
    facts: { label: string; value: string }[];
}
export interface ThermostatChoice {
    rows: ThermostatRow[];
    questions: QuestionView[];
}
export interface Choice {
    title: string;
    ways: string[];
    reasons: string[];
    customer: string;
    note: string;
    edited: boolean;
}
export interface ShortView {
    call: string;
    amps: number;
    through: string[];
    conductors: string[];
    points: string[];
    opens: string;
}
export interface CheckRow {
    screw: string;
    a: string;
    b: string;
    label: string;
    nominal: number | null;
    least: number | null;
    reason: string;
    blind: string | null;
}
export interface PlanView {
    choice: Choice | null;
    short: ShortView | null;
    ties: { place: string; label: string; a: string; b: string }[];
    boards: { place: string; name: string; screws: string[] }[];
    checks: CheckRow[];
    carry: { count: number; item: string; why: string; shared: boolean }[];
    board: Board;
    simulations: Simulation[];
    proofs: CallProof[];
    findings: Finding[];
    /** What a new cable takes, in order; empty where none is pulled. */
    pull: string[];
    moves: MoveRow[];
}
export interface PlanProps extends Frame {
    profiles: { id: string; title: string; power: string; remote: string; screws: string[]; own: boolean }[];
    chosen: string | null;
    used: boolean;
    conductors: number;
    wished: string[];
    stops: Finding[];
    assumes: string[];
    photosMissing: string[];
    plan: PlanView | null;
    readings: Reading[];
}
