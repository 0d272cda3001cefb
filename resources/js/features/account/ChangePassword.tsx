import { useState } from 'react';
import { Field } from '@/ui/Field';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';
import { PresentPassword } from './PresentPassword';

/** Another password. Every other device of this person is signed out. */
export function ChangePassword({ least }: { least: number }) {
    const [present, setPresent] = useState('');
    const [password, setPassword] = useState('');
    const [done, setDone] = useState(false);
    const { send, busy, errors } = useSend(url('password'));
    const change = async () => {
        setDone(false);
        if (!(await send({ present, password }))) return;
        setDone(true);
        setPresent('');
        setPassword('');
    };
    return (
        <form
            className="grid gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                void change();
            }}
        >
            <PresentPassword value={present} onValue={setPresent} bad={errors.present} />
            <Field
                label={say('account.new-password')}
                hint={say('door.password-hint', { least })}
                type="password"
                autoComplete="new-password"
                required
                value={password}
                onValue={setPassword}
                bad={errors.password}
            />
            <Bad>{errors.other}</Bad>
            {done && (
                <p role="status">
                    <State glyph="pass" tone="verd">
                        {say('account.password-changed')}
                    </State>
                </p>
            )}
            <button className="btn btn--small justify-self-end" disabled={busy}>
                {say('account.change-password')}
            </button>
        </form>
    );
}
