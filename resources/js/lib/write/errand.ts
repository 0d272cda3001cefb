import { useRef, useState } from 'react';
import { newId, run, said } from '@/lib/write/api';
import { say } from '@/words';

/**
 * Long work that is asked for on the screen: under an id that stays until something came back of it, so that a try
 * after a lost answer is the same work; with how far it is in words.
 */
export function useErrand<T>(url: string) {
    const [so, setSo] = useState<{ done: number; of: number } | null>(null);
    const [bad, setBad] = useState('');
    const id = useRef(newId());
    const begin = async (ask: object = {}): Promise<T | null> => {
        setBad('');
        setSo({ done: 0, of: 0 });
        const answer = await run<T>(url, { id: id.current, ...ask }, (done, of) => setSo({ done, of }));
        setSo(null);
        if (answer.kind !== 'ok') {
            setBad(said(answer));
            return null;
        }
        id.current = newId();
        return answer.data;
    };
    const far = so && (so.of > 0 ? say('shared.so-far', so) : say('shared.being-made'));
    return { begin, busy: so !== null, far, bad };
}
