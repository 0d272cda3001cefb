import { useCallback, useEffect, useRef, useState } from 'react';
import type { Answer } from '@/lib/write/api';
import { useOnce } from '@/lib/write/once';
import { reload } from '@/lib/reload';

export interface Edits {
    /** Sends one edit of the shared document on the version this page shows. */
    send: (op: string, fields?: object) => Promise<Answer<{ version: number }>>;
    problem: Answer<unknown> | null;
    clear: () => void;
    working: boolean;
}

/**
 * Edits of a job's survey or plan. The page is read again after each; a refused or unsent edit stays as a problem
 * to be shown, and sending the very same edit again after a lost answer changes nothing twice.
 */
export function useEdits(url: string, version: number): Edits {
    const [problem, setProblem] = useState<Answer<unknown> | null>(null);
    const [working, setWorking] = useState(false);
    const post = useOnce<{ version: number }>();
    const latest = useRef(version);
    useEffect(() => {
        latest.current = Math.max(latest.current, version);
    }, [version]);

    const line = useRef<Promise<unknown>>(Promise.resolve());

    const once = useCallback(
        async (op: string, fields: object) => {
            setWorking(true);
            const answer = await post(url, { ...fields, op }, { version: latest.current });
            setWorking(false);
            setProblem(answer.kind === 'ok' ? null : answer);
            if (answer.kind === 'ok') latest.current = answer.data.version;
            return answer;
        },
        [post, url],
    );

    // One after the other: an edit made while another is on its way rests on that one's version.
    const send = useCallback(
        async (op: string, fields: object = {}) => {
            const turn = line.current.then(() => once(op, fields));
            line.current = turn;
            const answer = await turn;
            if (answer.kind === 'ok' || answer.kind === 'stale') await reload();
            return answer;
        },
        [once],
    );

    return { send, problem, clear: () => setProblem(null), working };
}
