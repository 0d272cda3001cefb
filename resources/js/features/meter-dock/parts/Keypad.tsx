import { clsx } from 'clsx';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';

/** Our own keys for a thumb: no system keyboard, a big Record. */
export function Keypad({
    onKey,
    onErase,
    onRecord,
    ready,
}: {
    onKey: (key: string) => void;
    onErase: () => void;
    onRecord: () => void;
    ready: boolean;
}) {
    return (
        <div className="pad">
            <div className="pad__keys">
                {['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0'].map((key) => (
                    <button key={key} type="button" onClick={() => onKey(key)}>
                        {key}
                    </button>
                ))}
                <button
                    type="button"
                    aria-label={say('meter.erase')}
                    className="grid place-items-center"
                    onClick={onErase}
                >
                    <Glyph name="erase" size={22} />
                </button>
            </div>
            <div className="grid grid-rows-[72px_1fr]">
                <button
                    type="button"
                    className="border-b border-hair px-3.5 text-left font-lab text-body font-semibold"
                    onClick={() => onKey('OL')}
                >
                    {say('meter.ol')}
                </button>
                <button
                    type="button"
                    disabled={!ready}
                    className={clsx(
                        'px-3.5 text-left font-lab text-figure font-bold disabled:bg-sunk disabled:text-muted',
                        '[&:not(:disabled)]:bg-copper [&:not(:disabled)]:text-on-copper',
                    )}
                    style={{ clipPath: 'polygon(0 0, calc(100% - 16px) 0, 100% 16px, 100% 100%, 0 100%)' }}
                    onClick={onRecord}
                >
                    {say('meter.record')}
                </button>
            </div>
        </div>
    );
}
