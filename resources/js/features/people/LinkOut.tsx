import { useState } from 'react';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';

export interface MadeLink {
    url: string;
    mailed: boolean;
}

/** A link that was just made: said this once, to be handed over. */
export function LinkOut({ link, to, onDone }: { link: MadeLink; to: string; onDone: () => void }) {
    const [copied, setCopied] = useState(false);
    const copy = () =>
        navigator.clipboard?.writeText(link.url).then(
            () => setCopied(true),
            () => setCopied(false),
        );
    return (
        <div role="status" className="mt-3 border-2 border-copper p-4">
            <b className="font-lab text-head font-semibold">{say('people.link-for', { to })}</b>
            <p className="mt-1">{link.mailed ? say('people.link-mailed') : say('people.link-hand-over')}</p>
            <label className="field mt-2 block">
                <span className="lab">{say('people.link')}</span>
                <input className="mono" readOnly value={link.url} onFocus={(event) => event.target.select()} />
            </label>
            <div className="mt-3 flex flex-wrap justify-end gap-3">
                <button className="btn btn--quiet" onClick={() => void copy()}>
                    {copied ? (
                        <>
                            <Glyph name="pass" /> {say('people.copied')}
                        </>
                    ) : (
                        say('people.copy')
                    )}
                </button>
                <button className="btn" onClick={onDone}>
                    {say('people.done')}
                </button>
            </div>
        </div>
    );
}
