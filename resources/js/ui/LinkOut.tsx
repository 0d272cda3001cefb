import { useState } from 'react';
import { Glyph } from './Glyph';
import { say } from '@/words';

/** A link that was just made: said this once, to be handed over. */
export function LinkOut({ url, to, says, onDone }: { url: string; to: string; says: string; onDone: () => void }) {
    const [copied, setCopied] = useState(false);
    const copy = () =>
        navigator.clipboard?.writeText(url).then(
            () => setCopied(true),
            () => setCopied(false),
        );
    return (
        <div role="status" className="mt-3 border-2 border-copper p-4">
            <b className="font-lab text-head font-semibold">{say('shared.link-for', { to })}</b>
            <p className="mt-1">{says}</p>
            <label className="field mt-2 block">
                <span className="lab">{say('shared.link')}</span>
                <input className="mono" readOnly value={url} onFocus={(event) => event.target.select()} />
            </label>
            <div className="mt-3 flex flex-wrap justify-end gap-3">
                <button className="btn btn--quiet" onClick={() => void copy()}>
                    {copied ? (
                        <>
                            <Glyph name="pass" /> {say('shared.copied')}
                        </>
                    ) : (
                        say('shared.copy')
                    )}
                </button>
                <button className="btn" onClick={onDone}>
                    {say('shared.done')}
                </button>
            </div>
        </div>
    );
}
