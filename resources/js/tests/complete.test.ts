import { expect, it } from 'vitest';
import { complete } from '@/features/survey/entry/complete';
import type { CableView, EntryWords } from '@/types';

const words: EntryWords = {
    colours: [
        { key: 'red', word: 'red' },
        { key: 'green', word: 'green' },
        { key: 'grey', word: 'gray' },
    ],
    plate: ['R', 'C', 'W', 'W2', 'Aux', 'cap', '-'],
    flags: ['!', 'seen', '?', 'splice'],
};
const screws = { indoor: ['R', 'C', 'W1', 'W2', 'Y'], outdoor: ['R', 'C', 'Y', 'O'] };
const cable = (from: string, to: string) => ({ from, to }) as CableView;
const offered = (line: string, run = cable('wall', 'indoor')) =>
    complete(line, run, screws, words).map((item) => item.line);

it.each([
    ['a color at first', '', ['red ', 'green ', 'gray ']],
    ['the colors that begin so, whatever the case', 'GR', ['green ', 'gray ']],
    ['the number before it stays', '4 re', ['4 red ']],
    ['letters of the plate once a color stands', 'red w', ['red W>', 'red W2>']],
    ['a cap needs no far end', 'red ca', ['red cap']],
    ['nothing after a cap', 'red cap', []],
    [
        'the same letter first at the far end',
        'red C>',
        ['red C>C ', 'red C>R ', 'red C>W1 ', 'red C>W2 ', 'red C>Y ', 'red C>- '],
    ],
    ['what begins so at the far end', 'red W>w', ['red W>W1 ', 'red W>W2 ']],
    ['flags at last', 'red R>R s', ['red R>R seen ', 'red R>R splice ']],
    ['no flag twice', 'red R>R ! ', ['red R>R ! seen ', 'red R>R ! ? ', 'red R>R ! splice ']],
    ['a color after a splice', 'red R>R splice g', ['red R>R splice green ', 'red R>R splice gray ']],
    ['nothing that does not exist', 'red Q', []],
])('offers %s', (_, line, lines) => {
    expect(offered(line)).toEqual(lines);
});

it('offers the screws of the places that the cable joins', () => {
    expect(offered('red ', cable('indoor', 'outdoor'))).toEqual(
        ['R', 'C', 'W1', 'W2', 'Y', '-'].map((at) => `red ${at}>`),
    );
    expect(offered('red Y>', cable('indoor', 'outdoor'))).toEqual(
        ['Y', 'R', 'C', 'O', '-'].map((at) => `red Y>${at} `),
    );
});

it('carries the key of a color for its swatch, not its word', () => {
    expect(complete('gra', cable('wall', 'indoor'), screws, words)).toEqual([
        { word: 'gray', colour: 'grey', line: 'gray ' },
    ]);
});
