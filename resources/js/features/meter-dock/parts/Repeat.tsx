import { say } from '@/words';

/** The figure of the pair before by one tap, and a surprising one measured again before it is believed. */
export function Repeat({
    same,
    surprising,
    onSame,
    onAgain,
}: {
    same: string | null;
    surprising: boolean;
    onSame: (figure: string) => void;
    onAgain: () => void;
}) {
    return (
        <>
            {same !== null && (
                <button className="btn w-full justify-between" onClick={() => onSame(same)}>
                    {say('meter.same-again', { value: same })} <span className="key">=</span>
                </button>
            )}
            {surprising && (
                <button className="btn w-full justify-between" onClick={onAgain}>
                    {say('meter.again-better-contact')} <span className="key">R</span>
                </button>
            )}
        </>
    );
}
