import { Link } from '@inertiajs/react';
import { url } from '@/lib/url';
import { Fragment } from 'react';
import type { Standing, TapeSegment } from '@/types';
import type { GlyphName } from '@/ui/Glyph';
import { State, type Tone } from '@/ui/State';
import { say } from '@/words';

type Look = { field: string; edge: string; glyph: GlyphName; tone: Tone };

function look(segment: TapeSegment, now: boolean): Look {
    if (segment.state === 'stuck')
        return { field: 'var(--fault-wash)', edge: 'var(--fault)', glyph: 'fault', tone: 'fault' };
    if (segment.state === 'done')
        return { field: 'var(--verd-wash)', edge: 'var(--verd)', glyph: 'pass', tone: 'verd' };
    if (now) return { field: 'var(--copper-wash)', edge: 'var(--copper)', glyph: 'traced', tone: 'copper' };
    return { field: 'var(--panel)', edge: 'var(--rule)', glyph: 'need', tone: 'muted' };
}

interface TapeProps {
    jobId: string;
    tape: TapeSegment[];
    fault: string | null;
    current: Standing;
}

/** The job as a folding rule: a segment a stage, a tick an item, long when done. */
export function JobTape({ jobId, tape, fault, current }: TapeProps) {
    return (
        <nav className="tape" aria-label={say('shell.job-tape')}>
            {tape.map((segment, index) => (
                <Fragment key={segment.key}>
                    <Segment
                        jobId={jobId}
                        segment={segment}
                        index={index}
                        last={index === tape.length - 1}
                        now={segment.key === current}
                    />
                    {segment.key === 'prove' && <Swung jobId={jobId} fault={fault} now={current === 'trace'} />}
                </Fragment>
            ))}
        </nav>
    );
}

/** Trace swings out of the rule at the joint after Prove; solid copper while a fault is open. */
function Swung({ jobId, fault, now }: { jobId: string; fault: string | null; now: boolean }) {
    const solid = fault !== null || now;
    return (
        <Link
            href={url('job.trace', { job: jobId })}
            className="swung"
            aria-current={now ? 'step' : undefined}
            style={{ color: solid ? 'var(--on-copper)' : 'var(--ink)' }}
        >
            <svg width="176" height="76" viewBox="0 0 176 76" aria-hidden="true">
                <g transform="rotate(16 32 12)">
                    <path
                        d="M20 1H150L158 9V25H20Z"
                        fill={solid ? 'var(--copper)' : 'var(--panel)'}
                        stroke={solid ? 'var(--copper)' : 'var(--rule)'}
                        strokeWidth="1.6"
                    />
                    <circle cx="32" cy="13" r="5" fill="none" stroke="currentColor" strokeWidth="1.8" />
                    {[104, 114, 124, 134, 144].map((x) => (
                        <path key={x} d={`M${x} 25v-8`} stroke="currentColor" strokeWidth="1.8" />
                    ))}
                    <text x="46" y="18" className="swung__name">
                        {say('shell.trace')}
                    </text>
                </g>
            </svg>
            <span className="vh">{say('shell.trace')}</span>
            {fault !== null && <span className="swung__open">{say('shell.a-fault-is-open')}</span>}
        </Link>
    );
}

function Segment({
    jobId,
    segment,
    index,
    last,
    now,
}: {
    jobId: string;
    segment: TapeSegment;
    index: number;
    last: boolean;
    now: boolean;
}) {
    const style = look(segment, now);
    const open = segment.state === 'done' ? [] : segment.open.slice(0, now ? 3 : 0);
    const more = segment.open.length - open.length;
    const height = segment.folded ? 44 : 76 + open.length * 18 + (open.length > 0 && more > 0 ? 18 : 0);
    const x = index % 2 ? 22 : 16;
    const step = segment.n > 1 ? (height - 30) / (segment.n - 1) : 0;
    return (
        <Link
            href={url(`job.${segment.key}`, { job: jobId })}
            preserveState={now}
            className="seg"
            style={{ height }}
            aria-current={now ? 'step' : undefined}
        >
            <svg className="rule" width="56" height={height} style={{ zIndex: 9 - index }} aria-hidden="true">
                <path
                    d={`M${x} 0H${x + 26}V${height + (last ? -2 : 5)}H${x}Z`}
                    fill={style.field}
                    stroke={style.edge}
                    strokeWidth="1.6"
                />
                {Array.from({ length: segment.n }, (_, item) => (
                    <path
                        key={item}
                        d={`M${x + 26} ${15 + item * step}h${item < segment.done ? -15 : -8}`}
                        stroke={item < segment.done ? style.edge : 'var(--rule)'}
                        strokeWidth={item < segment.done ? 2.4 : 1.6}
                    />
                ))}
                {!last && (
                    <>
                        <circle
                            cx="32"
                            cy={height + 2.5}
                            r="5"
                            fill="var(--bone)"
                            stroke={style.edge}
                            strokeWidth="1.6"
                        />
                        <circle cx="32" cy={height + 2.5} r="1.6" fill={style.edge} />
                    </>
                )}
            </svg>
            <b>{segment.name}</b>
            {segment.folded ? (
                <p>{segment.word}</p>
            ) : (
                <State glyph={style.glyph} tone={style.tone}>
                    {segment.word}
                </State>
            )}
            {open.map((item) => (
                <p key={item} title={item}>
                    {item}
                </p>
            ))}
            {open.length > 0 && more > 0 && <p>{say('shell.and-more', { more })}</p>}
        </Link>
    );
}

/** The same on a phone: the names in a row. */
export function TapeStrip({ jobId, tape, fault, current }: TapeProps) {
    return (
        <nav className="tapestrip" aria-label={say('shell.job-stages')}>
            {tape.map((segment) => {
                const style = look(segment, segment.key === current);
                return (
                    <Link
                        key={segment.key}
                        href={url(`job.${segment.key}`, { job: jobId })}
                        preserveState={segment.key === current}
                        aria-current={segment.key === current ? 'step' : undefined}
                    >
                        {segment.name}
                        <span
                            className="mono text-tiny"
                            style={{ color: `var(--${style.tone === 'muted' ? 'muted' : `${style.tone}-ink`})` }}
                        >
                            {segment.folded ? '–' : `${segment.done}/${segment.n}`}
                        </span>
                    </Link>
                );
            })}
            <Link href={url('job.trace', { job: jobId })} aria-current={current === 'trace' ? 'step' : undefined}>
                {say('shell.trace')}
                <span className="mono text-tiny" style={{ color: fault ? 'var(--copper-ink)' : 'var(--muted)' }}>
                    {fault ? say('shell.open') : '–'}
                </span>
            </Link>
        </nav>
    );
}
