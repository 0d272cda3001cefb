import type { PointInfo } from '@/types';

type Pair = [a: string, b: string];

/**
 * Where the probes stand: on what was chosen, else where the stage begins, else on a useful pair of this house. Both on
 * one point only where a clamp goes round it, or a person put them there.
 */
export function arrival(points: PointInfo[], chosen: Pair, start: Pair): Pair {
    const known = (id: string) => points.some((point) => point.id === id);
    const hot = points.find((point) => point.terminal !== null && /^R[ch]?$/i.test(point.terminal));
    const common = (away: string) =>
        points.find((point) => point.terminal === 'C' && point.id !== away) ??
        points.find((point) => point.id !== away);
    const a = [chosen[0], start[0]].find(known) ?? hot?.id ?? points[0]?.id ?? 'indoor.R';
    const b = [chosen[1], start[1]].find(known) ?? common(a)?.id ?? a;
    return a === b && !(chosen[0] === chosen[1] && known(a)) ? [a, common(a)?.id ?? b] : [a, b];
}
