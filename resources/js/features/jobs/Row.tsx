import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';
import type { ReactNode } from 'react';
import { ago, clock, day as dayWord, today } from '@/lib/format';
import { url } from '@/lib/url';
import type { JobRow } from '@/types';
import { State } from '@/ui/State';
import { MiniTape, Strands } from './Small';
import { say } from '@/words';

/** A job of the list: when and who, the house, its cable, how far it is, what is live or left to put back. */
export function Row({ job, now }: { job: JobRow; now: string }) {
    const stage = job.handedOverAt ? 'handover' : job.now.key;
    return (
        <Way
            to={job.deleted ? null : url(`job.${stage}`, { job: job.id })}
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
                    <span className="text-note text-muted">{say('jobs.no-day')}</span>
                )}
                {job.minutes !== null && (
                    <span className="mono block text-note text-muted">{say('jobs.min', { minutes: job.minutes })}</span>
                )}
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
                        ? say('jobs.handed-over', {
                              dayWord: dayWord(job.handedOverAt),
                              handedOverAt: clock(job.handedOverAt),
                          })
                        : `${job.now.name}, ${job.now.word}`}
                </span>
            </div>
            <div className="grid gap-1.5">
                {job.deleted || job.archived ? (
                    <span className="text-note text-muted">
                        {job.deleted ? say('jobs.deleted') : say('jobs.archived-2')}
                        {job.awayBy && say('jobs.by', { awayBy: job.awayBy })}
                        {job.awayAt && `, ${dayWord(job.awayAt)}`}
                    </span>
                ) : job.handedOverAt ? (
                    <State glyph="tick" tone="muted">
                        {say('jobs.closed')}
                    </State>
                ) : (
                    <>
                        {job.power.state === 'live' && (
                            <State glyph="live" tone="live">
                                {say('jobs.live-24-v')}
                            </State>
                        )}
                        {job.power.state === 'live' && job.power.old && job.power.at && (
                            <span className="text-note text-muted">
                                {say('jobs.read', { ago: ago(job.power.at, now) })}
                            </span>
                        )}
                        {job.power.state === 'isolated' && (
                            <State glyph="iso" tone="iso">
                                {say('jobs.isolated')}
                            </State>
                        )}
                        {job.power.state === 'not-proved' && (
                            <State glyph="need" tone="muted">
                                {say('jobs.not-proved')}
                            </State>
                        )}
                        {job.restore.length > 0 && (
                            <State glyph="caution" tone="caution">
                                {say('jobs.to-put-back', { restore: job.restore.length })}
                            </State>
                        )}
                        {job.fails && (
                            <State glyph="fault" tone="fault">
                                {say('jobs.a-call-fails')}
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
