import { useEffect, useRef } from 'react';
import { get } from './api';
import { reload } from '../reload';
import { url } from '@/lib/url';

/**
 * Another device on the same job: asks every second and a half whether anything is newer than this page, and then
 * reads it again.
 */
export function usePulse(jobId: string, mark: string): void {
    const shown = useRef(mark);
    useEffect(() => {
        shown.current = mark;
    }, [mark]);
    useEffect(() => {
        let asking = false;
        const timer = setInterval(async () => {
            if (asking || document.visibilityState !== 'visible') return;
            asking = true;
            const before = shown.current;
            const answer = await get<{ mark: string }>(url('job.pulse', { job: jobId }));
            if (answer.kind === 'ok' && answer.data.mark !== shown.current && shown.current === before) await reload();
            asking = false;
        }, 1500);
        return () => clearInterval(timer);
    }, [jobId]);
}
