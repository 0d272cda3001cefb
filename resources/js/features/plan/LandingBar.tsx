import type { Board, BoardRow } from '@/types';

/** Where the chosen conductor lands: every screw of the plate, or a cap. */
export function LandingBar({ board, row, onLand, onLink }: { board: Board; row: BoardRow | null; onLand: (screw: string | null) => void; onLink: (isIn: boolean) => void }) {
    return (
        <div className="band flex min-h-[56px] flex-wrap items-center gap-x-2 gap-y-1 px-5 py-1.5">
            {row ? (
                <>
                    <span className="mr-2 font-lab text-[15px] font-semibold">
                        {row.number} {row.colour} lands on
                    </span>
                    {board.plate.map((screw) => (
                        <button key={screw} aria-pressed={row.lands === screw} className="grid h-11 min-w-12 place-items-center" onClick={() => onLand(screw)}>
                            <span className={`tag ${row.lands === screw ? 'tag--solid' : ''}`}>{screw}</span>
                        </button>
                    ))}
                    <button aria-pressed={row.lands === null} className="h-11 px-3 font-lab font-semibold underline underline-offset-4 aria-pressed:text-copper-ink" onClick={() => onLand(null)}>
                        cap
                    </button>
                </>
            ) : (
                <span className="text-[14px] text-muted">Touch a conductor in the jacket, or J and K, to land it elsewhere. Touch a tag to put a probe on it.</span>
            )}
            {board.link && (
                <button className="ml-auto h-11 px-3 font-lab text-[15px] font-semibold" aria-pressed={board.link.in} onClick={() => onLink(!board.link?.in)}>
                    {board.link.a}–{board.link.b} link <span className="underline underline-offset-4">{board.link.in ? 'in' : 'out'}</span>
                </button>
            )}
        </div>
    );
}
