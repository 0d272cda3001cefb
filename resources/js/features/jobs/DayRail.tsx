import { Link, router } from '@inertiajs/react';
import { url } from '@/lib/url';
import type { Day, DayVisit } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { dateLocale, say } from '@/words';

const from = 7 * 60;
const until = 18 * 60;
const perMinute = 0.9;
const top = 34;

const shift = (date: string, days: number) => {
    const moved = new Date(`${date}T12:00:00Z`);
    moved.setUTCDate(moved.getUTCDate() + days);
    return moved.toISOString().slice(0, 10);
};
const go = (date: string) =>
    router.get(url('jobs'), { day: date }, { preserveState: true, preserveScroll: true, replace: true, only: ['day'] });

/** The day as a folding rule: hours down the left, a column for each van or person, the visits as long as they take. */
export function DayRail({ day, now }: { day: Day; now: string }) {
    const people = day.people.slice(0, 3);
    const column = 132 / Math.max(1, people.length);
    const height = top + (until - from) * perMinute + 16;
    const y = (minute: number) => top + (Math.min(Math.max(minute, from), until) - from) * perMinute;
    const clock = new Date(now);
    const minute = clock.getHours() * 60 + clock.getMinutes();
    const title = new Date(`${day.date}T12:00:00Z`).toLocaleDateString(dateLocale, {
        weekday: 'short',
        day: 'numeric',
        month: 'short',
        timeZone: 'UTC',
    });
    return (
        <nav className="tape !pt-0 max-md:!flex" aria-label={say('jobs.the-day')}>
            <div className="flex items-center justify-between border-b border-hair">
                <button
                    className="grid size-11 place-items-center"
                    aria-label={say('jobs.the-day-before')}
                    onClick={() => go(shift(day.date, -1))}
                >
                    <Glyph name="back" />
                </button>
                <b className="font-lab text-body">{day.isToday ? say('jobs.today') : title}</b>
                <button
                    className="grid size-11 place-items-center"
                    aria-label={say('jobs.the-day-after')}
                    onClick={() => go(shift(day.date, 1))}
                >
                    <Glyph name="right" />
                </button>
            </div>
            <div className="relative max-md:hidden" style={{ height }}>
                <svg className="absolute inset-0" width="192" height={height} aria-hidden="true">
                    <path
                        d={`M10 ${top}H30V${y(until)}H10Z`}
                        fill="var(--panel)"
                        stroke="var(--rule)"
                        strokeWidth="1.6"
                    />
                    {Array.from({ length: (until - from) / 30 + 1 }, (_, half) => {
                        const hour = half % 2 === 0;
                        return (
                            <path
                                key={half}
                                d={`M30 ${y(from + half * 30)}h${hour ? -14 : -7}`}
                                stroke="var(--rule)"
                                strokeWidth={hour ? 2 : 1.2}
                            />
                        );
                    })}
                    {Array.from({ length: (until - from) / 60 + 1 }, (_, hour) => (
                        <text
                            key={hour}
                            x="34"
                            y={y(from + hour * 60) + 4}
                            style={{ font: '500 12px var(--f-mono)', fill: 'var(--muted)' }}
                        >
                            {String(7 + hour).padStart(2, '0')}
                        </text>
                    ))}
                    {day.isToday && minute >= from && minute <= until && (
                        <path d={`M10 ${y(minute)}H190`} stroke="var(--copper)" strokeWidth="2" />
                    )}
                </svg>
                {people.map((person, index) => (
                    <span
                        key={person}
                        className="absolute truncate text-center font-lab text-note font-semibold"
                        style={{ left: 54 + index * column, top: 8, width: column - 4 }}
                        title={person}
                    >
                        {person.split(' ')[0]}
                    </span>
                ))}
                {day.visits
                    .filter((visit) => people.includes(visit.who))
                    .map((visit) => (
                        <Bar
                            key={visit.id}
                            visit={visit}
                            left={54 + people.indexOf(visit.who) * column}
                            width={column - 6}
                            y={y}
                            warned={day.warnings.some((warning) => warning.visit === visit.id)}
                        />
                    ))}
            </div>
            <ul className="md:hidden">
                {day.visits.map((visit) => (
                    <li key={visit.id} className="border-b border-hair">
                        <Link
                            href={url('job.survey', { job: visit.id })}
                            className="flex min-h-12 items-center gap-3 px-4"
                        >
                            <span className="mono w-24 text-small">
                                {visit.starts}–{visit.ends}
                            </span>
                            <span className="min-w-0 flex-1 truncate">
                                <b className="font-lab font-semibold">{visit.site}</b>{' '}
                                <span className="text-note text-muted">{visit.who.split(' ')[0]}</span>
                            </span>
                            {visit.done && <Glyph name="tick" />}
                        </Link>
                    </li>
                ))}
            </ul>
            {day.visits.length === 0 && (
                <p className="px-3 py-2 text-note text-muted">{say('jobs.no-visit-planned-give-a-job')}</p>
            )}
            <a className="link px-3" href={url('calendar')}>
                {say('jobs.calendar-file')}
            </a>
        </nav>
    );
}

function Bar({
    visit,
    left,
    width,
    y,
    warned,
}: {
    visit: DayVisit;
    left: number;
    width: number;
    y: (minute: number) => number;
    warned: boolean;
}) {
    const height = Math.max(44, y(visit.start + visit.minutes) - y(visit.start));
    const edge = visit.done ? 'var(--verd)' : warned ? 'var(--fault)' : 'var(--rule)';
    const field = visit.done ? 'var(--verd-wash)' : warned ? 'var(--fault-wash)' : 'var(--panel)';
    return (
        <Link
            href={url(`job.${visit.done ? 'handover' : 'survey'}`, { job: visit.id })}
            className="absolute grid place-items-center overflow-hidden"
            style={{
                left,
                top: y(visit.start),
                width,
                height,
                background: field,
                border: `1.6px solid ${edge}`,
                clipPath: 'polygon(0 0, calc(100% - 8px) 0, 100% 8px, 100% 100%, 0 100%)',
            }}
            aria-label={[
                visit.site,
                visit.who,
                say('jobs.to', { starts: visit.starts, ends: visit.ends }),
                say('jobs.minutes', { minutes: visit.minutes }),
                visit.waits > 0 && say('jobs.of-these-delays', { waits: visit.waits }),
                warned && say('jobs.does-not-fit'),
            ]
                .filter(Boolean)
                .join(', ')}
            title={`${visit.starts}–${visit.ends}`}
        >
            {height >= 110 ? (
                <span
                    className="truncate font-lab text-note font-semibold"
                    style={{ writingMode: 'vertical-rl', transform: 'rotate(180deg)', maxHeight: height - 6 }}
                >
                    {visit.site}
                </span>
            ) : (
                <span
                    className="w-full overflow-hidden px-1 font-lab text-tiny font-semibold leading-[13px]"
                    style={{ maxHeight: height - 2 }}
                >
                    {visit.site}
                </span>
            )}
        </Link>
    );
}
