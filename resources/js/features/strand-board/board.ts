import type { ReactNode } from 'react';
import type { Board, BoardRow, BoardState, OutdoorRow } from '@/types';
import type { Variant } from './geometry';

export interface StrandBoardProps {
    variant: Variant;
    board: Board;
    state: BoardState;
    /** Pairs of points that a test jumper joins, drawn at the wall. */
    jumpers?: string[][];
    /** Conductor ends lifted from their screws. */
    lifted?: string[];
    /** Conductors that carry a short, drawn as it would be on the wall. */
    fault?: string[];
    selected?: string | null;
    onSelect?: ((conductor: string) => void) | undefined;
    /** Heads of the columns on the right. */
    heads: { x: number; text: string; end?: boolean }[];
    /** What stands on the right of a conductor's row, at its words column. */
    words: (row: BoardRow, place: { x: number; y: number; width: number }) => ReactNode;
    /** The same for a conductor of the outdoor cable. */
    outdoorWords?: (row: OutdoorRow, place: { x: number; y: number; width: number }) => ReactNode;
    label: string;
}

/** Where a point of the circuit stands on the board, for probes, ties and jumpers. */
export interface PlaceOnBoard {
    x: number;
    y: number;
    side: 'wall' | 'equipment';
}
