import IntlMessageFormat, { type FormatXMLElementFn } from 'intl-messageformat';
import { Fragment, createElement, type ReactNode } from 'react';
import { en, type Key } from './en';

type Patterns = Record<string, Record<string, string>>;
type Part = string | number;
type Tag = (inner: ReactNode) => ReactNode;

/** The language of this page, as the server says it. */
export const locale = document.documentElement.lang || 'en';

/** Days, hours and lists as our screens have them in English: 24 hours, the day before the month, "a, b and c". */
export const dateLocale = locale === 'en' ? 'en-GB' : locale;

// English ships in the program. Another language is a folder beside it: its files are fetched before anything is said.
const files = import.meta.glob<string>(['../../../lang/*/screen/*.json', '!../../../lang/en/**'], {
    query: '?url&no-inline',
    import: 'default',
    eager: true,
});
const spoken: Patterns = await learned();

async function learned(): Promise<Patterns> {
    const own = Object.entries(files).filter(([file]) => file.includes(`/lang/${locale}/`));
    const rooms = own.map(async ([file, url]) => {
        const room = file.slice(file.lastIndexOf('/') + 1, -'.json'.length);
        return [room, await (await fetch(url)).json()] as [string, Record<string, string>];
    });
    return { ...en, ...Object.fromEntries(await Promise.all(rooms)) };
}

const formats = new Map<Key, IntlMessageFormat>();

function format(key: Key): IntlMessageFormat {
    const known = formats.get(key);
    if (known) return known;
    const dot = key.indexOf('.');
    const pattern = spoken[key.slice(0, dot)]?.[key.slice(dot + 1)] ?? key;
    const made = new IntlMessageFormat(pattern, locale);
    formats.set(key, made);
    return made;
}

/** A sentence of the interface, from `lang/`, with what it names filled in. */
export function say(key: Key, params: Record<string, Part> = {}): string {
    return String(format(key).format(params));
}

/** The same with marks in it: `<b>…</b>` of the pattern becomes what the tag of that name makes of it. */
export function rich(key: Key, params: Record<string, ReactNode | Tag>): ReactNode {
    const told = format(key).format<ReactNode>(params as Record<string, ReactNode | FormatXMLElementFn<ReactNode>>);
    return Array.isArray(told)
        ? told.map((part: ReactNode, index) => createElement(Fragment, { key: index }, part))
        : told;
}

const lists = {
    and: new Intl.ListFormat(dateLocale, { type: 'conjunction' }),
    or: new Intl.ListFormat(dateLocale, { type: 'disjunction' }),
};

/** "a, b and c" or "a, b or c", as the language joins them. */
export function list(items: readonly string[], by: keyof typeof lists = 'and'): string {
    return lists[by].format(items);
}
