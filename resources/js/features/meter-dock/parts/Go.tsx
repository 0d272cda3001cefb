import { clsx } from 'clsx';
import { say } from '@/words';
import { focusActual, useMeter } from '../state/meter';
import { Repeat } from './Repeat';

/** The one button, and what saves typing beside it. */
export function Go() {
    const { typed, record, same, last } = useMeter();
    const empty = typed.trim() === '';
    return (
        <div className="dock__go grid gap-2 border-t border-hair px-4 pb-3.5 pt-2.5">
            <Repeat
                same={same}
                surprising={last?.outcome === 'fail' && typed === ''}
                onSame={(figure) => void record(figure)}
                onAgain={focusActual}
            />
            <button
                className={clsx(
                    'btn w-full justify-between text-left whitespace-normal!',
                    empty ? 'btn--off' : 'btn--go',
                )}
                aria-disabled={empty}
                onClick={() => void record()}
            >
                {say('meter.record-reading')} <span className="key">{say('meter.enter')}</span>
            </button>
        </div>
    );
}
