import { useEffect } from 'react';
import { get } from './api';
import { reload } from './reload';

/** Another device on the same job: asks every second and a half whether anything is new, and then reads the page again. */
export function usePulse(jobId: string): void {
    useEffect(() => {
        let mark: string | null = null;
        let asking = false;
        const timer = setInterval(async () => {
            if (asking || document.visibilityState !== 'visible') return;
            asking = true;
            const answer = await get<{ mark: string }>(`/jobs/${jobId}/pulse`);
            asking = false;
            if (answer.kind !== 'ok') return;
            if (mark !== null && mark !== answer.data.mark) await reload();
            mark = answer.data.mark;
        }, 1500);
        return () => clearInterval(timer);
    }, [jobId]);
}
