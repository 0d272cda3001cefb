import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said, type Answer } from '@/lib/write/api';
import { useOnce } from '@/lib/write/once';
import { sent, shown, unitOf, useUnits, written, type Entry } from '@/lib/units';
import { useDraft } from '@/lib/drafts';
import { url } from '@/lib/url';
import type { JobsProps } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad } from '@/ui/State';
import { Tick } from '@/ui/Tick';
import { Field, Kinds } from './fields';
import { say } from '@/words';

/** Opens a job: a new house, or another system of a known one; what kind of visit; what equipment, if anybody knows. */
export function NewJob({ open, onClose }: { open: boolean; onClose: () => void }) {
    const { kinds, archetypes, sites } = usePage<JobsProps>().props;
    const units = useUnits();
    const [data, setData, drop] = useDraft('new-job', {
        site_id: '',
        site: '',
        address: '',
        system: '',
        kind: kinds[1]?.value ?? '',
        archetype: '',
        length: { text: String(Math.round(shown(40, 'ft', units))), units } as Entry,
        example: false,
    });
    const [answer, setAnswer] = useState<Answer<{ url: string }> | null>(null);
    const [working, setWorking] = useState(false);
    const post = useOnce<{ url: string }>();
    const errors = answer?.kind === 'invalid' ? answer.errors : {};
    const put = (fields: Partial<typeof data>) => setData((now) => ({ ...now, ...fields }));
    const sister = sites.find((site) => site.id === data.site_id);

    const send = async () => {
        setWorking(true);
        const { length, ...fields } = data;
        const result = await post(url('jobs'), {
            ...fields,
            feet: sent(length, 'ft'),
            site_id: data.site_id || null,
            archetype: data.archetype || null,
            system: data.system || null,
        });
        setWorking(false);
        setAnswer(result);
        if (result.kind !== 'ok') return;
        drop();
        router.visit(result.data.url);
    };

    return (
        <Dialog open={open} onClose={onClose} title={say('jobs.new-job')}>
            <form
                className="mt-3 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void send();
                }}
            >
                {sites.length > 0 && (
                    <Field label={say('jobs.site')}>
                        <select value={data.site_id} onChange={(event) => put({ site_id: event.target.value })}>
                            <option value="">{say('jobs.a-new-site')}</option>
                            {sites.map((site) => (
                                <option key={site.id} value={site.id}>
                                    {site.name}
                                </option>
                            ))}
                        </select>
                    </Field>
                )}
                {sister ? (
                    <Field
                        label={say('jobs.system')}
                        bad={errors.system}
                        note={say('jobs.another-one-beside', { systems: sister.systems.join(', ') })}
                    >
                        <input
                            autoComplete="off"
                            required
                            value={data.system}
                            placeholder={say('jobs.upstairs')}
                            onChange={(event) => put({ system: event.target.value })}
                        />
                    </Field>
                ) : (
                    <>
                        <Field label={say('jobs.house')} bad={errors.site}>
                            <input
                                autoComplete="off"
                                required
                                value={data.site}
                                aria-invalid={!!errors.site}
                                onChange={(event) => put({ site: event.target.value })}
                            />
                        </Field>
                        <Field label={say('jobs.where')} bad={errors.address}>
                            <input
                                autoComplete="off"
                                value={data.address}
                                onChange={(event) => put({ address: event.target.value })}
                            />
                        </Field>
                    </>
                )}
                <div className="grid grid-cols-2 gap-4">
                    <Field label={say('jobs.visit')} bad={errors.kind}>
                        <Kinds kinds={kinds} value={data.kind} onChange={(kind) => put({ kind })} />
                    </Field>
                    <Field label={say('jobs.wall-cable', { unit: unitOf('ft', units) })} bad={errors.feet}>
                        <input
                            inputMode="decimal"
                            autoComplete="off"
                            value={written(data.length, 'ft', units)}
                            aria-invalid={!!errors.feet}
                            onChange={(event) => put({ length: { text: event.target.value, units } })}
                        />
                    </Field>
                </div>
                <Field label={say('jobs.equipment')} bad={errors.archetype}>
                    <select value={data.archetype} onChange={(event) => put({ archetype: event.target.value })}>
                        <option value="">{say('jobs.not-seen-yet-the-survey-asks')}</option>
                        {archetypes.map((archetype) => (
                            <option key={archetype.id} value={archetype.id}>
                                {archetype.title}
                            </option>
                        ))}
                    </select>
                </Field>
                {data.archetype !== '' && (
                    <div className="flex items-center gap-2">
                        <Tick
                            checked={data.example}
                            label={say('jobs.wire-it-as-the-plain-example')}
                            onChange={(example) => put({ example })}
                        />
                        <span>
                            {say('jobs.wire-it-as-the-plain-example-2')}{' '}
                            <span className="text-small text-muted">{say('jobs.to-try-things-out-nothing-of')}</span>
                        </span>
                    </div>
                )}
                <Bad>{answer && answer.kind !== 'ok' && answer.kind !== 'invalid' ? said(answer) : errors.id}</Bad>
                <button className="btn btn--go justify-self-end" disabled={working}>
                    {say('jobs.open-job')}
                </button>
            </form>
        </Dialog>
    );
}
