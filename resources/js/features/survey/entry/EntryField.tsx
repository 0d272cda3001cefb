import type { ClipboardEvent, KeyboardEvent } from 'react';
import { say } from '@/words';
import { useEntryLine } from './useEntry';

/** Where the line is typed: Tab takes the next word, Up the last line, several lines pasted go where all are seen. */
export function EntryField() {
    const { field, changing, cable, line, type, take, words, wrong, leave, recall, onPaste } = useEntryLine();
    const pasted = (event: ClipboardEvent) => {
        const lines = event.clipboardData
            .getData('text')
            .split(/\r?\n/)
            .map((text) => text.trim())
            .filter((text) => text !== '');
        if (lines.length < 2) return;
        event.preventDefault();
        onPaste(lines);
    };
    const pressed = (event: KeyboardEvent<HTMLInputElement>) => {
        const first = words[0];
        if (event.key === 'Tab' && !event.shiftKey && line !== '' && first && first.line !== line) {
            event.preventDefault();
            take(first.line);
        }
        if (event.key === 'ArrowUp' && line === '') recall();
        if (event.key === 'Escape') {
            leave();
            event.currentTarget.blur();
        }
    };
    return (
        <input
            id="entry"
            ref={field}
            autoFocus={changing !== null}
            className="mono h-14 w-full bg-bone px-3.5 text-title md:text-figure font-medium tracking-tight"
            style={{ borderBottom: `3px solid var(${wrong ? '--fault' : '--copper'})` }}
            placeholder={cable.from === 'wall' ? say('survey.red-r-r') : say('survey.red-y-y-seen')}
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            maxLength={120}
            value={line}
            aria-invalid={!!wrong}
            aria-describedby="entry-bad"
            onChange={(event) => type(event.target.value)}
            onPaste={pasted}
            onKeyDown={pressed}
        />
    );
}
