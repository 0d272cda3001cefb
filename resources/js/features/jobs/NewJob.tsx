import { useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { newId } from '@/lib/api';
import type { JobsProps } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad } from '@/ui/State';
import { Tick } from '@/ui/Tick';

/** Opens a job: the house, what kind of visit, what equipment, how long the cable is. */
export function NewJob({ open, onClose }: { open: boolean; onClose: () => void }) {
    const { kinds, archetypes } = usePage<JobsProps>().props;
    const [id] = useState(newId);
    const form = useForm({ id, site: '', address: '', kind: kinds[1] ?? '', archetype: archetypes[0]?.id ?? '', feet: '40', example: false });
    const field = (name: 'site' | 'address' | 'feet', label: string, extra: { inputMode?: 'decimal'; required?: boolean } = {}) => (
        <label className="field" data-bad={form.errors[name] ? '' : undefined}>
            <span className="lab">{label}</span>
            <input autoComplete="off" value={form.data[name]} onChange={(event) => form.setData(name, event.target.value)} aria-invalid={!!form.errors[name]} {...extra} />
            <Bad>{form.errors[name]}</Bad>
        </label>
    );
    return (
        <Dialog open={open} onClose={onClose} title="New job">
            <form
                className="mt-3 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post('/jobs');
                }}
            >
                {field('site', 'House', { required: true })}
                {field('address', 'Where')}
                <div className="grid grid-cols-2 gap-4">
                    <label className="field">
                        <span className="lab">Visit</span>
                        <select value={form.data.kind} onChange={(event) => form.setData('kind', event.target.value)}>
                            {kinds.map((kind) => (
                                <option key={kind}>{kind}</option>
                            ))}
                        </select>
                    </label>
                    {field('feet', 'Wall cable, feet', { inputMode: 'decimal' })}
                </div>
                <label className="field">
                    <span className="lab">Equipment</span>
                    <select value={form.data.archetype} onChange={(event) => form.setData('archetype', event.target.value)}>
                        {archetypes.map((archetype) => (
                            <option key={archetype.id} value={archetype.id}>
                                {archetype.title}
                            </option>
                        ))}
                    </select>
                </label>
                <div className="flex items-center gap-2">
                    <Tick checked={form.data.example} label="Wire it as the plain example of this equipment" onChange={(example) => form.setData('example', example)} />
                    <span>
                        Wire it as the plain example <span className="text-[14px] text-muted">to try things out; nothing of it was seen</span>
                    </span>
                </div>
                <Bad>{form.errors.kind ?? form.errors.archetype ?? form.errors.id}</Bad>
                <button className="btn btn--go justify-self-end" disabled={form.processing}>
                    Open job
                </button>
            </form>
        </Dialog>
    );
}
