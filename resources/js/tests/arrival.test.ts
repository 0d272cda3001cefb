import { expect, it } from 'vitest';
import { arrival } from '@/lib/arrival';
import type { PointInfo } from '@/types';

const point = (id: string): PointInfo => ({
    id,
    label: id,
    place: id.split('.')[0] ?? '',
    placeLabel: '',
    terminal: id.split('.')[1] ?? null,
    conductor: null,
    group: 'screw',
});
const panel = ['zone-panel.Y', 'zone-panel.R', 'zone-panel.C', 'indoor.RH', 'indoor.W'].map(point);

it.each([
    ['what was chosen', ['zone-panel.Y', 'zone-panel.C'], ['indoor.R', 'indoor.C'], ['zone-panel.Y', 'zone-panel.C']],
    [
        'a house without the usual screws',
        ['indoor.R', 'indoor.C'],
        ['indoor.R', 'indoor.C'],
        ['zone-panel.R', 'zone-panel.C'],
    ],
    [
        'a point that went with its plate',
        ['wall.C', 'zone-panel.C'],
        ['zone-panel.C', 'indoor.C'],
        ['zone-panel.C', 'indoor.RH'],
    ],
    ['a clamp round one conductor', ['indoor.W', 'indoor.W'], ['indoor.R', 'indoor.C'], ['indoor.W', 'indoor.W']],
] as const)('stands on a useful pair: %s', (_, chosen, start, pair) => {
    const [a, b] = arrival(panel, [...chosen], [...start]);
    expect(a).toBe(pair[0]);
    if (pair[1] === 'indoor.RH') expect(b).not.toBe(a);
    else expect(b).toBe(pair[1]);
});
