import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { Field } from '@/ui/Field';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import type { PeopleProps } from '@/types';
import { Choice } from '@/ui/Choice';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { DoorLinkOut, type MadeLink } from './DoorLinkOut';

/** Somebody new, by a link with an end. */
export function Invite() {
    const { roles } = usePage<PeopleProps>().props;
    const [email, setEmail] = useState('');
    const [role, setRole] = useState('installer');
    const [made, setMade] = useState<(MadeLink & { to: string }) | null>(null);
    const { send, busy, errors } = useSend<MadeLink>(url('crew.links'));
    const invite = async () => {
        const link = await send({ email, role });
        if (!link) return;
        setMade({ ...link, to: email });
        setEmail('');
    };
    return (
        <section aria-label={say('people.invite')} className="border-t-2 border-ink pt-3">
            <h2 className="h-sec">{say('people.invite')}</h2>
            <form
                className="mt-3 grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    void invite();
                }}
            >
                <Field
                    label={say('door.e-mail-address')}
                    type="email"
                    autoComplete="off"
                    required
                    value={email}
                    onValue={setEmail}
                    bad={errors.email}
                />
                <div>
                    <h3 className="lab mb-1">{say('people.as')}</h3>
                    <Choice
                        label={say('people.as')}
                        value={role}
                        options={roles.map(({ value, label }) => ({ value, label }))}
                        onChoose={setRole}
                    />
                    <p className="mt-1 text-note text-muted">
                        {roles.find((candidate) => candidate.value === role)?.may}
                    </p>
                </div>
                <Bad>{errors.role ?? errors.other}</Bad>
                <button className="btn btn--go justify-self-end" disabled={busy}>
                    {say('people.make-link')}
                </button>
            </form>
            {made && <DoorLinkOut link={made} to={made.to} onDone={() => setMade(null)} />}
        </section>
    );
}
