import { useRef, useState } from 'react';
import { post, said, type Answer } from '@/lib/write/api';
import { reload } from '@/lib/reload';
import { Field } from '@/features/jobs/fields';
import { useDraft } from '@/lib/drafts';
import { url } from '@/lib/url';
import { Dialog } from '@/ui/Dialog';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** A thermostat of one's own on the shelf: read off its plate and box, or from a file in the catalogue's form. */
export function OwnProfile({ onClose, onKept }: { onClose: () => void; onKept: (id: string) => void }) {
    const [data, setData, drop] = useDraft('own-thermostat', {
        title: '',
        screws: 'Rc Rh C Y1 G W1',
        power: 'common',
        va: '4',
        remote: 'own radio',
        switches: 'base',
        link: 'removable',
        heat: '1',
        cool: '1',
        menuEntry: '',
    });
    const [answer, setAnswer] = useState<Answer<{ id: string }> | null>(null);
    const chooser = useRef<HTMLInputElement>(null);
    const errors = answer?.kind === 'invalid' ? answer.errors : {};
    const put = (fields: Partial<typeof data>) => setData((now) => ({ ...now, ...fields }));
    const send = async (body: object) => {
        const result = await post<{ id: string }>(url('profiles'), body);
        setAnswer(result);
        if (result.kind !== 'ok') return;
        drop();
        await reload();
        onKept(result.data.id);
    };
    const pick = (label: string, key: 'power' | 'remote' | 'switches' | 'link', choices: [string, string][]) => (
        <Field label={label} bad={errors[key]}>
            <select value={data[key]} onChange={(event) => put({ [key]: event.target.value })}>
                {choices.map(([value, word]) => (
                    <option key={value} value={value}>
                        {word}
                    </option>
                ))}
            </select>
        </Field>
    );
    const number = (label: string, key: 'va' | 'heat' | 'cool', note?: string) => (
        <Field label={label} bad={errors[key]} note={note}>
            <input
                inputMode="decimal"
                autoComplete="off"
                value={data[key]}
                onChange={(event) => put({ [key]: event.target.value })}
            />
        </Field>
    );
    return (
        <Dialog open onClose={onClose} title={say('plan.a-thermostat-of-your-own')}>
            <form
                className="mt-3 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void send(data);
                }}
            >
                <Field label={say('plan.name')} bad={errors.title} note={say('plan.plain-as-you-would-describe-it')}>
                    <input
                        autoComplete="off"
                        required
                        maxLength={80}
                        value={data.title}
                        onChange={(event) => put({ title: event.target.value })}
                    />
                </Field>
                <Field
                    label={say('plan.screws')}
                    bad={errors.screws}
                    note={say('plan.the-letters-as-printed-apart-by')}
                >
                    <input
                        autoComplete="off"
                        autoCapitalize="off"
                        spellCheck={false}
                        className="mono"
                        required
                        maxLength={120}
                        value={data.screws}
                        onChange={(event) => put({ screws: event.target.value })}
                    />
                </Field>
                <div className="grid grid-cols-2 gap-4">
                    {pick(say('plan.runs-on'), 'power', [
                        ['common', say('plan.r-and-c')],
                        ['battery', say('plan.batteries')],
                        ['common-or-battery', say('plan.r-and-c-or-batteries')],
                        ['shared', say('plan.an-idle-load-without-c')],
                    ])}
                    {number(say('plan.takes-va'), 'va')}
                    {number(say('plan.heat-stages'), 'heat')}
                    {number(say('plan.cool-stages'), 'cool')}
                    {pick(say('plan.remote-control'), 'remote', [
                        ['none', say('plan.none-2')],
                        ['own radio', say('plan.its-own-radio')],
                        ['bridge', say('plan.through-a-bridge')],
                    ])}
                    {pick(say('plan.switches'), 'switches', [
                        ['base', say('plan.in-the-base')],
                        ['face', say('plan.in-the-face')],
                    ])}
                    {pick(say('plan.rc-rh-link'), 'link', [
                        ['removable', say('plan.a-jumper')],
                        ['slide', say('plan.a-slide')],
                        ['automatic', say('plan.automatic')],
                    ])}
                </div>
                <Field
                    label={say('plan.into-its-menu')}
                    bad={errors.menuEntry}
                    note={say('plan.from-the-sheet-in-the-box')}
                >
                    <input
                        autoComplete="off"
                        maxLength={200}
                        value={data.menuEntry}
                        onChange={(event) => put({ menuEntry: event.target.value })}
                    />
                </Field>
                <Bad>
                    {errors.json ?? (answer && answer.kind !== 'ok' && answer.kind !== 'invalid' ? said(answer) : null)}
                </Bad>
                <div className="flex flex-wrap items-center justify-between gap-3">
                    <button type="button" className="link" onClick={() => chooser.current?.click()}>
                        {say('plan.read-a-profile-file-instead')}
                    </button>
                    <input
                        ref={chooser}
                        className="vh"
                        type="file"
                        accept=".json,application/json"
                        tabIndex={-1}
                        aria-label={say('plan.profile-file')}
                        onChange={async (event) => {
                            const file = event.target.files?.[0];
                            if (file) await send({ json: await file.text() });
                        }}
                    />
                    <button className="btn btn--go">{say('plan.put-it-on-the-shelf')}</button>
                </div>
            </form>
        </Dialog>
    );
}
