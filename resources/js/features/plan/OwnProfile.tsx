import { useRef, useState } from 'react';
import { post, said, type Answer } from '@/lib/api';
import { reload } from '@/lib/reload';
import { Field } from '@/features/jobs/fields';
import { Dialog } from '@/ui/Dialog';
import { Bad } from '@/ui/State';

/** A thermostat of one's own on the shelf: read off its plate and box, or from a file in the catalogue's form. */
export function OwnProfile({ onClose, onKept }: { onClose: () => void; onKept: (id: string) => void }) {
    const [data, setData] = useState({
        title: '',
        screws: 'Rc Rh C Y1 G W1',
        power: 'common',
        va: '4',
        remote: 'own radio',
        switches: 'base',
        link: 'removable',
        heat: '1',
        cool: '1',
    });
    const [answer, setAnswer] = useState<Answer<{ id: string }> | null>(null);
    const chooser = useRef<HTMLInputElement>(null);
    const errors = answer?.kind === 'invalid' ? answer.errors : {};
    const put = (fields: Partial<typeof data>) => setData((now) => ({ ...now, ...fields }));
    const send = async (body: object) => {
        const result = await post<{ id: string }>('/profiles', body);
        setAnswer(result);
        if (result.kind !== 'ok') return;
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
        <Dialog open onClose={onClose} title="A thermostat of your own">
            <form
                className="mt-3 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void send(data);
                }}
            >
                <Field label="Name" bad={errors.title} note="plain, as you would describe it">
                    <input
                        autoComplete="off"
                        required
                        maxLength={80}
                        value={data.title}
                        onChange={(event) => put({ title: event.target.value })}
                    />
                </Field>
                <Field label="Screws" bad={errors.screws} note="the letters as printed, apart by blanks">
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
                    {pick('Runs on', 'power', [
                        ['common', 'R and C'],
                        ['battery', 'batteries'],
                        ['common-or-battery', 'R and C, or batteries'],
                        ['shared', 'an idle load, without C'],
                    ])}
                    {number('Takes, VA', 'va')}
                    {number('Heat stages', 'heat')}
                    {number('Cool stages', 'cool')}
                    {pick('Remote control', 'remote', [
                        ['none', 'none'],
                        ['own radio', 'its own radio'],
                        ['bridge', 'through a bridge'],
                    ])}
                    {pick('Switches', 'switches', [
                        ['base', 'in the base'],
                        ['face', 'in the face'],
                    ])}
                    {pick('Rc–Rh link', 'link', [
                        ['removable', 'a jumper'],
                        ['slide', 'a slide'],
                        ['automatic', 'automatic'],
                    ])}
                </div>
                <Bad>
                    {errors.json ?? (answer && answer.kind !== 'ok' && answer.kind !== 'invalid' ? said(answer) : null)}
                </Bad>
                <div className="flex flex-wrap items-center justify-between gap-3">
                    <button type="button" className="link" onClick={() => chooser.current?.click()}>
                        Read a profile file instead
                    </button>
                    <input
                        ref={chooser}
                        className="vh"
                        type="file"
                        accept=".json,application/json"
                        tabIndex={-1}
                        aria-label="Profile file"
                        onChange={async (event) => {
                            const file = event.target.files?.[0];
                            if (file) await send({ json: await file.text() });
                        }}
                    />
                    <button className="btn btn--go">Put it on the shelf</button>
                </div>
            </form>
        </Dialog>
    );
}
