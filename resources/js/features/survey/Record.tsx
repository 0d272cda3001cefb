import { clsx } from 'clsx';
import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/write/api';
import type { Edits } from '@/lib/write/edits';
import { moment } from '@/lib/format';
import { url } from '@/lib/url';
import { number } from '@/lib/numbers';
import type { SurveyProps } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** Who changed what and when, the visits of the system, and the conductor schedule both ways. */
export function Record({
    jobId,
    changes,
    visits,
    assumes,
    edits,
    closed,
}: Pick<SurveyProps, 'changes' | 'visits' | 'assumes'> & { jobId: string; edits: Edits; closed: boolean }) {
    const [bad, setBad] = useState('');
    const read = async (file: File) => {
        if (file.size > 200_000)
            return setBad(
                say('survey.is-kb-a-conductor-schedule-has', { name: file.name, file: number(file.size / 1000) }),
            );
        const answer = await edits.send('read-schedule', { csv: await file.text() });
        setBad(answer.kind === 'ok' ? '' : said(answer));
    };
    return (
        <section
            className="grid gap-x-8 gap-y-4 border-t border-hair px-5 py-3 sm:grid-cols-2"
            aria-label={say('survey.record')}
        >
            <div>
                <h2 className="h-sec">{say('survey.a-plan-from-this-would-assume')}</h2>
                {assumes.length === 0 ? (
                    <p className="text-small text-verd-ink">{say('survey.nothing-all-it-rests-on-was')}</p>
                ) : (
                    <ul className="mt-1 list-disc pl-5 text-small leading-5">
                        {assumes.map((item) => (
                            <li key={item}>{item}</li>
                        ))}
                    </ul>
                )}
                <h2 className="h-sec mt-4">{say('survey.conductor-schedule')}</h2>
                <p className="flex flex-wrap items-center gap-x-5">
                    <a className="link" href={url('job.conductors-csv', { job: jobId })}>
                        {say('survey.save-as-csv')}
                    </a>
                    <a className="link" href={url('job.job-file', { job: jobId })}>
                        {say('survey.job-file')}
                    </a>
                    {!closed && (
                        <label
                            className={clsx(
                                'link cursor-pointer focus-within:outline focus-within:outline-3',
                                'focus-within:outline-copper',
                            )}
                        >
                            {say('survey.read-a-csv')}
                            <input
                                className="vh"
                                type="file"
                                accept=".csv,text/csv"
                                onChange={(event) => {
                                    const file = event.target.files?.[0];
                                    if (file) void read(file);
                                    event.target.value = '';
                                }}
                            />
                        </label>
                    )}
                </p>
                <Bad>{bad}</Bad>
                {visits.length > 1 && (
                    <>
                        <h2 className="h-sec mt-4">{say('survey.visits-to-this-system')}</h2>
                        <ul>
                            {visits.map((visit) => (
                                <li key={visit.id} className="flex min-h-11 items-center gap-3 border-t border-hair">
                                    <span className="mono text-small">{moment(visit.at)}</span>
                                    <span>
                                        {visit.kind}
                                        {visit.handedOverAt && say('survey.handed-over')}
                                        {visit.follows && say('survey.the-one-before-this')}
                                    </span>
                                    {visit.current ? (
                                        <span className="text-muted">{say('survey.this-one')}</span>
                                    ) : (
                                        <Link
                                            className="link"
                                            href={url(`job.${visit.handedOverAt ? 'handover' : 'survey'}`, {
                                                job: visit.id,
                                            })}
                                        >
                                            {say('survey.open-2')}
                                        </Link>
                                    )}
                                </li>
                            ))}
                        </ul>
                    </>
                )}
            </div>
            <div>
                <h2 className="h-sec">{say('survey.who-changed-what')}</h2>
                <ol
                    className="mt-1 max-h-72 overflow-y-auto text-small leading-5"
                    tabIndex={0}
                    aria-label={say('survey.changes-latest-first')}
                >
                    {changes.map((change) => (
                        <li key={change.version} className="border-t border-hair py-1">
                            <span className="mono text-note text-muted">{moment(change.at)}</span> {change.by}{' '}
                            {change.what}
                        </li>
                    ))}
                </ol>
            </div>
        </section>
    );
}
