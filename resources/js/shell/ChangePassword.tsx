import { useState } from 'react';
import { post, said } from '@/lib/api';
import { url } from '@/lib/url';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';

/** Another password. Every other device of this person is signed out. */
export function ChangePassword() {
    const [present, setPresent] = useState('');
    const [password, setPassword] = useState('');
    const [done, setDone] = useState(false);
    const [bad, setBad] = useState('');
    const change = async () => {
        const answer = await post(url('password'), { present, password });
        setBad(answer.kind === 'ok' ? '' : said(answer));
        setDone(answer.kind === 'ok');
        if (answer.kind === 'ok') {
            setPresent('');
            setPassword('');
        }
    };
    return (
        <details className="mt-1">
            <summary className="fold justify-between font-lab font-semibold">{say('shell.change-password')}</summary>
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    void change();
                }}
            >
                <label className="field">
                    <span className="lab">{say('shell.present-password')}</span>
                    <input
                        type="password"
                        autoComplete="current-password"
                        value={present}
                        onChange={(event) => setPresent(event.target.value)}
                    />
                </label>
                <label className="field">
                    <span className="lab">{say('shell.new-password-at-least-10-characters')}</span>
                    <input
                        type="password"
                        autoComplete="new-password"
                        value={password}
                        onChange={(event) => setPassword(event.target.value)}
                    />
                </label>
                <Bad>{bad}</Bad>
                {done && (
                    <State glyph="pass" tone="verd">
                        {say('shell.changed-every-other-device-is-signed')}
                    </State>
                )}
                <button className="btn btn--small justify-self-end">{say('shell.change-password')}</button>
            </form>
        </details>
    );
}
