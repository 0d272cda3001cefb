import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { Field } from '@/ui/Field';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import type { AccountProps } from '@/types';
import { say } from '@/words';

/** The name that stands under what the person records. */
export function MyName() {
    const { me } = usePage<AccountProps>().props;
    const [name, setName] = useState(me.name);
    const { send, busy, errors } = useSend(url('account.name'));
    return (
        <form
            className="grid gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                void send({ name });
            }}
        >
            <Field
                label={say('door.name')}
                hint={say('account.name-hint')}
                autoComplete="name"
                required
                maxLength={80}
                value={name}
                onValue={setName}
                bad={errors.name ?? errors.other}
            />
            <button className="btn btn--small justify-self-end" disabled={busy || name.trim() === me.name}>
                {say('account.change-name')}
            </button>
        </form>
    );
}
