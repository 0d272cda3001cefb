import { say } from '@/words';
/** Jumps to the parts of the survey, on a phone. */
export function Parts() {
    return (
        <nav
            aria-label={say('survey.parts-of-the-survey')}
            className="flex flex-none gap-1.5 overflow-x-auto px-4 pb-2 md:hidden"
        >
            {[
                ['conductors', say('survey.conductors')],
                ['equipment', say('survey.equipment')],
                ['readings', say('survey.readings')],
                ['photos', say('survey.photographs')],
                ['screening', say('survey.screening')],
            ].map(([id, word]) => (
                <a key={id} href={`#${id}`} className="chip">
                    {word}
                </a>
            ))}
        </nav>
    );
}
