import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { en } from '@/words/en';

const root = 'resources/js';
const sources = readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/^(tests|types|words)\//.test(name))
    .map((name) => {
        const text = readFileSync(join(root, name), 'utf8');
        return { name, tree: ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX) };
    });
const patterns = new Map<string, string>(
    Object.entries(en).flatMap(([room, words]) =>
        Object.entries(words).map(([key, pattern]) => [`${room}.${key}`, pattern] as const),
    ),
);

/** What a pattern names: its arguments and its marks. */
function named(elements: MessageFormatElement[]): string[] {
    return elements.flatMap((element) => {
        if (element.type === TYPE.literal || element.type === TYPE.pound) return [];
        if (element.type === TYPE.tag) return [element.value, ...named(element.children)];
        if (element.type !== TYPE.plural && element.type !== TYPE.select) return [element.value];
        return [element.value, ...Object.values(element.options).flatMap((option) => named(option.value))];
    });
}

interface Told {
    key: string;
    /** Names given, or null where they are handed over as one value. */
    given: string[] | null;
    at: string;
}

function told(): Told[] {
    const found: Told[] = [];
    for (const { name, tree } of sources) {
        const visit = (node: ts.Node) => {
            if (ts.isCallExpression(node) && ['say', 'rich'].includes(node.expression.getText(tree))) {
                const [key, params] = node.arguments;
                const at = `${name}:${tree.getLineAndCharacterOfPosition(node.getStart(tree)).line + 1}`;
                if (!key || !ts.isStringLiteral(key)) throw new Error(`${at}: the key is not written out`);
                const given =
                    params === undefined
                        ? []
                        : ts.isObjectLiteralExpression(params)
                          ? params.properties.map((property) => property.name?.getText(tree) ?? '')
                          : null;
                found.push({ key: key.text, given, at });
            }
            ts.forEachChild(node, visit);
        };
        visit(tree);
    }
    return found;
}

/** Of these the printed record says some too: `$say('…')` in its view, `say('…')` and whole codes in PHP. */
function printed(): string[] {
    const php = [
        readFileSync('resources/views/handover.blade.php', 'utf8'),
        readFileSync('app/Handover/HandoverSheet.php', 'utf8'),
    ].join('\n');
    return [
        ...[...php.matchAll(/\bsay\(\s*'([\w-]+)'/g)].map(([, key]) => `handover.${key}`),
        ...[...php.matchAll(/'screen\/([\w.-]+)'/g)].map(([, key]) => key ?? ''),
    ];
}

// What is no sentence although it has letters: signs of the meter, names of keys, classes and drawing.
const sign = /^(OL|UTC|[A-Z]{1,2}\d?|V~|A~|Unionbit|unionbit)$/;
const spoken = new Set(['aria-label', 'title', 'label', 'placeholder', 'alt', 'note', 'word', 'what', 'empty']);
const technical = /^(className|style|d|viewBox|key|href|id|type|role|font|clipPath|data-.*)$/;

/** Literals that a person would read: text between tags, spoken attributes, strings of two words or with a capital. */
function bare(): string[] {
    const found: string[] = [];
    for (const { name, tree } of sources) {
        const add = (node: ts.Node, text: string) => {
            const line = tree.getLineAndCharacterOfPosition(node.getStart(tree)).line + 1;
            found.push(`${name}:${line}: ${text.trim().slice(0, 60)}`);
        };
        const visit = (node: ts.Node) => {
            if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
            if (ts.isCallExpression(node) && node.expression.getText(tree) === 'clsx') return;
            if (ts.isJsxText(node) && /[A-Za-z]/.test(node.text) && !sign.test(node.text.trim())) add(node, node.text);
            if (ts.isJsxAttribute(node)) {
                const attribute = node.name.getText(tree);
                if (technical.test(attribute)) return;
                const value = node.initializer;
                if (value && ts.isStringLiteral(value)) {
                    if (spoken.has(attribute) && /[A-Za-z]/.test(value.text)) add(value, value.text);
                    return;
                }
            }
            const literal =
                ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)
                    ? node.text
                    : ts.isTemplateExpression(node)
                      ? [node.head.text, ...node.templateSpans.map((span) => span.literal.text)].join('·')
                      : '';
            if (/^[A-Z][a-z]+ [a-z]|^[a-z]+ [a-z]+ [a-z]+|[a-z]{2} ·|· [a-z]{2}|[a-z][.?!]$/.test(literal))
                if (!/var\(--|[a-z]-[a-z[\d]|^(reload|zone)|px |[a-z]:\/\//.test(literal)) add(node, literal);
            ts.forEachChild(node, visit);
        };
        visit(tree);
    }
    return found;
}

describe('the words of the interface', () => {
    it('every sentence is said somewhere, and every one said has its words', () => {
        const said = new Set([...told().map(({ key }) => key), ...printed()]);
        expect([...patterns.keys()].filter((key) => !said.has(key))).toEqual([]);
        expect([...said].filter((key) => !patterns.has(key))).toEqual([]);
    });

    it('what a sentence names is what it is given', () => {
        const wrong = told().flatMap(({ key, given, at }) => {
            const wanted = [...new Set(named(parse(patterns.get(key) ?? '')))].sort();
            return given === null || wanted.join() === [...given].sort().join()
                ? []
                : [`${at} ${key}: wants ${wanted.join()}, is given ${given.join()}`];
        });
        expect(wrong).toEqual([]);
    });

    it('no sentence stands outside lang', () => {
        expect(bare()).toEqual([]);
    });
});
