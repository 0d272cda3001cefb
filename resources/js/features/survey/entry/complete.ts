import type { CableView, Colour, EntryWords } from '@/types';

export interface Completion {
    word: string;
    /** A color's own, for its swatch. */
    colour?: Colour;
    /** The whole line once this is taken. */
    line: string;
}

/**
 * What can come next in a conductor line: a color, a letter of its near end, one of its far end, then flags. A
 * keyboard takes the first with Tab, a thumb taps any of them.
 */
export function complete(
    line: string,
    cable: CableView,
    screws: Record<string, string[]>,
    words: EntryWords,
): Completion[] {
    const numbered = /^\s*\d+\s+/.exec(line)?.[0] ?? '';
    const rest = line.slice(numbered.length).replace(/^\s+/, '');
    const arrow = rest.indexOf('>');
    const colour = /^(\S+)\s+/.exec(rest);
    if (!colour && arrow < 0)
        return words.colours
            .filter(({ word }) => word.startsWith(rest.toLowerCase()))
            .map(({ key, word }) => ({ word, colour: key, line: `${numbered}${word} ` }));
    const head = numbered + (colour?.[0] ?? '');
    const after = rest.slice(colour?.[0].length ?? 0);
    const at = after.indexOf('>');
    if (at < 0) {
        const near = cable.from === 'wall' ? words.plate : [...(screws[cable.from] ?? []), '-'];
        const typed = after.trim();
        if (typed === 'cap') return [];
        return pick(near, typed).map((word) => ({ word, line: word === 'cap' ? `${head}cap` : `${head}${word}>` }));
    }
    const near = after.slice(0, at + 1);
    const far = after.slice(at + 1).replace(/^\s+/, '');
    const ended = /^(\S+)\s/.exec(far);
    if (!ended) {
        const letters = [...(screws[cable.to] ?? []), '-'];
        const same = near.slice(0, -1).trim();
        const first = letters.filter((letter) => letter === same);
        return pick([...first, ...letters.filter((letter) => letter !== same)], far).map((word) => ({
            word,
            line: `${head}${near}${word} `,
        }));
    }
    const said = far.slice(ended[0].length);
    const last = /(\S*)$/.exec(said)?.[1] ?? '';
    const before = line.slice(0, line.length - last.length);
    if (/splice\s+\S*$/.test(said))
        return words.colours
            .filter(({ word }) => word.startsWith(last))
            .map(({ key, word }) => ({ word, colour: key, line: `${before}${word} ` }));
    return words.flags
        .filter((word) => word.startsWith(last) && !said.split(/\s+/).includes(word))
        .map((word) => ({ word, line: `${before}${word} ` }));
}

const pick = (letters: string[], typed: string) =>
    [...new Set(letters)].filter((letter) => letter.toLowerCase().startsWith(typed.toLowerCase()));
