import { say } from '@/words';
import { useEntryLine } from './useEntry';

/** What can come next in the line, each a tap. */
export function NextWords() {
    const { words, line, take } = useEntryLine();
    return (
        <div
            role="group"
            aria-label={say('survey.next-word')}
            className="mt-2 flex gap-1.5 overflow-x-auto pb-1 md:flex-wrap"
        >
            {words.slice(0, 17).map((item, index) => (
                <button key={item.word} type="button" tabIndex={-1} className="chip" onClick={() => take(item.line)}>
                    {item.colour && (
                        <span
                            className="size-3 border border-ink"
                            style={{ background: `var(--ins-${item.colour})` }}
                        />
                    )}
                    {item.word}
                    {index === 0 && line !== '' && (
                        <span aria-hidden="true" className="key max-md:hidden!">
                            {say('survey.tab')}
                        </span>
                    )}
                </button>
            ))}
        </div>
    );
}
