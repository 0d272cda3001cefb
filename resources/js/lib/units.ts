// US units first; metric for those who prefer it. Everything is computed in US units; only what is shown and typed
// changes.

interface Pair {
    unit: string;
    to: (us: number) => number;
    from: (metric: number) => number;
}

const scale = (unit: string, factor: number): Pair => ({
    unit,
    to: (us) => us * factor,
    from: (metric) => metric / factor,
});

const metric: Record<string, Pair> = {
    ft: scale('m', 0.3048),
    '°F': { unit: '°C', to: (us) => ((us - 32) * 5) / 9, from: (value) => (value * 9) / 5 + 32 },
    'Δ°F': scale('K', 5 / 9),
    'BTU/h': scale('kW', 0.000293071),
    CFM: scale('L/s', 0.471947),
    'ft/min': scale('m/s', 0.00508),
    'sq in': scale('cm²', 6.4516),
    tons: scale('kW', 3.51685),
};

export const unitOf = (unit: string, isMetric: boolean): string => (isMetric ? (metric[unit]?.unit ?? unit) : unit);
export const shown = (value: number, unit: string, isMetric: boolean): number =>
    isMetric ? (metric[unit]?.to(value) ?? value) : value;
export const typed = (value: number, unit: string, isMetric: boolean): number =>
    isMetric ? (metric[unit]?.from(value) ?? value) : value;

/** Three figures that mean something, no more. */
export function rounded(value: number): string {
    const size = Math.abs(value);
    if (size >= 1000) return Math.round(value).toLocaleString('en-US').replace(/,/g, ' ');
    if (size >= 100) return value.toFixed(0);
    if (size >= 10) return value.toFixed(1);
    return value.toFixed(2).replace(/0$/, '').replace(/\.0$/, '');
}
