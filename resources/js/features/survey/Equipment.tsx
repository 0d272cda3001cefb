import { usePage } from '@inertiajs/react';
import { Questions } from '@/features/survey/Questions';
import { Length } from '@/features/survey/Length';
import type { CableView, SurveyProps } from '@/types';
import type { Edits } from '@/lib/edits';
import { say } from '@/words';

/** What the house has: how long the cable is, and the questions about it. */
export function Equipment({ cable, edits, closed }: { cable: CableView | undefined; edits: Edits; closed: boolean }) {
    const { job, questions } = usePage<SurveyProps>().props;
    return (
        <section id="equipment" className="p-4" aria-label={say('survey.equipment')}>
            <h2 className="h-sec">{say('survey.equipment')}</h2>
            <p className="text-small text-muted">{job.equipmentTitle}</p>
            {cable && (
                <Length
                    key={cable.id}
                    cable={cable}
                    closed={closed}
                    onKeep={(feet) => edits.send('set-cable', { cable: cable.id, gauge: cable.gauge, feet })}
                />
            )}
            <Questions questions={questions} edits={edits} closed={closed} />
        </section>
    );
}
