import { useRef, useState } from 'react';
import { newId, run, said } from '@/lib/api';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** A file that takes a moment to make: asked for, waited for with how far it is, and then it comes. */
export function Make({ url, word, ask = {} }: { url: string; word: string; ask?: Record<string, string> }) {
    const [at, setAt] = useState<{ done: number; of: number } | null>(null);
    const [bad, setBad] = useState('');
    // A try that nothing came back of is the same work: it is not begun a second time.
    const id = useRef(newId());
    const make = async () => {
        setBad('');
        setAt({ done: 0, of: 0 });
        const answer = await run<{ file: string }>(url, { id: id.current, ...ask }, (done, of) => setAt({ done, of }));
        setAt(null);
        if (answer.kind !== 'ok') return setBad(said(answer));
        id.current = newId();
        window.location.assign(answer.data.file);
    };
    return (
        <>
            <button
                className="btn btn--quiet"
                disabled={at !== null}
                aria-busy={at !== null}
                onClick={() => void make()}
            >
                {word}
                {at !== null && (
                    <span role="status" className="text-small">
                        {at.of > 0 ? say('shared.so-far', { done: at.done, of: at.of }) : say('shared.being-made')}
                    </span>
                )}
            </button>
            <Bad>{bad}</Bad>
        </>
    );
}
