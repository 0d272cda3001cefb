import { useState } from 'react';
import { post, said } from './api';
import { reload } from '../reload';

/** A write of a small form: under way, what was wrong by field, and what came back. */
export function useSend<T = unknown>(address: string) {
    const [busy, setBusy] = useState(false);
    const [errors, setErrors] = useState<Record<string, string>>({});
    const send = async (body: object, then: 'reload' | 'stay' = 'reload'): Promise<T | null> => {
        setBusy(true);
        const answer = await post<T>(address, body);
        setErrors(answer.kind === 'ok' ? {} : answer.kind === 'invalid' ? answer.errors : { other: said(answer) });
        if (answer.kind === 'ok' && then === 'reload') await reload();
        setBusy(false);
        return answer.kind === 'ok' ? answer.data : null;
    };
    return { send, busy, errors, clear: () => setErrors({}) };
}
