import { clsx } from 'clsx';
import { useKeys } from '@/lib/hooks';
import type { CableView } from '@/types';
import { keyed } from '@/ui/marks';
import { rich, say } from '@/words';
import { EntryField } from './EntryField';
import { NextWords } from './NextWords';
import { OnTheWay } from './OnTheWay';
import { Understood } from './Understood';
import { EntryContext, useEntry, useEntryLine, type EntryProps } from './useEntry';

/** One line for one conductor: typed, understood at once, kept with Enter. Up recalls the last line. */
export function EntryLine(props: EntryProps) {
    const entry = useEntry(props);
    const { changing, line, understood } = entry;
    useKeys({ n: () => entry.field.current?.focus() });
    return (
        <EntryContext value={entry}>
            <form
                className="band px-5 pb-3 pt-2"
                onSubmit={(event) => {
                    event.preventDefault();
                    void entry.keep();
                }}
            >
                <div className="flex flex-wrap items-center justify-between gap-x-6">
                    <EntryLabel />
                    <Cables cables={props.cables} cable={props.cable} onCable={props.onCable} />
                </div>
                <div
                    className={clsx(
                        'mt-1 grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3.5 gap-y-1.5',
                        'md:grid-cols-[230px_1fr_auto]',
                    )}
                >
                    <EntryField />
                    <Understood />
                    <button
                        className={`btn ${understood?.complete && line !== '' ? 'btn--go' : 'btn--off'}`}
                        type="submit"
                    >
                        {changing ? say('survey.change') : say('survey.add')}{' '}
                        <span className="key max-md:hidden!">{say('survey.enter')}</span>
                    </button>
                </div>
                <NextWords />
                <OnTheWay />
            </form>
        </EntryContext>
    );
}

function EntryLabel() {
    const { changing, cable } = useEntryLine();
    return (
        <label className="lab" htmlFor="entry">
            {changing ? say('survey.change-conductor', { number: changing.number }) : say('survey.type-a-conductor')}
            <span className="max-md:hidden">
                {cable.from === 'wall'
                    ? rich('survey.color-wall-board-then-traced-color', { k: keyed })
                    : rich('survey.color-board-outdoor-then-traced-color', { k: keyed })}
            </span>
        </label>
    );
}

function Cables({ cables, cable, onCable }: { cables: CableView[]; cable: CableView; onCable: (id: string) => void }) {
    return (
        <div role="group" aria-label={say('survey.cable')} className="flex">
            {cables.map((item) => (
                <button
                    key={item.id}
                    type="button"
                    aria-pressed={item.id === cable.id}
                    className={clsx(
                        'min-h-11 px-3 font-lab text-small font-semibold text-muted aria-pressed:text-ink',
                        'aria-pressed:shadow-[inset_0_-3px_0_var(--copper)]',
                    )}
                    onClick={() => onCable(item.id)}
                >
                    {say('survey.cable-with', { id: item.id, to: item.toLabel, count: item.conductors.length })}
                </button>
            ))}
        </div>
    );
}
