import { useErrand } from '@/lib/write/errand';
import { Bad } from '@/ui/State';

/** A file that takes a moment to make: asked for, waited for with how far it is, and then it comes. */
export function Make({ url, word, ask = {} }: { url: string; word: string; ask?: Record<string, string> }) {
    const { begin, busy, far, bad } = useErrand<{ file: string }>(url);
    const make = async () => {
        const made = await begin(ask);
        if (made) window.location.assign(made.file);
    };
    return (
        <>
            <button className="btn btn--quiet" disabled={busy} aria-busy={busy} onClick={() => void make()}>
                {word}
                {far && (
                    <span role="status" className="text-small">
                        {far}
                    </span>
                )}
            </button>
            <Bad>{bad}</Bad>
        </>
    );
}
