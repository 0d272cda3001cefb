import { usePage } from '@inertiajs/react';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import { Field } from '@/ui/Field';
import { day } from '@/lib/format';
import { reload } from '@/lib/reload';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import type { AccountProps } from '@/types';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';
import { PresentPassword } from './PresentPassword';

/** A code of a device beside the password: put on in two steps, with ten codes for paper; taken off by a code. */
export function SecondFactor() {
    const { factor } = usePage<AccountProps>().props;
    const [codes, setCodes] = useState<string[] | null>(null);
    if (codes) return <Paper codes={codes} onDone={() => void reload().then(() => setCodes(null))} />;
    if (factor.since) return <On since={factor.since} left={factor.codesLeft} />;
    if (!factor.isHere)
        return (
            <State glyph="caution" tone="caution">
                {say('account.factor-not-here')}
            </State>
        );
    return <PutOn onCodes={setCodes} />;
}

function PutOn({ onCodes }: { onCodes: (codes: string[]) => void }) {
    const [password, setPassword] = useState('');
    const [code, setCode] = useState('');
    const [begun, setBegun] = useState<{ secret: string; address: string } | null>(null);
    const begin = useSend<{ secret: string; address: string }>(url('factor'));
    const confirm = useSend<{ codes: string[] }>(url('factor.confirm'));
    if (!begun)
        return (
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    void begin.send({ password }, 'stay').then((answer) => answer && setBegun(answer));
                }}
            >
                <p>{say('account.factor-says')}</p>
                <PresentPassword
                    value={password}
                    onValue={setPassword}
                    bad={begin.errors.password ?? begin.errors.other}
                />
                <button className="btn btn--small justify-self-end" disabled={begin.busy}>
                    {say('account.factor-begin')}
                </button>
            </form>
        );
    return (
        <form
            className="grid gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                void confirm.send({ code }, 'stay').then((answer) => answer && onCodes(answer.codes));
            }}
        >
            <p>{say('account.factor-read')}</p>
            <div className="flex flex-wrap items-center gap-4">
                <QRCodeSVG
                    value={begun.address}
                    size={176}
                    marginSize={3}
                    title={say('account.factor-picture')}
                    bgColor="#ffffff"
                    fgColor="#000000"
                />
                <p>
                    {say('account.factor-by-hand')}
                    <b className="mono mt-1 block break-all">{begun.secret.replace(/(.{4})/g, '$1 ').trim()}</b>
                </p>
            </div>
            <Field
                label={say('account.factor-code')}
                inputMode="numeric"
                autoComplete="one-time-code"
                required
                value={code}
                onValue={setCode}
                bad={confirm.errors.code ?? confirm.errors.other}
            />
            <button className="btn btn--go justify-self-end" disabled={confirm.busy}>
                {say('account.factor-put-on')}
            </button>
        </form>
    );
}

/** Said this once. */
function Paper({ codes, onDone }: { codes: string[]; onDone: () => void }) {
    return (
        <div className="grid gap-3" role="status">
            <State glyph="pass" tone="verd">
                {say('account.factor-is-on')}
            </State>
            <p>{say('account.paper-says')}</p>
            <ol className="mono grid grid-cols-1 gap-x-6 gap-y-1 border-2 border-ink p-4 sm:grid-cols-2">
                {codes.map((code) => (
                    <li key={code}>{code}</li>
                ))}
            </ol>
            <div className="flex flex-wrap justify-end gap-3">
                <button className="btn btn--quiet" onClick={() => window.print()}>
                    {say('account.paper-print')}
                </button>
                <button className="btn" onClick={onDone}>
                    {say('account.paper-done')}
                </button>
            </div>
        </div>
    );
}

function On({ since, left }: { since: string; left: number }) {
    const [code, setCode] = useState('');
    const off = useSend(url('factor.off'));
    return (
        <div className="grid gap-3">
            <State glyph="pass" tone="verd">
                {say('account.factor-since', { since: day(since) })}
            </State>
            <p>{say('account.codes-left', { left })}</p>
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    void off.send({ code });
                }}
            >
                <Field
                    label={say('account.factor-code-off')}
                    autoComplete="one-time-code"
                    required
                    value={code}
                    onValue={setCode}
                    bad={off.errors.code}
                />
                <Bad>{off.errors.other}</Bad>
                <button className="btn btn--small justify-self-end" disabled={off.busy}>
                    {say('account.factor-off')}
                </button>
            </form>
        </div>
    );
}
