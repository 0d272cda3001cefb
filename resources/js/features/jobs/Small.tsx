import type { JobRow } from '@/types';
import { say } from '@/words';

/** The thermostat cable in small: what was seen of it, or nothing yet. */
export function Strands({ strands }: { strands: JobRow['strands'] }) {
    const rows = Math.max(4, strands.length);
    return (
        <svg
            width="124"
            height={rows * 8 + 8}
            viewBox={`0 0 124 ${rows * 8 + 8}`}
            className="max-md:hidden"
            role="img"
            aria-label={
                strands.length === 0
                    ? say('jobs.cable-not-seen-yet')
                    : say('jobs.cable-with-conductor-other', { strands: strands.length })
            }
        >
            <rect
                x="36"
                y="0"
                width="52"
                height={rows * 8 + 8}
                fill={strands.length === 0 ? 'none' : 'var(--jacket)'}
                stroke={strands.length === 0 ? 'var(--rule)' : 'none'}
                strokeDasharray="4 3"
            />
            {strands.length === 0
                ? Array.from({ length: 4 }, (_, row) => (
                      <path
                          key={row}
                          d={`M2 ${8 + row * 8}H122`}
                          stroke="var(--rule)"
                          strokeWidth="2"
                          strokeDasharray="2 5"
                      />
                  ))
                : strands.map((strand, row) => (
                      <g key={row}>
                          <path
                              d={`M${strand.landed ? 2 : 20} ${8 + row * 8}H${strand.landed ? 122 : 104}`}
                              stroke="var(--bare)"
                              strokeWidth="2"
                          />
                          <rect x="9" y={5 + row * 8} width="106" height="6" fill="var(--strand-edge)" />
                          <rect x="10" y={6 + row * 8} width="104" height="4" fill={`var(--ins-${strand.colour})`} />
                      </g>
                  ))}
        </svg>
    );
}

/** The job tape in small: how far each stage is. */
export function MiniTape({ tape, current }: { tape: JobRow['tape']; current: string }) {
    return (
        <svg
            width="166"
            height="26"
            viewBox="0 0 166 26"
            role="img"
            aria-label={
                tape.length === 0
                    ? say('jobs.progress-is-being-read')
                    : tape
                          .map((segment) => say('jobs.of', { name: segment.name, done: segment.done, n: segment.n }))
                          .join(', ')
            }
        >
            {tape.map((segment, index) => {
                const y = index % 2 ? 6 : 1;
                const done = segment.state === 'done';
                const part = segment.n > 0 ? segment.done / segment.n : 0;
                const colour =
                    segment.state === 'stuck'
                        ? 'var(--fault)'
                        : done
                          ? 'var(--verd)'
                          : segment.key === current
                            ? 'var(--copper)'
                            : 'var(--rule)';
                return (
                    <g key={segment.key} transform={`translate(${index * 32 + 1} ${y})`}>
                        <rect
                            width="32"
                            height="18"
                            fill={done ? colour : 'var(--panel)'}
                            stroke={colour}
                            strokeWidth="1.6"
                        />
                        {!done && <rect width={32 * part} height="18" fill={colour} />}
                        {done && (
                            <path d="M10 9.5 14.5 13.5 22 5" fill="none" stroke="var(--on-verd)" strokeWidth="2.2" />
                        )}
                    </g>
                );
            })}
        </svg>
    );
}
