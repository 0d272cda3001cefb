import { Link, useForm, usePage } from '@inertiajs/react';
import { DoorCard } from '@/features/door/DoorCard';
import { Field } from '@/ui/Field';
import { url } from '@/lib/url';
import type { Shared } from '@/types';
import { State } from '@/ui/State';
import { say } from '@/words';

export default function Forgot() {
    const { sent, mails } = usePage<Shared & { sent: boolean; mails: boolean }>().props;
    const form = useForm({ email: '' });
    return (
        <DoorCard title={say('door.forgot-title')}>
            {sent ? (
                <div className="mt-3" role="status">
                    <State glyph="send" tone="verd">
                        {mails ? say('door.forgot-sent') : say('door.forgot-noted')}
                    </State>
                    <p className="mt-2">{mails ? say('door.forgot-lead') : say('door.forgot-no-mail')}</p>
                </div>
            ) : (
                <form
                    className="mt-4 grid gap-4"
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.post(url('forgot'));
                    }}
                >
                    <p>{mails ? say('door.forgot-says') : say('door.forgot-no-mail')}</p>
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
                        {mails ? say('door.forgot-send') : say('door.forgot-ask')}
                    </button>
                </form>
            )}
            <Link className="link mt-4 inline-flex min-h-11 items-center" href={url('login')}>
                {say('door.to-sign-in')}
            </Link>
        </DoorCard>
    );
}
