import { useEffect, useState } from 'react';
import { get, said } from '@/lib/write/api';
import { url } from '@/lib/url';
import type { CoverageAnswer } from '@/types';

/**
 * What the proofs are worth, asked again when the records that change it have come to rest. The server works a second
 * at a time: until it is through, what is there is how far it has come.
 */
export function useCoverage(jobId: string, marks: string): { answer: CoverageAnswer | null; problem: string | null } {
    const [answer, setAnswer] = useState<CoverageAnswer | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    useEffect(() => {
        let current = true;
        const ask = async (): Promise<void> => {
            const told = await get<CoverageAnswer>(url('job.coverage', { job: jobId }));
            if (!current) return;
            setProblem(told.kind === 'ok' ? null : said(told));
            if (told.kind !== 'ok') return;
            // While it is worked out anew the figure before stays.
            setAnswer((before) => (told.data.coverage === null && before?.coverage ? before : told.data));
            if (told.data.coverage === null) await ask();
        };
        const timer = setTimeout(() => void ask(), 1_200);
        return () => {
            current = false;
            clearTimeout(timer);
        };
    }, [jobId, marks]);
    return { answer, problem };
}
