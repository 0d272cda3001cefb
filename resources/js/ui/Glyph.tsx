import type { CSSProperties, ReactNode } from 'react';
import { say } from '@/words';

const line = (d: string, extra: Record<string, string | number> = {}) => (
    <path d={d} fill="none" stroke="currentColor" strokeWidth={2} strokeLinecap="square" {...extra} />
);
const fill = (d: string) => <path d={d} fill="currentColor" />;
const knock = (d: string, width = 2.2) => (
    <path d={d} fill="none" stroke="var(--gk, var(--panel))" strokeWidth={width} />
);

const shapes = {
    pass: (
        <>
            {fill('M0 0H11.5L16 4.5V16H0Z')}
            {knock('M3.8 8.6 6.8 11.4 12.2 5.4')}
        </>
    ),
    tick: line('M2.5 8.5 6.3 12.3 13.6 4'),
    fault: (
        <>
            {fill('M4.5 0H16V11.5L11.5 16H0V4.5Z')}
            {knock('M4.6 4.6 11.4 11.4M11.4 4.6 4.6 11.4')}
        </>
    ),
    caution: (
        <>
            {fill('M8 .6 16 15.4H0Z')}
            {knock('M8 5.4V10M8 11.6V13.6', 2)}
        </>
    ),
    need: <path d="M1 1H10.6L15 5.4V15H1Z" fill="none" stroke="currentColor" strokeWidth={2} strokeDasharray="3 2.2" />,
    wait: (
        <>
            <circle cx={8} cy={8} r={6.8} fill="none" stroke="currentColor" strokeWidth={2} />
            {fill('M8 8V1.2A6.8 6.8 0 0 1 14.8 8Z')}
        </>
    ),
    rest: <circle cx={8} cy={8} r={5.6} fill="none" stroke="currentColor" strokeWidth={2} />,
    live: line('M.8 8C2.6 .6 5.9 .6 8 8S13.4 15.4 15.2 8', { strokeWidth: 2.6, strokeLinecap: 'butt' }),
    iso: (
        <>
            {line('M0 11H4M12 11H16M4 11 12.4 3.4', { strokeWidth: 2.4 })}
            <circle cx={4} cy={11} r={2} fill="currentColor" />
            <circle cx={12} cy={11} r={2} fill="currentColor" />
        </>
    ),
    traced: (
        <>
            {line('M3 8H13', { strokeWidth: 2.2 })}
            <circle cx={3} cy={8} r={2.8} fill="currentColor" />
            <circle cx={13} cy={8} r={2.8} fill="currentColor" />
        </>
    ),
    guess: (
        <>
            {line('M6 8H10.5', { strokeDasharray: '1.6 1.4' })}
            <circle cx={3.2} cy={8} r={2.2} fill="none" stroke="currentColor" strokeWidth={1.6} />
            <circle cx={12.8} cy={8} r={2.2} fill="none" stroke="currentColor" strokeWidth={1.6} />
        </>
    ),
    find: (
        <>
            <circle cx={6.8} cy={6.8} r={4.8} fill="none" stroke="currentColor" strokeWidth={2} />
            {line('M10.6 10.6 14.6 14.6')}
        </>
    ),
    lamp: (
        <>
            {fill('M1 5.5H6V10.5H1Z')}
            {line('M9 8H15M8.6 4.4 13 1.8M8.6 11.6 13 14.2', { strokeLinecap: 'butt' })}
        </>
    ),
    plus: line('M8 2V14M2 8H14'),
    go: line('M2 8H13M8.6 3.4 13.2 8 8.6 12.6'),
    right: line('M5.5 3 10.5 8 5.5 13'),
    back: line('M10.5 3 5.5 8 10.5 13'),
    swap: line('M2 5H13M10 2 13.2 5M14 11H3M6 14 2.8 11'),
    eye: (
        <>
            {line('M.8 8C3.4 3.4 12.6 3.4 15.2 8 12.6 12.6 3.4 12.6 .8 8Z', { strokeWidth: 1.8 })}
            <circle cx={8} cy={8} r={2.3} fill="currentColor" />
        </>
    ),
    ear: (
        <>
            {line(
                'M4 6.2C4 3.4 5.6 1.4 8.2 1.4S12.6 3.4 12.6 6C12.6 9.4 9.6 9.6 9.2 12 ' +
                    '8.9 13.8 7.8 14.6 6.6 14.6 5.2 14.6 4.4 13.6 4.4 12.4',
                { strokeWidth: 1.8 },
            )}
            {line('M6.8 6.4C6.8 5 7.6 4.2 8.4 4.2 9.4 4.2 10 5 10 6 10 7.4 8.6 7.6 8.2 9', { strokeWidth: 1.6 })}
        </>
    ),
    ohm: line(
        'M1.8 14H6.2V12.2C3.9 11.2 2.6 9.4 2.6 7.1 2.6 3.9 4.9 1.8 8 1.8' +
            'S13.4 3.9 13.4 7.1C13.4 9.4 12.1 11.2 9.8 12.2V14H14.2',
        { strokeLinecap: 'butt' },
    ),
    beep: (
        <>
            {fill('M1 6H4L8 2.5V13.5L4 10H1Z')}
            {line('M10.6 5.6C12 7 12 9 10.6 10.4M12.8 3.4C15.4 6 15.4 10 12.8 12.6', {
                strokeWidth: 1.7,
                strokeLinecap: 'butt',
            })}
        </>
    ),
    flag: (
        <>
            {line('M3 1.5V15', { strokeLinecap: 'butt' })}
            {fill('M3 1.5H14L11 5.5 14 9.5H3Z')}
        </>
    ),
    cross: line('M3 3 13 13M13 3 3 13'),
    erase: (
        <>
            {line('M5 3H15V13H5L1 8Z', { strokeWidth: 1.8 })}
            {line('M7.6 5.8 12 10.2M12 5.8 7.6 10.2', { strokeWidth: 1.8, strokeLinecap: 'butt' })}
        </>
    ),
    bring: line('M8 1.5V10M4.2 6.6 8 10.4 11.8 6.6M1.5 11V14.5H14.5V11'),
    send: line('M8 11V2.5M4.2 5.6 8 1.8 11.8 5.6M1.5 11V14.5H14.5V11'),
    camera: (
        <>
            {line('M1.5 4.5H5L6.2 2.5H9.8L11 4.5H14.5V13.5H1.5Z', { strokeWidth: 1.8 })}
            <circle cx={8} cy={8.8} r={2.6} fill="none" stroke="currentColor" strokeWidth={1.8} />
        </>
    ),
    more: (
        <>
            <circle cx={3} cy={8} r={1.6} fill="currentColor" />
            <circle cx={8} cy={8} r={1.6} fill="currentColor" />
            <circle cx={13} cy={8} r={1.6} fill="currentColor" />
        </>
    ),
    print: line('M4 6V1.5H12V6M4 12H1.5V6.5H14.5V12H12M4.5 9.5H11.5V14.5H4.5Z', { strokeWidth: 1.8 }),
} satisfies Record<string, ReactNode>;

export type GlyphName = keyof typeof shapes;

/** Own glyphs on a 16 grid. Decorative: the word beside it carries the meaning. */
export function Glyph({ name, size = 16, style }: { name: GlyphName; size?: number; style?: CSSProperties }) {
    return (
        <svg className="g" viewBox="0 0 16 16" aria-hidden="true" style={{ width: size, height: size, ...style }}>
            {shapes[name]}
        </svg>
    );
}

/** A unit; the ohm sign is drawn, the fonts have none. */
export function Unit({ unit, size = 13 }: { unit: string; size?: number }) {
    return unit === 'Ω' ? (
        <span role="img" aria-label={say('shared.ohms')}>
            <Glyph name="ohm" size={size} style={{ verticalAlign: -1 }} />
        </span>
    ) : (
        <>{unit === 'V' ? 'V' : unit}</>
    );
}
