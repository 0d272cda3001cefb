import { useEffect, useState } from 'react';
import { post, said } from '@/lib/write/api';
import { url } from '@/lib/url';
import type { Expectation, Mode } from '@/types';
import { say } from '@/words';

/** A pair of points, and the house's state in which they are read. */
export interface Asked {
    jobId: string;
    stage: string;
    step: string | null;
    call: string | null;
    mode: Mode;
    a: string;
    b: string;
}

const noSignal = say('meter.no-signal-what-to-expect-comes');

/** What the circuit expects between two points, asked again whenever anything of the question changes. */
export function useExpectation(
    asked: Asked & {
        /** Anything else that changes the answer: the document's version, the power flag. */ state: string;
    },
): { expected: Expectation | null; problem: string } {
    const key = JSON.stringify(asked);
    const [answer, setAnswer] = useState<{ key: string; expected: Expectation | null; problem: string }>({
        key: '',
        expected: null,
        problem: '',
    });

    useEffect(() => {
        let current = true;
        const timer = setTimeout(async () => {
            const { jobId, stage, step, call, mode, a, b } = JSON.parse(key) as Asked;
            const result = await post<Expectation>(url('job.expect', { job: jobId }), {
                stage,
                step,
                call,
                mode,
                a,
                b,
            });
            if (current)
                setAnswer({
                    key,
                    expected: result.kind === 'ok' ? result.data : null,
                    problem: result.kind === 'unsent' && result.network ? noSignal : said(result),
                });
        }, 60);
        return () => {
            current = false;
            clearTimeout(timer);
        };
    }, [key]);

    return answer.key === key ? answer : { expected: null, problem: '' };
}
