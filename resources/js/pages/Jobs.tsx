import { Head, Link, usePage } from '@inertiajs/react';
import { useMemo, useState } from 'react';
import { day, clock } from '@/lib/format';
import { useKeys } from '@/lib/hooks';
import { NewJob } from '@/features/jobs/NewJob';
import { Mark, Tools } from '@/shell/Shell';
import type { JobRow, JobsProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';

const filters = [
    { key: 'all', word: 'All', test: () => true },
    { key: 'open', word: 'Open', test: (job: JobRow) => job.handedOverAt === null },
    { key: 'flagged', word: 'Flagged', test: (job: JobRow) => job.handedOverAt === null && (job.power.state === 'live' || job.restore.length > 0 || job.tape.some((segment) => segment.state === 'stuck')) },
] as const;

export default function Jobs() {
    const { jobs, user, now } = usePage<JobsProps>().props;
    const [search, setSearch] = useState('');
    const [filter, setFilter] = useState<(typeof filters)[number]['key']>('all');
    const [adding, setAdding] = useState(false);
    useKeys({ n: () => setAdding(true), '/': () => document.getElementById('find')?.focus() });

    const words = search.toLowerCase().trim();
    const shown = useMemo(() => {
        const test = filters.find((candidate) => candidate.key === filter)?.test ?? (() => true);
        return jobs.filter((job) => test(job) && [job.site, job.address, job.kind, job.equipment].join(' ').toLowerCase().includes(words));
    }, [jobs, filter, words]);
    const live = jobs.filter((job) => job.power.state === 'live' && job.handedOverAt === null);
    const underWay = jobs.filter((job) => job.handedOverAt === null).length;

    return (
        <div className="shell shell--plain">
            <Head title="Jobs" />
            <header className="bar">
                <Mark />
                <div className="bar__job">
                    <b>{user?.crew}</b>
                    <span>{day(now)}</span>
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
            <main className="main">
                <div className="head">
                    <div>
                        <h1 className="h-step">Jobs</h1>
                        <p>
                            {underWay} under way, {jobs.length - underWay} handed over.
                        </p>
                    </div>
                    <button className="btn btn--go" onClick={() => setAdding(true)}>
                        <Glyph name="plus" /> New job <span className="key">N</span>
                    </button>
                </div>
                <div className="band flex flex-wrap items-stretch">
                    <label className="flex min-h-[50px] min-w-[220px] flex-1 items-center gap-3 px-5">
                        <Glyph name="find" />
                        <span className="vh">Find a job</span>
                        <input id="find" type="search" className="h-full w-full bg-transparent" placeholder="house, equipment or kind" value={search} onChange={(event) => setSearch(event.target.value)} />
                    </label>
                    <div role="group" aria-label="Filter" className="flex">
                        {filters.map((item) => (
                            <button key={item.key} aria-pressed={filter === item.key} className="min-h-[50px] border-l border-hair px-4 font-lab font-semibold aria-pressed:bg-ink aria-pressed:text-bone" onClick={() => setFilter(item.key)}>
                                {item.word} <span className="opacity-80">{jobs.filter(item.test).length}</span>
                            </button>
                        ))}
                    </div>
                </div>
                {shown.length === 0 && <p className="p-5 text-muted">{jobs.length === 0 ? 'No jobs yet. Open the first one.' : 'No job fits that.'}</p>}
                <ul>
                    {shown.map((job) => (
                        <li key={job.id}>
                            <Row job={job} />
                        </li>
                    ))}
                </ul>
            </main>
            <NewJob open={adding} onClose={() => setAdding(false)} />
        </div>
    );
}

function Row({ job }: { job: JobRow }) {
    const stage = job.handedOverAt ? 'handover' : job.now.key;
    return (
        <Link href={`/jobs/${job.id}/${stage}`} className="grid min-h-[88px] grid-cols-[minmax(0,1fr)_24px] items-center gap-x-6 gap-y-2 border-b border-hair px-5 py-3 hover:bg-panel md:grid-cols-[minmax(190px,1.4fr)_140px_minmax(180px,1fr)_minmax(140px,1fr)_24px]">
            <div className="min-w-0">
                <b className="block font-lab text-[18px] font-semibold leading-6">{job.site}</b>
                <span className="block text-[13px] text-muted">
                    {job.equipment} · {job.cable}
                </span>
            </div>
            <Strands strands={job.strands} />
            <div className="max-md:col-span-2">
                <MiniTape tape={job.tape} current={stage} />
                <span className={`mt-1.5 block font-lab text-[13px] font-semibold ${job.handedOverAt ? 'text-verd-ink' : 'text-copper-ink'}`}>{job.handedOverAt ? `handed over ${day(job.handedOverAt)} ${clock(job.handedOverAt)}` : `${job.now.name}, ${job.now.word}`}</span>
            </div>
            <div className="grid gap-1.5 max-md:col-span-2">
                {job.handedOverAt ? (
                    <State glyph="tick" tone="muted">closed</State>
                ) : (
                    <>
                        {job.power.state === 'live' && <State glyph="live" tone="live">LIVE 24 V</State>}
                        {job.power.state === 'isolated' && <State glyph="iso" tone="iso">ISOLATED</State>}
                        {job.power.state === 'not-proved' && <State glyph="need" tone="muted">not proved</State>}
                        {job.restore.length > 0 && <State glyph="caution" tone="caution">{job.restore.length} to put back</State>}
                        {job.tape.some((segment) => segment.state === 'stuck') && <State glyph="fault" tone="fault">a call fails</State>}
                    </>
                )}
            </div>
            <Glyph name="right" style={{ gridRow: 1, gridColumn: -2, alignSelf: 'center' }} />
        </Link>
    );
}

/** The thermostat cable in small: what was seen of it, or nothing yet. */
function Strands({ strands }: { strands: JobRow['strands'] }) {
    const rows = Math.max(4, strands.length);
    return (
        <svg width="124" height={rows * 8 + 8} viewBox={`0 0 124 ${rows * 8 + 8}`} className="max-md:hidden" role="img" aria-label={strands.length === 0 ? 'Cable not seen yet' : `Cable with ${strands.length} conductors`}>
            <rect x="36" y="0" width="52" height={rows * 8 + 8} fill={strands.length === 0 ? 'none' : 'var(--jacket)'} stroke={strands.length === 0 ? 'var(--rule)' : 'none'} strokeDasharray="4 3" />
            {strands.length === 0
                ? Array.from({ length: 4 }, (_, row) => <path key={row} d={`M2 ${8 + row * 8}H122`} stroke="var(--rule)" strokeWidth="2" strokeDasharray="2 5" />)
                : strands.map((strand, row) => (
                      <g key={row}>
                          <path d={`M${strand.landed ? 2 : 20} ${8 + row * 8}H${strand.landed ? 122 : 104}`} stroke="var(--bare)" strokeWidth="2" />
                          <rect x="9" y={5 + row * 8} width="106" height="6" fill="var(--strand-edge)" />
                          <rect x="10" y={6 + row * 8} width="104" height="4" fill={`var(--ins-${strand.colour})`} />
                      </g>
                  ))}
        </svg>
    );
}

function MiniTape({ tape, current }: { tape: JobRow['tape']; current: string }) {
    return (
        <svg width="166" height="26" viewBox="0 0 166 26" role="img" aria-label={tape.map((segment) => `${segment.name} ${segment.done} of ${segment.n}`).join(', ')}>
            {tape.map((segment, index) => {
                const y = index % 2 ? 6 : 1;
                const done = segment.state === 'done';
                const part = segment.n > 0 ? segment.done / segment.n : 0;
                const colour = segment.state === 'stuck' ? 'var(--fault)' : done ? 'var(--verd)' : segment.key === current ? 'var(--copper)' : 'var(--rule)';
                return (
                    <g key={segment.key} transform={`translate(${index * 32 + 1} ${y})`}>
                        <rect width="32" height="18" fill={done ? colour : 'var(--panel)'} stroke={colour} strokeWidth="1.6" />
                        {!done && <rect width={32 * part} height="18" fill={colour} />}
                        {done && <path d="M10 9.5 14.5 13.5 22 5" fill="none" stroke="var(--on-verd)" strokeWidth="2.2" />}
                    </g>
                );
            })}
        </svg>
    );
}
