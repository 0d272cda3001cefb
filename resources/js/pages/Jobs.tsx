import { Head, Link, router, usePage } from '@inertiajs/react';
import { useCallback, useState } from 'react';
import { Before } from '@/features/jobs/Before';
import { CopyJob } from '@/features/jobs/CopyJob';
import { DayRail } from '@/features/jobs/DayRail';
import { Finder } from '@/features/jobs/Finder';
import { ImportFiles } from '@/features/jobs/ImportFiles';
import { JobDetails } from '@/features/jobs/JobDetails';
import { JobMenu, type Shelve } from '@/features/jobs/JobMenu';
import { JobsBar } from '@/features/jobs/JobsBar';
import { NewJob } from '@/features/jobs/NewJob';
import { Row } from '@/features/jobs/Row';
import { post, said } from '@/lib/write/api';
import { useKeys } from '@/lib/hooks';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import type { JobRow, JobsProps, Show } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { UndoBar } from '@/ui/UndoBar';
import { say } from '@/words';

export default function Jobs() {
    const { jobs, total, waiting, find, meant, show, counts, day, now, user } = usePage<JobsProps>().props;
    const [adding, setAdding] = useState(false);
    const [importing, setImporting] = useState<File[] | null>(null);
    const [copying, setCopying] = useState<JobRow | null>(null);
    const [detailing, setDetailing] = useState<JobRow | null>(null);
    const [away, setAway] = useState<{ what: string; id: string; back: 'list' | 'restore' } | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    const gone = useCallback(() => setAway(null), []);
    useKeys({
        n: user?.works ? () => setAdding(true) : undefined,
        '/': () => document.getElementById('find')?.focus(),
    });

    const ask = (asked: { find?: string; show?: Show; rows?: number }) => {
        const { find: words, show: part, rows } = { find, show, ...asked };
        router.get(
            url('jobs'),
            {
                find: words || undefined,
                show: part === 'all' ? undefined : part,
                day: day.isToday ? undefined : day.date,
                rows,
            },
            { preserveState: true, preserveScroll: true, replace: true },
        );
    };

    const shelve = async (id: string, ...[to, undo]: Parameters<Shelve>) => {
        const answer = await post(url('job.shelf', { job: id }), { to });
        setProblem(answer.kind === 'ok' ? null : said(answer));
        if (answer.kind !== 'ok') return;
        await reload();
        setAway(undo ? { ...undo, id } : null);
    };
    const underWay = counts.open;

    return (
        <div
            className="shell"
            onDragOver={(event) => event.preventDefault()}
            onDrop={(event) => {
                event.preventDefault();
                if (user?.works && event.dataTransfer.files.length > 0) setImporting([...event.dataTransfer.files]);
            }}
        >
            <Head title={say('jobs.jobs-2')} />
            <JobsBar />
            <DayRail day={day} now={now} />
            <main className="main" scroll-region="">
                <div className="head">
                    <div>
                        <h1 className="h-step">{say('jobs.jobs-2')}</h1>
                        <p>
                            {say('jobs.under-way-handed-over', { underWay, max: Math.max(0, counts.all - underWay) })}
                        </p>
                    </div>
                    <div className="flex gap-2.5">
                        <Link className="link px-2" href={url('figures')}>
                            {say('jobs.figures')}
                        </Link>
                        {user?.works && (
                            <>
                                <button className="btn btn--quiet" onClick={() => setImporting([])}>
                                    <Glyph name="bring" /> {say('jobs.import')}
                                </button>
                                <button className="btn btn--go" onClick={() => setAdding(true)}>
                                    <Glyph name="plus" /> {say('jobs.new-job')}{' '}
                                    <span className="key">{say('jobs.n')}</span>
                                </button>
                            </>
                        )}
                    </div>
                </div>
                <Finder find={find} show={show} counts={counts} onAsk={ask} />
                {problem && (
                    <div className="px-5 py-2">
                        <Bad>{problem}</Bad>
                    </div>
                )}
                {jobs.length === 0 && (
                    <p className="p-5 text-muted">
                        {find !== ''
                            ? say('jobs.no-job-fits', { find })
                            : show === 'archived'
                              ? say('jobs.nothing-is-put-away')
                              : show === 'flagged'
                                ? say('jobs.nothing-is-flagged-no-site-is')
                                : say('jobs.no-jobs-yet-open-the-first')}{' '}
                        {meant !== null && (
                            <button className="link" onClick={() => ask({ find: meant })}>
                                {say('jobs.did-you-mean', { meant })}
                            </button>
                        )}
                    </p>
                )}
                <ul>
                    {jobs.map((job) => (
                        <li key={job.id} className="flex items-center border-b border-hair hover:bg-panel">
                            <Row job={job} now={now} />
                            <JobMenu
                                job={job}
                                onDetails={() => setDetailing(job)}
                                onCopy={() => setCopying(job)}
                                onShelve={(to, undo) => void shelve(job.id, to, undo)}
                            />
                        </li>
                    ))}
                </ul>
                {(total > jobs.length || waiting > 0) && (
                    <p className="flex min-h-14 flex-wrap items-center gap-x-5 px-5 text-small text-muted">
                        {total > jobs.length && (
                            <>
                                {say('jobs.of-shown-search-narrows-it', { jobs: jobs.length, total })}
                                <button
                                    className="btn btn--small"
                                    onClick={() => ask({ rows: Math.min(600, jobs.length * 3) })}
                                >
                                    {say('jobs.show-more')}
                                </button>
                            </>
                        )}
                        {waiting > 0 && (
                            <span role="status">{say('jobs.1-job-is-other-still-being', { waiting })}</span>
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
