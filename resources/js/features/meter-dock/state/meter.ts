import { createContext, useContext } from 'react';
import type { Probes } from '@/shell/Shell';
import type { Expectation, Frame, OutcomeName, Reading } from '@/types';

/** For what is read: a stage, and where it is a proof its step, where a call stands that call. */
export interface Purpose {
    stage: string;
    step: string | null;
    call: string | null;
}

/** What was just recorded: taken and judged, or kept on this device until there is a signal. */
export interface Recorded {
    a: string;
    b: string;
    outcome: OutcomeName | 'kept';
}

/** The meter in the hand: where it stands, what is expected there, what is typed and what was read. */
export interface Meter {
    job: Frame['job'];
    points: Frame['points'];
    probes: Probes;
    purpose: Purpose;
    /** Of stage, step, call, mode and both points. */
    pair: string;
    expected: Expectation | null;
    /** Why nothing is expected. */
    noExpectation: string;
    readings: Reading[];
    /** The reading of these points that counts here. */
    last: Reading | null;
    /** The figure that the ruler shows. */
    value: number | null;
    closed: boolean;
    typed: string;
    type: (next: string | ((now: string) => string)) => void;
    /** The reading in whose place the next figure is recorded. */
    correcting: Reading | null;
    correct: (reading: Reading | null) => void;
    record: (figure?: string) => Promise<void>;
    /** The figure that the pair before had, where one tap takes it. */
    same: string | null;
    /** What was refused of this pair, by field, and in words. */
    errors: Record<string, string>;
    refused: string | null;
    clear: () => void;
}

export const MeterContext = createContext<Meter | null>(null);

export function useMeter(): Meter {
    const meter = useContext(MeterContext);
    if (!meter) throw new Error('useMeter');
    return meter;
}

export const focusActual = () => document.getElementById('actual')?.focus();

export function parsed(typed: string): number | null {
    const number = Number(typed.trim().replace(',', '.'));
    return typed.trim() !== '' && Number.isFinite(number) && number >= 0 ? number : null;
}
