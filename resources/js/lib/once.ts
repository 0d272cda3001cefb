import { useCallback, useRef, useState } from 'react';
import { newId, post, type Answer } from '@/lib/api';
import { reload } from '@/lib/reload';

/**
 * Posts under an id made on this device. The very same body keeps its id until it is known to be written, so that
 * sending it again after a lost answer writes nothing twice; a changed body is another write, with another id.
 *
 * @param beside fields that do not make it another write, as the version that an edit rests on
 */
export function useOnce<T>(): (url: string, body: object, beside?: object) => Promise<Answer<T>> {
    const pending = useRef<{ key: string; id: string } | null>(null);
    return useCallback(async (url, body, beside = {}) => {
        const key = url + JSON.stringify(body);
        if (pending.current?.key !== key) pending.current = { key, id: newId() };
        const { id } = pending.current;
        const answer = await post<T>(url, { ...body, ...beside, id });
        if (answer.kind === 'ok' && pending.current?.id === id) pending.current = null;
        return answer;
    }, []);
}

/** Appends to a job's records: reading, sign, setting, move, step, power. The page is read again after each. */
export function useRecord<T = unknown>(jobId: string) {
    const once = useOnce<T>();
    const [answer, setAnswer] = useState<Answer<T> | null>(null);
    const record = async (path: string, body: object, onWritten?: () => void): Promise<Answer<T>> => {
        const result = await once(`/jobs/${jobId}/${path}`, body);
        setAnswer(result);
        if (result.kind === 'ok') {
            onWritten?.();
            await reload();
        }
        return result;
    };
    return { record, answer, clear: () => setAnswer(null) };
}
