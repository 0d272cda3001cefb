import type { Weights } from '@/types';
import { say } from '@/words';
import { useChoosing } from './useOffers';

const weighed: { key: keyof Weights; word: string }[] = [
    { key: 'capability', word: say('plan.capability-kept') },
    { key: 'parts', word: say('plan.parts') },
    { key: 'time', word: say('plan.minutes-and-trips') },
    { key: 'risk', word: say('plan.risk') },
];

/** What a person chooses by: how much each thing counts, and the reason for the one that is taken. */
export function Weighing() {
    const { weights, weigh, note, setNote } = useChoosing();
    return (
        <div className="mt-2 flex flex-wrap items-end gap-x-8 gap-y-2">
            <label className="min-w-56 flex-1">
                <span className="lab">{say('plan.your-reason-for-the-one-you')}</span>
                <input
                    className="h-11 w-full border-b-2 border-rule bg-panel px-2"
                    maxLength={300}
                    value={note}
                    onChange={(event) => setNote(event.target.value)}
                />
            </label>
            <details className="min-w-56">
                <summary className="fold font-lab text-small font-semibold">{say('plan.what-counts-for-you')}</summary>
                {weighed.map(({ key, word }) => (
                    <label key={key} className="flex min-h-11 items-center justify-between gap-3 text-small">
                        {word}
                        <input
                            type="range"
                            min={0}
                            max={10}
                            className="h-11 w-36 accent-[var(--copper)]"
                            value={weights[key]}
                            onChange={(event) => weigh({ ...weights, [key]: Number(event.target.value) })}
                        />
                    </label>
                ))}
            </details>
        </div>
    );
}
