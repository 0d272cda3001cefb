import type { CableView } from '@/types';

export interface Completion {
    word: string;
    /** The whole line once this is taken. */
    line: string;
}

const colours = [
    'red',
    'white',
    'green',
    'yellow',
    'blue',
    'orange',
    'brown',
    'black',
    'pink',
    'tan',
    'grey',
    'purple',
];
const plate = ['R', 'C', 'W', 'Y', 'G', 'O', 'B', 'W2', 'Y2', 'Rc', 'Rh', 'Aux', 'E', 'O/B', 'L', 'cap', '-'];
const flags = ['!', 'seen', '?', 'splice', 'loose', 'exposed', 'pinched', 'crushed'];

/**
 * What can come next in a conductor line: a colour, a letter of its near end, one of its far end, then flags. A
 * keyboard takes the first with Tab, a thumb taps any of them.
 */
export function complete(
    line: string,
    cable: CableView,
    screws: { indoor: string[]; outdoor: string[] },
): Completion[] {
    const numbered = /^\s*\d+\s+/.exec(line)?.[0] ?? '';
    const rest = line.slice(numbered.length).replace(/^\s+/, '');
    const arrow = rest.indexOf('>');
    const colour = /^(\S+)\s+/.exec(rest);
    if (!colour && arrow < 0)
        return colours
            .filter((word) => word.startsWith(rest.toLowerCase()))
            .map((word) => ({ word, line: `${numbered}${word} ` }));
    const head = numbered + (colour?.[0] ?? '');
    const after = rest.slice(colour?.[0].length ?? 0);
    const at = after.indexOf('>');
    if (at < 0) {
        const near = cable.from === 'wall' ? plate : [...screws.indoor, '-'];
        const typed = after.trim();
        if (typed === 'cap') return [];
        return pick(near, typed).map((word) => ({ word, line: word === 'cap' ? `${head}cap` : `${head}${word}>` }));
    }
    const near = after.slice(0, at + 1);
    const far = after.slice(at + 1).replace(/^\s+/, '');
    const ended = /^(\S+)\s/.exec(far);
    if (!ended) {
        const letters = [...(cable.to === 'indoor' ? screws.indoor : screws.outdoor), '-'];
        const same = near.slice(0, -1).trim();
        const first = letters.filter((letter) => letter === same);
        return pick([...first, ...letters.filter((letter) => letter !== same)], far).map((word) => ({
            word,
            line: `${head}${near}${word} `,
        }));
    }
    const said = far.slice(ended[0].length);
    const last = /(\S*)$/.exec(said)?.[1] ?? '';
    if (/splice\s+\S*$/.test(said))
        return colours
            .filter((word) => word.startsWith(last))
            .map((word) => ({ word, line: `${line.slice(0, line.length - last.length)}${word} ` }));
    return flags
        .filter((word) => word.startsWith(last) && !said.split(/\s+/).includes(word))
        .map((word) => ({ word, line: `${line.slice(0, line.length - last.length)}${word} ` }));
}

const pick = (letters: string[], typed: string) =>
    [...new Set(letters)].filter((letter) => letter.toLowerCase().startsWith(typed.toLowerCase()));
