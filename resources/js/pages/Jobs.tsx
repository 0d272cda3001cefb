import { clsx } from 'clsx';
import { Head, Link, router, usePage } from '@inertiajs/react';
import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { Before } from '@/features/jobs/Before';
import { CopyJob } from '@/features/jobs/CopyJob';
import { DayRail } from '@/features/jobs/DayRail';
import { ImportFiles } from '@/features/jobs/ImportFiles';
import { JobDetails } from '@/features/jobs/JobDetails';
import { NewJob } from '@/features/jobs/NewJob';
import { post, said } from '@/lib/api';
import { ago, day as dayWord, clock, today } from '@/lib/format';
import { useKeys } from '@/lib/hooks';
import { reload } from '@/lib/reload';
import { Mark } from '@/shell/Shell';
import { Tools } from '@/shell/Tools';
import type { JobRow, JobsProps, Show } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Menu } from '@/ui/Menu';
import { Bad, State } from '@/ui/State';
import { UndoBar } from '@/ui/UndoBar';

const shows: { key: Show; word: string }[] = [
    { key: 'all', word: 'All' },
    { key: 'open', word: 'Open' },
    { key: 'flagged', word: 'Flagged' },
    { key: 'archived', word: 'Put away' },
];

export default function Jobs() {
    const { jobs, total, waiting, find, show, counts, day, user, now } = usePage<JobsProps>().props;
    const [search, setSearch] = useState(find);
    const [adding, setAdding] = useState(false);
    const [importing, setImporting] = useState<File[] | null>(null);
    const [copying, setCopying] = useState<JobRow | null>(null);
    const [detailing, setDetailing] = useState<JobRow | null>(null);
    const [away, setAway] = useState<{ what: string; id: string; back: 'list' | 'restore' } | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    const gone = useCallback(() => setAway(null), []);
    useKeys({ n: () => setAdding(true), '/': () => document.getElementById('find')?.focus() });

    const asked = useRef(find);
    useEffect(() => {
        if (search === asked.current) return;
        const timer = setTimeout(() => {
            asked.current = search;
            router.get(
                '/jobs',
                {
                    find: search || undefined,
                    show: show === 'all' ? undefined : show,
                    day: day.isToday ? undefined : day.date,
                },
                { preserveState: true, preserveScroll: true, replace: true },
            );
        }, 180);
        return () => clearTimeout(timer);
    }, [search, show, day]);

    const shelve = async (
        id: string,
        to: 'archive' | 'list' | 'delete' | 'restore',
        undo?: { what: string; back: 'list' | 'restore' },
    ) => {
        const answer = await post(`/jobs/${id}/shelf`, { to });
        setProblem(answer.kind === 'ok' ? null : said(answer));
        if (answer.kind !== 'ok') return;
        await reload();
        setAway(undo ? { ...undo, id } : null);
    };
    const asking = {
        find: search || undefined,
        show: show === 'all' ? undefined : show,
        day: day.isToday ? undefined : day.date,
    };
    const live = jobs.filter((job) => job.power.state === 'live' && job.handedOverAt === null);
    const underWay = counts.open;

    return (
        <div
            className="shell"
            onDragOver={(event) => event.preventDefault()}
            onDrop={(event) => {
                event.preventDefault();
                if (event.dataTransfer.files.length > 0) setImporting([...event.dataTransfer.files]);
            }}
        >
            <Head title="Jobs" />
            <header className="bar">
                <Mark />
                <div className="bar__job">
                    <b>{user?.crew}</b>
                    <span>{dayWord(now)}</span>
                </div>
                {live.length > 0 && (
                    <div className="pf pf--live">
                        <div className="pf__flag" role="status">
                            <Glyph name="live" size={28} />
                            <div>
                                <b>{live.length === 1 ? '1 SITE LIVE' : `${live.length} SITES LIVE`}</b>
                                <span className="max-w-[180px] overflow-hidden text-ellipsis">{live[0]?.site}</span>
                            </div>
                        </div>
                    </div>
                )}
                <Tools />
            </header>
            <DayRail day={day} now={now} />
            <main className="main">
                <div className="head">
                    <div>
                        <h1 className="h-step">Jobs</h1>
                        <p>
                            {underWay} under way, {Math.max(0, counts.all - underWay)} handed over.
                        </p>
                    </div>
                    <div className="flex gap-2.5">
                        <Link className="link px-2" href="/figures">
                            Figures
                        </Link>
                        <button className="btn btn--quiet" onClick={() => setImporting([])}>
                            <Glyph name="bring" /> Import
                        </button>
                        <button className="btn btn--go" onClick={() => setAdding(true)}>
                            <Glyph name="plus" /> New job <span className="key">N</span>
                        </button>
                    </div>
                </div>
                <div className="band flex flex-wrap items-stretch">
                    <label className="flex min-h-[50px] min-w-[220px] flex-1 items-center gap-3 px-5">
                        <Glyph name="find" />
                        <span className="vh">Find a job</span>
                        <input
                            id="find"
                            type="search"
                            className="h-full w-full bg-transparent"
                            placeholder="house, strand, terminal or any word for it"
                            maxLength={100}
                            value={search}
                            onChange={(event) => setSearch(event.target.value)}
                        />
                    </label>
                    <div role="group" aria-label="Filter" className="flex max-sm:w-full max-sm:overflow-x-auto">
                        {shows.map((item) => (
                            <button
                                key={item.key}
                                aria-pressed={show === item.key}
                                className={clsx(
                                    'min-h-[50px] border-l border-hair px-3.5 font-lab font-semibold',
                                    'aria-pressed:bg-ink aria-pressed:text-bone',
                                )}
                                onClick={() =>
                                    router.get(
                                        '/jobs',
                                        {
                                            show: item.key === 'all' ? undefined : item.key,
                                            find: search || undefined,
                                            day: day.isToday ? undefined : day.date,
                                        },
                                        { preserveState: true, preserveScroll: true, replace: true },
                                    )
                                }
                            >
                                {item.word} <span className="opacity-80">{counts[item.key]}</span>
                            </button>
                        ))}
                    </div>
                </div>
                {problem && (
                    <div className="px-5 py-2">
                        <Bad>{problem}</Bad>
                    </div>
                )}
                {jobs.length === 0 && (
                    <p className="p-5 text-muted">
                        {find !== ''
                            ? `No job fits “${find}”.`
                            : show === 'archived'
                              ? 'Nothing is put away.'
                              : show === 'flagged'
                                ? 'Nothing is flagged: no site is live, nothing is left to put back, no call fails.'
                                : 'No jobs yet. Open the first one, or drop a job file here.'}
                    </p>
                )}
                <ul>
                    {jobs.map((job) => (
                        <li key={job.id} className="flex items-center border-b border-hair hover:bg-panel">
                            <Row job={job} now={now} />
                            <Menu
                                label={`More for ${job.site}${job.system === 'System' ? '' : `, ${job.system}`}`}
                                items={[
                                    { word: 'Name, day and person', act: () => setDetailing(job) },
                                    { word: 'Copy …', act: () => setCopying(job) },
                                    { word: 'Job file', act: () => window.location.assign(`/jobs/${job.id}/job-file`) },
                                    ...(job.deleted
                                        ? [{ word: 'Restore', act: () => void shelve(job.id, 'restore') }]
                                        : job.archived
                                          ? [
                                                {
                                                    word: 'Take out of the archive',
                                                    act: () => void shelve(job.id, 'list'),
                                                },
                                            ]
                                          : [
                                                {
                                                    word: 'Archive',
                                                    act: () =>
                                                        void shelve(job.id, 'archive', {
                                                            what: `Archived ${job.site}.`,
                                                            back: 'list',
                                                        }),
                                                },
                                            ]),
                                    ...(job.deleted || job.handedOverAt
                                        ? []
                                        : [
                                              {
                                                  word: 'Delete',
                                                  grave: true,
                                                  act: () =>
                                                      void shelve(job.id, 'delete', {
                                                          what: `Deleted ${job.site}. It stands under Put away.`,
                                                          back: 'restore',
                                                      }),
                                              },
                                          ]),
                                ].filter(
                                    (item) =>
                                        (!job.deleted || item.word === 'Restore') &&
                                        (job.handedOverAt === null || item.word !== 'Name, day and person'),
                                )}
                            />
                        </li>
                    ))}
                </ul>
                {(total > jobs.length || waiting > 0) && (
                    <p className="flex min-h-14 flex-wrap items-center gap-x-5 px-5 text-small text-muted">
                        {total > jobs.length && (
                            <>
                                {jobs.length} of {total} shown. Search narrows it.
                                <button
                                    className="btn btn--small"
                                    onClick={() =>
                                        router.get(
                                            '/jobs',
                                            { ...asking, rows: Math.min(600, jobs.length * 3) },
                                            { preserveState: true, preserveScroll: true, replace: true },
                                        )
                                    }
                                >
                                    Show more
                                </button>
                            </>
                        )}
                        {waiting > 0 && (
                            <span role="status">
                                {waiting === 1 ? '1 job is' : `${waiting} jobs are`} still being read: what stands here
                                of them may be old.
                            </span>
                        )}
                    </p>
                )}
            </main>
            <Before day={day} />
            <NewJob open={adding} onClose={() => setAdding(false)} />
            {importing && <ImportFiles dropped={importing} onClose={() => setImporting(null)} />}
            {copying && <CopyJob job={copying} onClose={() => setCopying(null)} />}
            {detailing && <JobDetails job={detailing} onClose={() => setDetailing(null)} />}
            {away && <UndoBar what={away.what} onGone={gone} onUndo={() => void shelve(away.id, away.back)} />}
        </div>
    );
}

function Row({ job, now }: { job: JobRow; now: string }) {
    const stage = job.handedOverAt ? 'handover' : job.now.key;
    return (
        <Way
            to={job.deleted ? null : `/jobs/${job.id}/${stage}`}
            className={clsx(
                'grid min-h-[84px] min-w-0 flex-1 grid-cols-[minmax(0,1fr)] items-center gap-x-4 gap-y-2 py-3',
                'pl-5 md:grid-cols-[84px_minmax(150px,1.4fr)_170px_minmax(112px,1fr)]',
                'xl:grid-cols-[84px_minmax(150px,1.4fr)_124px_170px_minmax(104px,1fr)]',
            )}
        >
            <div className="max-md:hidden">
                {job.starts ? (
                    <>
                        <b className="mono block text-head font-medium">{job.starts}</b>
                        <span className="block truncate text-note text-muted">
                            {job.day === today() ? job.who?.split(' ')[0] : job.day && dayWord(`${job.day}T12:00:00Z`)}
                        </span>
                    </>
                ) : (
                    <span className="text-note text-muted">no day</span>
                )}
                {job.minutes !== null && <span className="mono block text-note text-muted">{job.minutes} min</span>}
            </div>
            <div className="min-w-0">
                <b className="block truncate font-lab text-title font-semibold leading-6">
                    {job.site}
                    {job.system !== 'System' && <span className="font-medium text-muted"> {job.system}</span>}
                </b>
                <span className="block text-note text-muted">
                    {job.equipment} · {job.cable}
                    {job.mark && <span className="block text-caution-ink">{job.mark}</span>}
                </span>
            </div>
            <div className="max-xl:hidden">
                <Strands strands={job.strands} />
            </div>
            <div>
                <MiniTape tape={job.tape} current={stage} />
                <span
                    className={clsx(
                        'mt-1.5 block font-lab text-note font-semibold',
                        job.handedOverAt ? 'text-verd-ink' : 'text-copper-ink',
                    )}
                >
                    {job.handedOverAt
                        ? `handed over ${dayWord(job.handedOverAt)} ${clock(job.handedOverAt)}`
                        : `${job.now.name}, ${job.now.word}`}
                </span>
            </div>
            <div className="grid gap-1.5">
                {job.deleted || job.archived ? (
                    <span className="text-note text-muted">
                        {job.deleted ? 'deleted' : 'archived'}
                        {job.awayBy && ` by ${job.awayBy}`}
                        {job.awayAt && `, ${dayWord(job.awayAt)}`}
                    </span>
                ) : job.handedOverAt ? (
                    <State glyph="tick" tone="muted">
                        closed
                    </State>
                ) : (
                    <>
                        {job.power.state === 'live' && (
                            <State glyph="live" tone="live">
                                LIVE 24 V
                            </State>
                        )}
                        {job.power.state === 'live' && job.power.old && job.power.at && (
                            <span className="text-note text-muted">read {ago(job.power.at, now)}</span>
                        )}
                        {job.power.state === 'isolated' && (
                            <State glyph="iso" tone="iso">
                                ISOLATED
                            </State>
                        )}
                        {job.power.state === 'not-proved' && (
                            <State glyph="need" tone="muted">
                                not proved
                            </State>
                        )}
                        {job.restore.length > 0 && (
                            <State glyph="caution" tone="caution">
                                {job.restore.length} to put back
                            </State>
                        )}
                        {job.fails && (
                            <State glyph="fault" tone="fault">
                                a call fails
                            </State>
                        )}
                    </>
                )}
            </div>
        </Way>
    );
}

/** A deleted job stands in the list, and is no way into it. */
function Way({ to, className, children }: { to: string | null; className: string; children: ReactNode }) {
    return to === null ? (
        <div className={className}>{children}</div>
    ) : (
        <Link href={to} className={className}>
            {children}
        </Link>
    );
}

/** The thermostat cable in small: what was seen of it, or nothing yet. */
function Strands({ strands }: { strands: JobRow['strands'] }) {
    const rows = Math.max(4, strands.length);
    return (
        <svg
            width="124"
            height={rows * 8 + 8}
            viewBox={`0 0 124 ${rows * 8 + 8}`}
            className="max-md:hidden"
            role="img"
            aria-label={strands.length === 0 ? 'Cable not seen yet' : `Cable with ${strands.length} conductors`}
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

function MiniTape({ tape, current }: { tape: JobRow['tape']; current: string }) {
    return (
        <svg
            width="166"
            height="26"
            viewBox="0 0 166 26"
            role="img"
            aria-label={
                tape.length === 0
                    ? 'Progress is being read'
                    : tape.map((segment) => `${segment.name} ${segment.done} of ${segment.n}`).join(', ')
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
