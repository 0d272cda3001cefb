import { locale } from '@/words';

// A comma for thousands and a point for decimals in English, as on the meter; another language has its own.
const numberLocale = locale === 'en' ? 'en-US' : locale;
const formats = new Map<number, Intl.NumberFormat>();

/** A number as a person reads it, with so many decimals. */
export function number(value: number, decimals = 0): string {
    let format = formats.get(decimals);
    if (!format) {
        format = new Intl.NumberFormat(numberLocale, {
            minimumFractionDigits: decimals,
            maximumFractionDigits: decimals,
        });
        formats.set(decimals, format);
    }
    return format.format(value);
}

/** The same number with no more than so many decimals: to be typed, sent or reckoned with, not to be read. */
export const cut = (value: number, decimals: number): number => Number(value.toFixed(decimals));
