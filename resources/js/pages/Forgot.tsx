import { Link, useForm, usePage } from '@inertiajs/react';
import { DoorCard } from '@/features/door/DoorCard';
import { Field } from '@/ui/Field';
import { url } from '@/lib/url';
import type { Shared } from '@/types';
import { State } from '@/ui/State';
import { say } from '@/words';

export default function Forgot() {
    const { sent } = usePage<Shared & { sent: boolean }>().props;
    const form = useForm({ email: '' });
    return (
        <DoorCard title={say('door.forgot-title')}>
            {sent ? (
                <div className="mt-3" role="status">
                    <State glyph="send" tone="verd">
                        {say('door.forgot-sent')}
                    </State>
                    <p className="mt-2">{say('door.forgot-lead')}</p>
                </div>
            ) : (
                <form
                    className="mt-4 grid gap-4"
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.post(url('forgot'));
                    }}
                >
                    <p>{say('door.forgot-says')}</p>
                    <Field
                        label={say('door.e-mail-address')}
                        type="email"
                        autoComplete="username"
                        required
                        autoFocus
                        value={form.data.email}
                        onValue={(email) => form.setData('email', email)}
                        bad={form.errors.email}
                    />
                    <button className="btn btn--go justify-self-end" disabled={form.processing}>
                        {say('door.forgot-send')}
                    </button>
                </form>
            )}
            <Link className="link mt-4 inline-flex min-h-11 items-center" href={url('login')}>
                {say('door.to-sign-in')}
            </Link>
        </DoorCard>
    );
}
