import type { Edits } from '@/lib/write/edits';
import { rounded, shown, unitOf, useUnits } from '@/lib/units';
import type { SurveyProps } from '@/types';
import { State } from '@/ui/State';
import { say } from '@/words';

/**
 * What the answers, the old plate's letters and the model's digits make likely: suggestions, taken by a tap, never
 * facts.
 */
export function Suggestions({
    match,
    plate,
    digits,
    questions,
    edits,
    closed,
}: Pick<SurveyProps, 'match' | 'plate' | 'digits' | 'questions'> & { edits: Edits; closed: boolean }) {
    const units = useUnits();
    const value = (key: string) => questions.find((question) => question.key === key)?.value ?? null;
    const differs = match.id !== null && match.id !== match.current;
    const unknown = match.id === null && match.open.length === 0;
    const letters = plate.filter((suggestion) =>
        Object.keys(suggestion.answers).length === 0
            ? match.open.length > 0
            : Object.entries(suggestion.answers).some(([key, answer]) => value(key) !== answer),
    );
    const tons = digits.filter((digit) => value('outdoorTons') !== digit.tons);
    if (!differs && !unknown && letters.length === 0 && tons.length === 0) return null;
    const answer = async (answers: Record<string, string | number>) => {
        for (const [key, given] of Object.entries(answers)) await edits.send('answer', { key, value: given });
    };
    return (
        <section aria-label={say('survey.suggestions')} className="border-b border-hair bg-panel px-4 py-2.5">
            <h2 className="lab">{say('survey.suggestions-never-facts-the-equipment-decides')}</h2>
            {differs && (
                <div className="mt-1.5">
                    <State glyph="guess" tone="copper">
                        {say('survey.by-the-answers', { title: match.title ?? '' })}
                    </State>
                    <p className="text-note text-muted">{match.why.join('; ')}</p>
                    {!closed && (
                        <button
                            className="btn btn--small btn--go mt-1.5"
                            onClick={() => void edits.send('set-archetype', { archetype: match.id })}
                        >
                            {say('survey.use-this-equipment')}
                        </button>
                    )}
                </div>
            )}
            {unknown && <p className="mt-1.5 text-small">{match.why.join('; ')}.</p>}
            {letters.map((suggestion) => (
                <div key={suggestion.title} className="mt-1.5 border-t border-hair pt-1.5">
                    <State glyph="guess" tone="copper">
                        {suggestion.title}
                    </State>
                    <p className="text-note text-muted">
                        {say('survey.from', { because: suggestion.because, check: suggestion.check })}
                    </p>
                    {!closed && Object.keys(suggestion.answers).length > 0 && (
                        <button className="link" onClick={() => void answer(suggestion.answers)}>
                            {say('survey.i-looked-it-is-so')}
                        </button>
                    )}
                </div>
            ))}
            {tons.map((digit) => (
                <div key={digit.digits} className="mt-1.5 border-t border-hair pt-1.5">
                    <State glyph="guess" tone="copper">
                        {say('survey.in-the-model-number', {
                            digits: digit.digits,
                            capacity: `${rounded(shown(digit.tons, 'tons', units))} ${unitOf('tons', units)}`,
                        })}
                    </State>
                    <p className="text-note text-muted">{say('survey.a-reading-of-digits-the-plate')}</p>
                    {!closed && (
                        <button className="link" onClick={() => void answer({ outdoorTons: digit.tons })}>
                            {say('survey.the-plate-says-so')}
                        </button>
                    )}
                </div>
            ))}
        </section>
    );
}
