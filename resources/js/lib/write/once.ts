import { usePage } from '@inertiajs/react';
import { useCallback, useRef, useState } from 'react';
import { newId, post, type Answer } from '@/lib/write/api';
import { keep } from '@/lib/write/outbox';
import { reload } from '@/lib/reload';
import { url, type JobRoute } from '@/lib/url';
import { say } from '@/words';

/**
 * Posts under an id made on this device. The very same body keeps its id until it is known to be written, so that
 * sending it again after a lost answer writes nothing twice; a changed body is another write, with another id.
 *
 * @param beside fields that do not make it another write, as the version that an edit rests on
 */
export function useOnce<T>(): (
    url: string,
    body: object,
    beside?: object,
    onUnsent?: (id: string) => Promise<boolean>,
) => Promise<Answer<T>> {
    const pending = useRef<{ key: string; id: string } | null>(null);
    return useCallback(async (url, body, beside = {}, onUnsent) => {
        const key = url + JSON.stringify(body);
        if (pending.current?.key !== key) pending.current = { key, id: newId() };
        const { id } = pending.current;
        const answer = await post<T>(url, { ...body, ...beside, id });
        if (answer.kind === 'ok' && pending.current?.id === id) pending.current = null;
        if (answer.kind === 'unsent' && answer.later && onUnsent) {
            // Kept under its id, the next write is another; not kept, the same body is sent again under the same id.
            if (await onUnsent(id)) pending.current = null;
        }
        return answer;
    }, []);
}

/** Appends to a job's records: reading, sign, setting, move, step, power. The page is read again after each. */
export function useRecord<T = unknown>(jobId: string) {
    const once = useOnce<T>();
    // What the page knows of the job's order: a row that is sent later is held against the house as it was then.
    const knew = Number(usePage<{ mark?: string }>().props.mark?.split('.')[1] ?? NaN);
    const [answer, setAnswer] = useState<Answer<T> | null>(null);
    const record = async (path: JobRoute, body: object, onWritten?: (data: T | null) => void): Promise<Answer<T>> => {
        const to = url(`job.${path}`, { job: jobId });
        // A reading or a sign is kept on the device and sent later; what changes the state of power or step is not.
        let held = false;
        const at = Date.now();
        const result = await once(
            to,
            body,
            {},
            path === 'readings' || path === 'signs'
                ? async (id) => {
                      held = await keep({
                          url: to,
                          body: { ...body, id },
                          what: path === 'readings' ? say('shared.a-reading') : say('shared.what-was-seen'),
                          at,
                          knew: Number.isNaN(knew) ? null : knew,
                      });
                      return held;
                  }
                : undefined,
        );
        if (held) {
            setAnswer(null);
            onWritten?.(null);
            return result;
        }
        setAnswer(result);
        if (result.kind === 'ok') {
            onWritten?.(result.data);
            await reload();
        }
        return result;
    };
    return { record, answer, clear: () => setAnswer(null) };
}
