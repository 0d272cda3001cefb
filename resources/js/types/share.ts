// Links out of the crew, and the page that they open.
import type { HandoverProps } from './handover';
import type { Insulation, Shared } from './shared';
import type { TraceProps, TraceRowView } from './trace';

export interface ShareRow {
    id: number;
    label: string;
    /** Where links to several houses stand together. */
    house: string | null;
    parts: string[];
    by: string;
    endsAt: string;
    opened: number;
    openedAt: string | null;
}
export interface SharesAnswer {
    parts: { value: string; label: string }[];
    /** Parts that go together. */
    advice: string[];
    customer: string[];
    days: number[];
    links: ShareRow[];
}
/** A part is there if it was chosen. */
export interface SharedProps extends Shared, Partial<Pick<HandoverProps, Recorded>> {
    /** None where it has ended. */
    share: { label: string; endsAt: string } | null;
    crew?: string | null;
    house?: string;
    kind?: string;
    handedOverAt?: string | null;
    marks?: string[];
    place?: { site: string; system: string; address: string };
    found?: {
        id: string;
        label: string;
        from: string;
        to: string;
        conductors: (Insulation & {
            number: number;
            near: string;
            far: string;
            evidence: string;
            condition: string[];
        })[];
    }[];
    calls?: { call: string; state: string }[];
    worth?: string[];
    traced?: {
        at: string;
        told: NonNullable<TraceProps['opened']>['told'];
        history: string[];
        finished: boolean;
        rows: Pick<TraceRowView, 'number' | 'at' | 'place' | 'test' | 'setup' | 'result' | 'withdrawn' | 'odd'>[];
        suspects: { title: string; detail: string; percent: number }[];
    } | null;
}
type Recorded =
    | 'facts'
    | 'thermostat'
    | 'wiring'
    | 'beside'
    | 'settings'
    | 'baseline'
    | 'waived'
    | 'restore'
    | 'open'
    | 'points'
    | 'survey'
    | 'proofs'
    | 'unexplained'
    | 'figures'
    | 'photos'
    | 'customer';
