import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { newId, post, said } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import type { TraceProps } from '@/types';

/** Writes rows of the trace; the page is read again after each. */
export function useTrace() {
    const { job } = usePage<TraceProps>().props;
    const { record, answer, clear } = useRecord(job.id);
    const [problem, setProblem] = useState<string | null>(null);
    const row = async (kind: string, body: object, call?: string) => {
        setProblem(null);
        return record('trace-rows', { kind, body, ...(call === undefined ? {} : { call }) });
    };
    /** What has to be done first, then the event itself. */
    const events = async (all: Record<string, unknown>[]) => {
        for (const event of all) {
            const result = await row('event', { event });
            if (result.kind !== 'ok') return;
        }
    };
    const setUp = async (setup: Record<string, unknown>) => {
        clear();
        const result = await post(url('job.trace-setup', { job: job.id }), { id: newId(), setup });
        setProblem(result.kind === 'ok' ? null : said(result));
        if (result.kind === 'ok') await reload();
    };
    const refused = answer && answer.kind !== 'ok' ? said(answer) : null;
    return { row, events, setUp, problem: problem ?? refused, closed: job.closed };
}
