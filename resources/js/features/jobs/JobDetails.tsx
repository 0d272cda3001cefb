import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said, type Answer } from '@/lib/write/api';
import { useOnce } from '@/lib/write/once';
import { reload } from '@/lib/reload';
import { useDraft } from '@/lib/drafts';
import { url } from '@/lib/url';
import type { JobRow, JobsProps } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad } from '@/ui/State';
import { Field, Kinds } from './fields';
import { say } from '@/words';

/** What a job is called, and its place in the day. */
export function JobDetails({ job, onClose }: { job: JobRow; onClose: () => void }) {
    const { kinds, day } = usePage<JobsProps>().props;
    const [data, setData, drop] = useDraft(`${job.id}/details`, {
        site: job.site,
        address: job.address,
        system: job.system,
        kind: job.kind,
        day: job.day ?? '',
        starts: job.starts ?? '',
        who: job.who ?? '',
    });
    const close = () => {
        drop();
        onClose();
    };
    const [answer, setAnswer] = useState<Answer<{ version: number }> | null>(null);
    const post = useOnce<{ version: number }>();
    const errors = answer?.kind === 'invalid' ? answer.errors : {};
    const put = (fields: Partial<typeof data>) => setData((now) => ({ ...now, ...fields }));

    const send = async () => {
        const result = await post(
            url('job.details', { job: job.id }),
            { ...data, day: data.day || null, starts: data.starts || null, who: data.who || null },
            { version: job.version },
        );
        setAnswer(result);
        if (result.kind === 'ok') {
            await reload();
            close();
        }
    };

    return (
        <Dialog open onClose={close} title={job.site}>
            <form
                className="mt-3 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void send();
                }}
            >
                <div className="grid grid-cols-2 gap-4">
                    <Field label={say('jobs.house')} bad={errors.site}>
                        <input
                            autoComplete="off"
                            value={data.site}
                            onChange={(event) => put({ site: event.target.value })}
                        />
                    </Field>
                    <Field label={say('jobs.system')} bad={errors.system}>
                        <input
                            autoComplete="off"
                            value={data.system}
                            onChange={(event) => put({ system: event.target.value })}
                        />
                    </Field>
                </div>
                <Field label={say('jobs.where')} bad={errors.address}>
                    <input
                        autoComplete="off"
                        value={data.address}
                        onChange={(event) => put({ address: event.target.value })}
                    />
                </Field>
                <Field label={say('jobs.visit')} bad={errors.kind}>
                    <Kinds kinds={kinds} value={data.kind} onChange={(kind) => put({ kind })} />
                </Field>
                <div className="grid grid-cols-2 gap-4">
                    <Field label={say('jobs.day')} bad={errors.day}>
                        <input type="date" value={data.day} onChange={(event) => put({ day: event.target.value })} />
                    </Field>
                    <Field label={say('jobs.start')} bad={errors.starts}>
                        <input
                            type="time"
                            value={data.starts}
                            onChange={(event) => put({ starts: event.target.value })}
                        />
                    </Field>
                </div>
                <Field label={say('jobs.van-or-person')} bad={errors.who}>
                    <input
                        list="people"
                        autoComplete="off"
                        value={data.who}
                        onChange={(event) => put({ who: event.target.value })}
                    />
                </Field>
                <datalist id="people">
                    {day.people.map((person) => (
                        <option key={person} value={person} />
                    ))}
                </datalist>
                {job.minutes !== null && (
                    <p className="text-small text-muted">
                        {say('jobs.expected-min-what-plan-and-proofs', { minutes: job.minutes })}
                    </p>
                )}
                <Bad>{answer && answer.kind !== 'ok' && answer.kind !== 'invalid' ? said(answer) : null}</Bad>
                <button className="btn btn--go justify-self-end">{say('jobs.keep')}</button>
            </form>
        </Dialog>
    );
}
