/** Where things stand on the board, in px. The jacket takes up what is left of the width. */
export interface Geometry {
    width: number;
    row: number;
    head: number;
    /** Right edge of the words of the loads; null where the loads are left out. */
    loads: number | null;
    boardTag: number;
    tagWidth: number;
    jacket: [number, number];
    was: number | null;
    wallTag: number;
    wallTagWidth: number;
    gutter: number;
    words: number;
}

/** Every row is as high as a finger needs. */
export const row = 44;

export type Variant = 'plan' | 'prove' | 'phone';

export function geometry(variant: Variant, width: number): Geometry {
    if (variant === 'phone') {
        const jacketEnd = width - 192;
        return {
            width,
            row,
            head: 24,
            loads: null,
            boardTag: 16,
            tagWidth: 44,
            jacket: [110, jacketEnd],
            was: null,
            wallTag: jacketEnd + 38,
            wallTagWidth: 52,
            gutter: jacketEnd + 90,
            words: jacketEnd + 124,
        };
    }
    const tail = variant === 'plan' ? 432 : 448;
    const jacketEnd = Math.max(340, width - tail);
    const was = variant === 'plan' ? jacketEnd + 40 : null;
    const wallTag = variant === 'plan' ? jacketEnd + 110 : jacketEnd + 50;
    return {
        width,
        row,
        head: 31,
        loads: 112,
        boardTag: 156,
        tagWidth: 44,
        jacket: [272, jacketEnd],
        was,
        wallTag,
        wallTagWidth: 56,
        gutter: wallTag + 56,
        words: wallTag + 128,
    };
}
