import { ulid } from 'ulid';
import { url as route } from '@/lib/url';
import { say } from '@/words';

/** What a write came back with. Nothing typed is thrown away on any of these but `ok`. */
export type Answer<T> =
    | { kind: 'ok'; data: T }
    | { kind: 'invalid'; errors: Record<string, string> }
    | { kind: 'stale'; message: string; changes: { what: string; by: string }[] }
    /** Not written: without a signal, or for a reason that passes (`later`), as a sign-in or a busy server. */
    | { kind: 'unsent'; message: string; network?: boolean; later?: boolean };

interface Problem {
    message?: string;
    errors?: Record<string, string[]>;
    theirs?: { changes?: { what: string; by: string }[] };
}

function token(): string {
    const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
    return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : '';
}

/** Posts JSON to the application and sorts the answer. */
export async function post<T>(url: string, body: object): Promise<Answer<T>> {
    return sorted(() =>
        fetch(url, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json', ...heads() },
            body: JSON.stringify(body),
        }),
    );
}

/** Reads JSON that is computed on demand. */
export async function get<T>(url: string): Promise<Answer<T>> {
    return sorted(() => fetch(url, { headers: heads() }));
}

/** Posts files with fields, and sorts the answer in the same way. */
export async function upload<T>(url: string, form: FormData, onProgress?: Progress): Promise<Answer<T>> {
    return sorted(() => fetch(url, { method: 'POST', headers: heads(), body: form }), onProgress);
}

/** How far long work is: so many of so many parts; of none while that is not known. */
export type Progress = (done: number, of: number) => void;

/** Asks for long work and waits for what it brings. */
export async function run<T>(url: string, body: object, onProgress?: Progress): Promise<Answer<T>> {
    return sorted(
        () =>
            fetch(url, {
                method: 'POST',
                headers: { 'Content-Type': 'application/json', ...heads() },
                body: JSON.stringify(body),
            }),
        onProgress,
    );
}

/** Long work goes on behind the request: it is asked for until it is through, by and by less often. */
async function through(first: Response, onProgress?: Progress): Promise<Response> {
    let response = first;
    for (let pause = 150; response.status === 202; pause = Math.min(1000, pause * 1.4)) {
        const { errand, done, of } = (await response.json()) as { errand: string; done: number; of: number };
        onProgress?.(done, of);
        await new Promise((resolve) => setTimeout(resolve, pause));
        response = await fetch(route('errand', { errand }), { headers: heads() });
    }
    return response;
}

const heads = () => ({ Accept: 'application/json', 'X-Requested-With': 'XMLHttpRequest', 'X-XSRF-TOKEN': token() });

async function sorted<T>(send: () => Promise<Response>, onProgress?: Progress): Promise<Answer<T>> {
    let response: Response;
    try {
        response = await through(await send(), onProgress);
    } catch {
        return { kind: 'unsent', message: say('shared.no-signal-not-sent-it-stays'), network: true, later: true };
    }
    const data = (await response.json().catch(() => null)) as Problem | null;
    // A sign-in page of somebody's Wi-Fi answers 200 as well: what is no JSON is none of ours, and nothing was written.
    if (response.ok && (data === null || typeof data !== 'object'))
        return { kind: 'unsent', message: say('shared.answer-is-not-ours'), later: true };
    if (response.ok) return { kind: 'ok', data: data as T };
    return refusal(response.status, data ?? {});
}

/** Statuses that pass: signed out, too many at once, a server or a proxy that is busy or being changed. */
const passes = (status: number) => [401, 408, 419, 425, 429].includes(status) || status >= 500;

function refusal(status: number, data: Problem): Exclude<Answer<never>, { kind: 'ok' }> {
    if (status === 409)
        return {
            kind: 'stale',
            message: data.message ?? say('shared.somebody-else-changed-this-job'),
            changes: data.theirs?.changes ?? [],
        };
    if (status === 413) return { kind: 'invalid', errors: { photo: say('shared.it-is-larger-than-the-server') } };
    // A limit of ours says at its field how long to wait.
    if (status === 422 || (status === 429 && data.errors)) {
        return {
            kind: 'invalid',
            errors: Object.fromEntries(
                Object.entries(data.errors ?? {}).map(([field, messages]) => [field, messages.join(' ')]),
            ),
        };
    }
    const message =
        status === 403
            ? say('shared.this-job-is-closed-or-belongs')
            : status === 419 || status === 401
              ? say('shared.you-are-signed-out-sign-in')
              : status === 503 && data.message
                ? data.message
                : say('shared.the-server-could-not-take-it');
    return { kind: 'unsent', message, later: passes(status) };
}

/** An id made on this device: the same write sent twice is written once. */
export const newId = (): string => ulid();

/** All messages of an answer that is not ok, in one line. */
export function said<T>(answer: Answer<T>): string {
    if (answer.kind === 'ok') return '';
    if (answer.kind === 'invalid') return Object.values(answer.errors).join(' ');
    if (answer.kind === 'stale')
        return `${answer.message} ${answer.changes.map((change) => `${change.by} ${change.what}.`).join(' ')}`;
    return answer.message;
}
