import { usePage } from '@inertiajs/react';
import { Questions } from '@/features/survey/Questions';
import { Length } from '@/features/survey/Length';
import type { CableView, SurveyProps } from '@/types';
import type { Edits } from '@/lib/write/edits';
import { say } from '@/words';

const lies = ({ id, gauge, feet, run }: CableView) => ({ cable: id, gauge, feet, run });

const RUNS: { value: string; word: string }[] = [
    { value: 'loose', word: say('survey.run-loose') },
    { value: 'stapled', word: say('survey.run-stapled') },
    { value: 'buried', word: say('survey.run-buried') },
    { value: 'blocked', word: say('survey.run-blocked') },
];

/** How the cable lies: whether a new one can be pulled with it. Chosen again, it is not known. */
function Lies({ cable, closed, onKeep }: { cable: CableView; closed: boolean; onKeep: (run: string | null) => void }) {
    return (
        <div role="group" aria-label={say('survey.how-it-lies')} className="border-b border-hair py-1.5">
            <span className="text-small">{say('survey.how-it-lies')}</span>
            <span className="mt-1 flex flex-wrap gap-1.5">
                {RUNS.map(({ value, word }) => (
                    <button
                        key={value}
                        type="button"
                        className="chip"
                        aria-pressed={cable.run === value}
                        disabled={closed}
                        onClick={() => onKeep(cable.run === value ? null : value)}
                    >
                        {word}
                    </button>
                ))}
            </span>
        </div>
    );
}

/** What the house has: how long the cable is, and the questions about it. */
export function Equipment({ cable, edits, closed }: { cable: CableView | undefined; edits: Edits; closed: boolean }) {
    const { job, questions } = usePage<SurveyProps>().props;
    return (
        <section id="equipment" className="p-4" aria-label={say('survey.equipment')}>
            <h2 className="h-sec">{say('survey.equipment')}</h2>
            <p className="text-small text-muted">{job.equipmentTitle}</p>
            {cable && (
                <>
                    <Length
                        key={cable.id}
                        cable={cable}
                        closed={closed}
                        onKeep={(feet) => edits.send('set-cable', { ...lies(cable), feet })}
                    />
                    <Lies
                        cable={cable}
                        closed={closed}
                        onKeep={(run) => void edits.send('set-cable', { ...lies(cable), run })}
                    />
                </>
            )}
            <Questions questions={questions} edits={edits} closed={closed} />
        </section>
    );
}
