import { clsx } from 'clsx';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { useEntryLine } from './useEntry';

/** What is wrong with the line, which lines are on their way, and which were refused meanwhile. */
export function OnTheWay() {
    const { wrong, sending, refused, takeBack } = useEntryLine();
    return (
        <div className="mt-1.5 min-h-5">
            <Bad id="entry-bad">{wrong}</Bad>
            {sending.length > 0 && (
                <p role="status" className="text-small text-muted">
                    {say('survey.keeping', { sending: sending.join(say('survey.then')) })}
                </p>
            )}
            {refused.map((entry, index) => (
                <p
                    key={index}
                    role="alert"
                    className={clsx(
                        'flex flex-wrap items-center gap-x-3 border-l-[6px] border-fault bg-fault-wash px-2',
                        'text-small',
                    )}
                >
                    <b className="mono font-medium">{entry.line}</b> {say('survey.was-not-kept', { why: entry.why })}
                    <button type="button" className="link" onClick={() => takeBack(entry)}>
                        {say('survey.take-it-back-into-the-line')}
                    </button>
                </p>
            ))}
        </div>
    );
}
