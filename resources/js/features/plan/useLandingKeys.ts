import { useKeys } from '@/lib/hooks';
import type { PlanView } from '@/types';

/** The plan by keys: rows by J and K, calls by Shift and a digit; in hand mode conductors land by digit and letter. */
export function useLandingKeys({
    plan,
    closed,
    selected,
    hand,
    onSelect,
    onHand,
    onCall,
    onLand,
}: {
    plan: PlanView | null;
    closed: boolean;
    selected: string | null;
    hand: boolean;
    onSelect: (conductor: string | null) => void;
    onHand: (on: boolean) => void;
    onCall: (call: string) => void;
    onLand: (screw: string | null) => void;
}): void {
    const rows = plan?.board.rows ?? [];
    const step = (by: number) => {
        const index = rows.findIndex((row) => row.id === selected);
        onSelect(rows[Math.max(0, Math.min(rows.length - 1, index < 0 ? 0 : index + by))]?.id ?? null);
    };
    useKeys({
        j: () => step(1),
        k: () => step(-1),
        e: plan && !closed ? () => onHand(true) : undefined,
        Escape: () => onSelect(null),
        ...Object.fromEntries(
            (plan?.simulations ?? []).map((item, index) => [`shift+${index + 1}`, () => onCall(item.call)]),
        ),
    });

    // In hand mode a digit picks a conductor, a letter lands it on the next screw that begins with it, 0 caps it.
    const letter = (key: string) => () => {
        const fits = (plan?.board.plate ?? []).filter((screw) => screw.toLowerCase().startsWith(key));
        const now = rows.find((row) => row.id === selected)?.lands ?? '';
        const next = fits[(fits.indexOf(now) + 1) % Math.max(1, fits.length)];
        if (next !== undefined) onLand(next);
    };
    const letters = [...new Set((plan?.board.plate ?? []).map((screw) => screw[0]?.toLowerCase() ?? ''))];
    useKeys(
        hand
            ? {
                  ...Object.fromEntries(
                      Array.from({ length: 9 }, (_, index) => [
                          String(index + 1),
                          () => onSelect(rows[index]?.id ?? selected),
                      ]),
                  ),
                  ...Object.fromEntries(
                      letters.flatMap((key) => [
                          [key, letter(key)],
                          [key.toUpperCase(), letter(key)],
                      ]),
                  ),
                  '0': () => onLand(null),
                  Escape: () => onHand(false),
              }
            : {},
        true,
    );
}
