import type { HandoverProps } from '@/types';
import { say } from '@/words';
import { ReadingTable } from './ReadingTable';

/** What the survey read, then every proof that was begun. */
export function Readings({ survey, proofs, none }: Pick<HandoverProps, 'survey' | 'proofs'> & { none: string | null }) {
    return (
        <>
            <h3 className="h-sec mb-1 mt-5">{say('handover.readings')}</h3>
            <ReadingTable title={say('handover.survey')} state={null} readings={survey} />
            {proofs.map((proof) => (
                <ReadingTable
                    key={proof.key}
                    title={`${proof.call}, ${proof.method.toLowerCase()}`}
                    state={proof.state}
                    readings={proof.readings}
                    signs={proof.signs}
                />
            ))}
            {none !== null && <p className="text-muted">{none}</p>}
        </>
    );
}
