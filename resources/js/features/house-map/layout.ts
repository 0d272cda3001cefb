import type { CableView, HouseMapView, PlaceView } from '@/types';

/** Where a place stands in the drawing, in px. */
export interface Box {
    place: PlaceView;
    x: number;
    y: number;
    w: number;
    h: number;
}

export interface Run {
    cable: CableView;
    /** The middle of the jacket. */
    d: string;
    /** Where its tag stands. */
    x: number;
    y: number;
}

const HEIGHT = 66;
const GAP = 20;

/** Walls on the left, what stands indoors in the middle, the outdoor units on the right; cables between them. */
export function layout(map: HouseMapView, cables: CableView[], width: number) {
    const w = Math.min(250, Math.max(180, width * 0.25));
    const columns: PlaceView[][] = [[], [], []];
    for (const place of map.places) columns[place.place.startsWith('wall') ? 0 : place.outdoors ? 2 : 1]?.push(place);
    const rows = Math.max(...columns.map((column) => column.length), 1);
    const height = rows * (HEIGHT + GAP) - GAP + 16;
    const boxes = columns.flatMap((column, index) =>
        column.map((place, row): Box => {
            const x = index === 0 ? 20 : index === 1 ? (width - w) / 2 : width - w - 20;
            const top = (height - (column.length * (HEIGHT + GAP) - GAP)) / 2;
            return { place, x, y: top + row * (HEIGHT + GAP), w, h: HEIGHT };
        }),
    );
    const at = (place: string) => boxes.find((box) => box.place.place === place);
    const ends = new Map<string, number>();
    const slot = (box: Box, side: string, of: number) => {
        const key = `${box.place.place}.${side}`;
        const nth = ends.get(key) ?? 0;
        ends.set(key, nth + 1);
        return box.y + (box.h * (nth + 1)) / (of + 1);
    };
    const count = (place: string, side: 'from' | 'to') => cables.filter((cable) => cable[side] === place).length;
    const runs = cables.flatMap((cable): Run[] => {
        const [from, to] = [at(cable.from), at(cable.to)];
        if (!from || !to) return [];
        if (from.x === to.x) {
            const bend = from.x + from.w + 44;
            const [y1, y2] = [from.y + from.h * 0.75, to.y + to.h * 0.25];
            return [
                { cable, d: `M${from.x + from.w} ${y1}H${bend}V${y2}H${to.x + to.w}`, x: bend - 14, y: (y1 + y2) / 2 },
            ];
        }
        const y1 = slot(from, 'from', count(cable.from, 'from'));
        const y2 = slot(to, 'to', count(cable.to, 'to'));
        const [x1, x2] = [from.x + from.w, to.x];
        const bend = x1 + 24;
        const d = Math.abs(y1 - y2) < 2 ? `M${x1} ${y2}H${x2}` : `M${x1} ${y1}H${bend}V${y2}H${x2}`;
        return [{ cable, d, x: (Math.abs(y1 - y2) < 2 ? (x1 + x2) / 2 : (bend + x2) / 2) - 12, y: y2 }];
    });
    return { boxes, runs, height };
}
