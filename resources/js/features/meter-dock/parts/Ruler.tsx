import { figure } from '@/lib/format';
import type { Expectation } from '@/types';

/**
 * The band on a scale, and the reading as a marker when there is one. The range in figures is the truth; this is the
 * glance.
 */
export function Ruler({ expected, value }: { expected: Expectation; value: number | null }) {
    if (expected.low === null || expected.high === null) return <div className="h-[42px]" />;
    const top = niceTop(Math.max(expected.high, value ?? 0));
    const x = (v: number) => 4 + (Math.min(v, top) / top) * 240;
    const inside = value !== null && value >= expected.low && value <= expected.high;
    return (
        <svg width="100%" height="42" viewBox="0 0 248 42" aria-hidden="true" data-testid="ruler">
            <path d="M4 20H244" stroke="var(--rule)" strokeWidth="1.2" />
            <rect
                x={x(expected.low)}
                y="11"
                width={Math.max(6, x(expected.high) - x(expected.low))}
                height="9"
                fill="var(--verd-wash)"
                stroke="var(--verd)"
                strokeWidth="1.4"
            />
            {Array.from({ length: 11 }, (_, i) => (
                <path key={i} d={`M${4 + i * 24} 20v${i % 5 ? 4 : 7}`} stroke="var(--rule)" strokeWidth="1.2" />
            ))}
            <text x="4" y="40" className="fill-muted" style={{ font: '400 12px var(--f-mono)' }}>
                0
            </text>
            <text x="244" y="40" textAnchor="end" className="fill-muted" style={{ font: '400 12px var(--f-mono)' }}>
                {figure(top, 'O').replace('.0', '')}
            </text>
            {value !== null && (
                <path d={`M${x(value)} 20l-6 -11v-7h12v7z`} fill={inside ? 'var(--verd)' : 'var(--fault)'} />
            )}
        </svg>
    );
}

function niceTop(high: number): number {
    return [1, 2, 5, 10, 30, 60, 100, 300, 600, 1000, 3000, 10000, 30000, 100000].find((top) => top >= high) ?? high;
}
