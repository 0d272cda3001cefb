import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said, type Answer } from '@/lib/write/api';
import { useOnce } from '@/lib/write/once';
import { url } from '@/lib/url';
import type { JobRow, JobsProps } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad } from '@/ui/State';
import { Field, Kinds } from './fields';
import { say } from '@/words';

const ways = [
    { as: 'visit', word: say('jobs.next-visit'), note: say('jobs.the-same-system-as-this-job') },
    { as: 'sister', word: say('jobs.sister-system'), note: say('jobs.another-thermostat-of-this-site-wired') },
    { as: 'duplicate', word: say('jobs.a-house-like-it'), note: say('jobs.another-site-nothing-of-it-was') },
] as const;

/** Another job from one that is there. */
export function CopyJob({ job, onClose }: { job: JobRow; onClose: () => void }) {
    const { kinds } = usePage<JobsProps>().props;
    const [as, setAs] = useState<(typeof ways)[number]['as']>('visit');
    const [kind, setKind] = useState(job.handedOverAt ? 'follow-up' : job.kind);
    const [name, setName] = useState('');
    const [answer, setAnswer] = useState<Answer<{ url: string }> | null>(null);
    const post = useOnce<{ url: string }>();
    const errors = answer?.kind === 'invalid' ? answer.errors : {};

    const send = async () => {
        const result = await post(url('job.copies', { job: job.id }), { as, kind, name });
        setAnswer(result);
        if (result.kind === 'ok') router.visit(result.data.url);
    };

    return (
        <Dialog open onClose={onClose} title={say('jobs.copy', { site: job.site })}>
            <form
                className="mt-3 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void send();
                }}
            >
                <div role="radiogroup" aria-label={say('jobs.copy-as')} className="grid border-t border-hair">
                    {ways.map((way) => (
                        <button
                            key={way.as}
                            type="button"
                            role="radio"
                            aria-checked={as === way.as}
                            onClick={() => setAs(way.as)}
                            className="min-h-14 border-b border-hair px-3 py-2 text-left aria-checked:picked"
                        >
                            <b className="block font-lab font-semibold">{way.word}</b>
                            <span className="text-small text-muted">{way.note}</span>
                        </button>
                    ))}
                </div>
                {as !== 'visit' && (
                    <Field
                        label={as === 'sister' ? say('jobs.name-of-the-system') : say('jobs.house')}
                        bad={errors.name}
                    >
                        <input
                            autoComplete="off"
                            required
                            value={name}
                            placeholder={as === 'sister' ? say('jobs.upstairs') : ''}
                            onChange={(event) => setName(event.target.value)}
                        />
                    </Field>
                )}
                <Field label={say('jobs.visit')} bad={errors.kind}>
                    <Kinds kinds={kinds} value={kind} onChange={setKind} />
                </Field>
                <Bad>{answer && answer.kind !== 'ok' && answer.kind !== 'invalid' ? said(answer) : null}</Bad>
                <button className="btn btn--go justify-self-end">{say('jobs.copy-2')}</button>
            </form>
        </Dialog>
    );
}
