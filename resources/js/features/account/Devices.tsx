import { usePage } from '@inertiajs/react';
import { clock, day } from '@/lib/format';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import type { AccountProps } from '@/types';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';

/** Where the person is signed in, and the way out of there. */
export function Devices() {
    const { devices } = usePage<AccountProps>().props;
    const { send, busy, errors } = useSend(url('account.devices'));
    const others = devices.filter((device) => !device.here);
    return (
        <div className="grid gap-2">
            {devices.length === 0 && <p className="text-muted">{say('account.devices-unknown')}</p>}
            <ul>
                {devices.map((device) => (
                    <li
                        key={device.id}
                        className="flex min-h-[52px] items-center justify-between gap-3 border-b border-hair"
                    >
                        <span>
                            <b className="font-semibold">
                                {[device.browser || say('account.a-browser'), device.system].filter(Boolean).join(', ')}
                            </b>
                            <small className="block text-note text-muted">
                                {[device.address, `${day(device.at)} ${clock(device.at)}`].join(' · ')}
                            </small>
                        </span>
                        {device.here ? (
                            <State glyph="pass" tone="verd">
                                {say('account.this-one')}
                            </State>
                        ) : (
                            <button
                                className="link min-h-11"
                                disabled={busy}
                                onClick={() => void send({ device: device.id })}
                            >
                                {say('account.sign-out')}
                            </button>
                        )}
                    </li>
                ))}
            </ul>
            <Bad>{errors.other}</Bad>
            {others.length > 1 && (
                <button className="btn btn--small justify-self-end" disabled={busy} onClick={() => void send({})}>
                    {say('account.sign-out-others')}
                </button>
            )}
            <p className="text-note text-muted">{say('account.devices-says')}</p>
        </div>
    );
}
