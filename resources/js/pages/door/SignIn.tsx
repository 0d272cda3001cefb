import { Link, useForm } from '@inertiajs/react';
import { DoorCard } from '@/features/door/DoorCard';
import { Field } from '@/ui/Field';
import { url } from '@/lib/url';
import { say } from '@/words';
import { Tick } from '@/ui/Tick';

export default function SignIn() {
    const form = useForm({ email: '', password: '', remember: false });
    return (
        <DoorCard title={say('door.sign-in')}>
            <form
                className="mt-4 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(url('login'), { onError: () => form.reset('password') });
                }}
            >
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
                <Field
                    label={say('door.password')}
                    type="password"
                    autoComplete="current-password"
                    required
                    value={form.data.password}
                    onValue={(password) => form.setData('password', password)}
                    bad={form.errors.password}
                />
                <div className="flex items-center gap-2">
                    <Tick
                        checked={form.data.remember}
                        label={say('door.stay-signed-in')}
                        onChange={(remember) => form.setData('remember', remember)}
                    />
                    <span>{say('door.stay-signed-in')}</span>
                </div>
                <div className="flex items-center justify-between gap-3">
                    <Link className="link" href={url('forgot')}>
                        {say('door.forgot')}
                    </Link>
                    <button className="btn btn--go" disabled={form.processing}>
                        {say('door.sign-in')}
                    </button>
                </div>
            </form>
        </DoorCard>
    );
}
