import { rounded, shown, unitOf, useUnits } from '@/lib/units';
import { number } from '@/lib/numbers';
import type { FigureResult } from '@/types';
import { list, say } from '@/words';

/**
 * Load and capacity against outdoor temperature: two lines that differ in dash as well as in colour, and where they
 * cross.
 */
export function Plot({ plot }: { plot: NonNullable<FigureResult['plot']> }) {
    const units = useUnits();
    const [width, height, left, bottom, top] = [560, 262, 64, 34, 28];
    const all = plot.series.flatMap((series) => series.points);
    const xs = all.map((point) => point[0] ?? 0);
    const most = Math.max(...all.map((point) => point[1] ?? 0), 1);
    const [low, high] = [Math.min(...xs), Math.max(...xs)];
    const x = (value: number) => left + ((value - low) / (high - low)) * (width - left - 16);
    const y = (value: number) => height - bottom - (value / most) * (height - bottom - top);
    const ticks = [0, 0.25, 0.5, 0.75, 1].map((share) => share * most);
    return (
        <svg
            viewBox={`0 0 ${width} ${height}`}
            className="mt-3 w-full max-w-[620px]"
            role="img"
            aria-label={[
                say('figures.against', {
                    series: list(plot.series.map((series) => series.name)),
                    x: plot.x,
                }),
                plot.marks
                    .map((mark) =>
                        say('figures.at', {
                            name: mark.name,
                            x: `${number(shown(mark.x, plot.xUnit, units))} ${unitOf(plot.xUnit, units)}`,
                        }),
                    )
                    .join(', '),
            ].join('; ')}
        >
            {ticks.map((tick) => (
                <g key={tick}>
                    <path d={`M${left} ${y(tick)}H${width - 16}`} stroke="var(--hair)" />
                    <text
                        x={left - 6}
                        y={y(tick) + 4}
                        textAnchor="end"
                        style={{ font: '500 12px var(--f-mono)', fill: 'var(--muted)' }}
                    >
                        {rounded(shown(tick, plot.y, units))}
                    </text>
                </g>
            ))}
            <text x="4" y="12" style={{ font: '500 12px var(--f-text)', fill: 'var(--muted)' }}>
                {unitOf(plot.y, units)}
            </text>
            {xs
                .filter((value, index) => xs.indexOf(value) === index && value % 15 === 5)
                .map((value) => (
                    <text
                        key={value}
                        x={x(value)}
                        y={height - 14}
                        textAnchor="middle"
                        style={{ font: '500 12px var(--f-mono)', fill: 'var(--muted)' }}
                    >
                        {number(shown(value, plot.xUnit, units))} {unitOf(plot.xUnit, units)}
                    </text>
                ))}
            {plot.series.map((series, index) => (
                <g key={series.name}>
                    <path
                        d={series.points.map(([a, b], at) => `${at ? 'L' : 'M'}${x(a ?? 0)} ${y(b ?? 0)}`).join('')}
                        fill="none"
                        stroke={index === 0 ? 'var(--ink)' : 'var(--copper)'}
                        strokeWidth="3"
                        strokeDasharray={index === 0 ? undefined : '9 5'}
                    />
                    <text
                        x={x(series.points[index === 0 ? 3 : 2]?.[0] ?? 0) + 8}
                        y={y(series.points[index === 0 ? 3 : 2]?.[1] ?? 0) + (index === 0 ? -6 : 22)}
                        style={{
                            font: '600 13px var(--f-lab)',
                            fill: index === 0 ? 'var(--ink)' : 'var(--copper-ink)',
                        }}
                    >
                        {series.name}
                    </text>
                </g>
            ))}
            {plot.marks
                .filter((mark) => mark.x >= low && mark.x <= high)
                .map((mark, index) => (
                    <g key={mark.name}>
                        <path
                            d={`M${x(mark.x)} ${top}V${height - bottom}`}
                            stroke="var(--rule)"
                            strokeWidth="1.6"
                            strokeDasharray="3 4"
                        />
                        <text
                            x={x(mark.x) + 5}
                            y={top + 12 + index * 16}
                            style={{ font: '600 12px var(--f-lab)', fill: 'var(--ink)' }}
                        >
                            {mark.name} {number(shown(mark.x, plot.xUnit, units))} {unitOf(plot.xUnit, units)}
                        </text>
                    </g>
                ))}
        </svg>
    );
}
