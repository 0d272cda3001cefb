import { clsx } from 'clsx';
import { useState } from 'react';
import type { TraceSuspect } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';

/** Bars as they stand, a dashed tick where each began; the fallen shrink, with the row that felled them. */
export function Suspects({ suspects }: { suspects: TraceSuspect[] }) {
    const [all, setAll] = useState(false);
    const standing = suspects.filter((one) => !one.fallen);
    const fallen = suspects.filter((one) => one.fallen);
    const shown = all ? standing : standing.filter((one) => one.shown);
    return (
        <section className="trace__sus" aria-labelledby="suspects">
            <div className="flex items-baseline justify-between gap-3">
                <h2 className="h-sec" id="suspects">
                    {say('trace.suspects')}
                </h2>
                <small className="text-note text-muted">{say('trace.bar-now-dashed-start')}</small>
            </div>
            <ol>
                {shown.map((one, n) => (
                    <li key={one.id} className={clsx('trace__bar', n === 0 && 'trace__bar--first')}>
                        <span>
                            <b>{one.title}</b>
                            {one.detail && <small>{one.detail}</small>}
                        </span>
                        <Bar now={one.share} start={one.start} rank={n} />
                        <span className="text-right font-lab text-head font-semibold">
                            {say('trace.percent', { share: Math.round(100 * one.share) })}
                        </span>
                    </li>
                ))}
            </ol>
            {standing.length > shown.length && (
                <button className="trace__more" onClick={() => setAll(true)}>
                    {say('trace.more-suspects', { more: standing.length - shown.length })}
                </button>
            )}
            {fallen.length > 0 && (
                <ul aria-label={say('trace.cleared')}>
                    {fallen.slice(0, all ? fallen.length : 4).map((one) => (
                        <li key={one.id} className="trace__bar trace__bar--off">
                            <b>{one.title}</b>
                            <Bar now={0} start={one.start} rank={9} />
                            <span className="whitespace-nowrap text-right text-note font-semibold text-verd-ink">
                                <Glyph name="pass" />{' '}
                                {one.felledBy === null
                                    ? say('trace.cleared')
                                    : say('trace.cleared-by', { row: one.felledBy })}
                            </span>
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}

function Bar({ now, start, rank }: { now: number; start: number; rank: number }) {
    const fill = rank === 0 ? 'var(--copper)' : rank === 1 ? 'var(--ink)' : 'var(--muted)';
    return (
        <svg viewBox="0 0 100 18" preserveAspectRatio="none" className="h-[18px] w-full" aria-hidden="true">
            <path d="M0 17.4H100" stroke="var(--hair)" strokeWidth="1.2" vectorEffect="non-scaling-stroke" />
            <rect x="0" y="2" width={Math.max(0, 100 * now)} height="13" fill={fill} />
            <path
                d={`M${100 * start} 0v18`}
                stroke="var(--ink)"
                strokeWidth="1.6"
                strokeDasharray="3 2"
                vectorEffect="non-scaling-stroke"
            />
        </svg>
    );
}
