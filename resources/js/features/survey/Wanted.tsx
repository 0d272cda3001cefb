import { ToRead } from '@/features/meter-dock/ToRead';
import type { Reading, SurveyProps } from '@/types';
import { say } from '@/words';

/** The readings that a survey takes. */
export function Wanted({ wanted, readings }: { wanted: SurveyProps['wanted']; readings: Reading[] }) {
    return (
        <section
            id="readings"
            aria-label={say('survey.readings-to-take')}
            className="mt-6 border-t-2 border-ink px-5 py-3"
        >
            <h2 className="h-sec">{say('survey.readings-power-on-nothing-calling')}</h2>
            <ToRead rows={wanted.map((row) => ({ ...row, note: row.why }))} mode="V" readings={readings} />
        </section>
    );
}
