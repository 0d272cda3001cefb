/** What stands in a field: kept over a failure of the page, so that nobody types it twice. */
export interface Typed {
    label: string;
    value: string;
}

type Field = HTMLInputElement | HTMLTextAreaElement;

const fields = (root: ParentNode): Field[] =>
    [...root.querySelectorAll<Field>('input, textarea')].filter(
        (field) =>
            !field.readOnly && !['checkbox', 'radio', 'range', 'file', 'password', 'hidden'].includes(field.type),
    );

const labelOf = (field: Field): string =>
    field.getAttribute('aria-label') ?? field.labels?.[0]?.textContent?.trim() ?? field.name;

/** Every field that has something in it, by its label. */
export function typedIn(root: ParentNode): Typed[] {
    return fields(root)
        .filter((field) => field.value.trim() !== '')
        .map((field) => ({ label: labelOf(field), value: field.value }));
}

/** Puts back what was typed where the same field is empty again; says what found no place. */
export function putBack(root: ParentNode, typed: Typed[]): Typed[] {
    const free = fields(root);
    return typed.filter(({ label, value }) => {
        const at = free.findIndex((field) => labelOf(field) === label);
        const field = at < 0 ? undefined : free.splice(at, 1)[0];
        if (!field) return true;
        if (field.value === value) return false;
        if (field.value !== '') return true;
        const prototype = field instanceof HTMLTextAreaElement ? HTMLTextAreaElement : HTMLInputElement;
        // As if typed: a field that the page controls hears of it only so.
        Object.getOwnPropertyDescriptor(prototype.prototype, 'value')?.set?.call(field, value);
        field.dispatchEvent(new Event('input', { bubbles: true }));
        return false;
    });
}
