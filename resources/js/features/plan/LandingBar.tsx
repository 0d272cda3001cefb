import { useState } from 'react';
import type { BoardRow, PlanView } from '@/types';
import { say } from '@/words';

/** Where the chosen conductor's two ends land, ties and the link. In hand mode a digit picks, a letter lands. */
export function LandingBar({
    plan,
    row,
    hand,
    onHand,
    onLand,
    onBoard,
    onTie,
    onUntie,
    onLink,
}: {
    plan: PlanView;
    row: BoardRow | null;
    hand: boolean;
    onHand: (on: boolean) => void;
    onLand: (screw: string | null) => void;
    onBoard: (screw: string | null) => void;
    onTie: (place: string, a: string, b: string) => void;
    onUntie: (label: string) => void;
    onLink: (isIn: boolean) => void;
}) {
    const { board } = plan;
    return (
        <div className="band px-5 py-1.5">
            <div className="flex min-h-[44px] flex-wrap items-center gap-x-2 gap-y-1">
                {row ? (
                    <>
                        <Ends
                            name={say('plan.lands-on', { number: row.name, colourWord: row.colourWord })}
                            screws={board.plate}
                            lands={row.lands}
                            onLand={onLand}
                        />
                        <Ends
                            name={say('plan.and-at-the-board-on')}
                            screws={row.screws}
                            lands={row.board}
                            onLand={onBoard}
                            splices={row.splices}
                        />
                    </>
                ) : (
                    <span className="text-small text-muted">{say('plan.touch-a-conductor-in-the-jacket')}</span>
                )}
            </div>
            <div className="flex flex-wrap items-center gap-x-3">
                <button className="link" aria-pressed={hand} onClick={() => onHand(!hand)}>
                    {hand ? say('plan.keys-land-conductors-digit-then-letter') : say('plan.land-by-keys')}{' '}
                    <span className="key ml-2">{hand ? say('plan.esc') : 'E'}</span>
                </button>
                {plan.ties.map((tie) => (
                    <button key={tie.label} className="link" onClick={() => onUntie(tie.label)}>
                        {say('plan.take-out-the-tie', { a: tie.a, b: tie.b })}
                    </button>
                ))}
                <TieForm plate={board.plate} boards={plan.boards} onTie={onTie} />
                {board.link && (
                    <button
                        className="ml-auto h-11 px-3 font-lab text-body font-semibold"
                        aria-pressed={board.link.in}
                        onClick={() => onLink(!board.link?.in)}
                    >
                        {say('plan.link', { a: board.link.a, b: board.link.b })}{' '}
                        <span className="underline underline-offset-4">
                            {board.link.in ? say('plan.in') : say('plan.out')}
                        </span>
                    </button>
                )}
            </div>
        </div>
    );
}

function Ends({
    name,
    screws,
    lands,
    onLand,
    splices = [],
}: {
    name: string;
    screws: string[];
    lands: string | null;
    onLand: (screw: string | null) => void;
    splices?: { id: string; name: string }[];
}) {
    return (
        <div role="group" aria-label={name} className="flex flex-wrap items-center gap-x-1">
            <span className="mr-2 font-lab text-body font-semibold">{name}</span>
            {screws.map((screw) => (
                <button
                    key={screw}
                    aria-pressed={lands === screw}
                    className="grid h-11 min-w-11 place-items-center"
                    onClick={() => onLand(screw)}
                >
                    <span className={`tag ${lands === screw ? 'tag--solid' : ''}`}>{screw}</span>
                </button>
            ))}
            <button
                aria-pressed={lands === null}
                className="h-11 px-2 font-lab font-semibold underline underline-offset-4 aria-pressed:text-copper-ink"
                onClick={() => onLand(null)}
            >
                {say('plan.cap')}
            </button>
            {splices.length > 0 && (
                <select
                    aria-label={say('plan.splice-to-an-outdoor-conductor')}
                    className="h-11 bg-transparent font-lab text-small"
                    value=""
                    onChange={(event) => event.target.value && onLand(`@${event.target.value}`)}
                >
                    <option value="">{say('plan.splice')}</option>
                    {splices.map((splice) => (
                        <option key={splice.id} value={splice.id}>
                            {say('plan.to-outdoor', { name: splice.name })}
                        </option>
                    ))}
                </select>
            )}
        </div>
    );
}

function TieForm({
    plate,
    boards,
    onTie,
}: {
    plate: string[];
    boards: PlanView['boards'];
    onTie: (place: string, a: string, b: string) => void;
}) {
    const [place, setPlace] = useState<string | null>(null);
    const [a, setA] = useState('');
    if (place === null) {
        return (
            <button className="link" onClick={() => setPlace('wall')}>
                {say('plan.add-a-tie')}
            </button>
        );
    }
    const choices = boards.find((board) => board.place === place)?.screws ?? plate;
    return (
        <span role="group" aria-label={say('plan.add-a-tie-2')} className="flex flex-wrap items-center gap-1">
            <select
                aria-label={say('plan.where')}
                className="h-11 bg-transparent font-lab text-small"
                value={place}
                onChange={(event) => {
                    setPlace(event.target.value);
                    setA('');
                }}
            >
                <option value="wall">{say('plan.at-the-plate')}</option>
                {boards.map((board) => (
                    <option key={board.place} value={board.place}>
                        {boards.length > 1 ? say('plan.at-the-place', { place: board.name }) : say('plan.at-the-board')}
                    </option>
                ))}
            </select>
            <select
                aria-label={say('plan.from')}
                className="h-11 bg-transparent font-lab text-small"
                value={a}
                onChange={(event) => setA(event.target.value)}
            >
                <option value="">{say('plan.from-2')}</option>
                {choices.map((screw) => (
                    <option key={screw}>{screw}</option>
                ))}
            </select>
            <select
                aria-label={say('plan.to')}
                className="h-11 bg-transparent font-lab text-small"
                value=""
                disabled={a === ''}
                onChange={(event) => {
                    onTie(place, a, event.target.value);
                    setA('');
                    setPlace(null);
                }}
            >
                <option value="">{say('plan.to-2')}</option>
                {choices
                    .filter((screw) => screw !== a)
                    .map((screw) => (
                        <option key={screw}>{screw}</option>
                    ))}
            </select>
            <button className="link px-2" onClick={() => setPlace(null)}>
                {say('plan.leave-it')}
            </button>
        </span>
    );
}
