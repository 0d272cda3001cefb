import { Head, useForm } from '@inertiajs/react';
import { Mark } from '@/shell/Shell';
import { url } from '@/lib/url';
import { Bad } from '@/ui/State';
import { say } from '@/words';

export default function SignIn() {
    const form = useForm({ email: '', password: '', remember: false });
    return (
        <div className="grid min-h-dvh place-items-center p-5">
            <Head title={say('door.sign-in')} />
            <main className="w-full max-w-[420px] border-t-[6px] border-copper bg-panel p-7">
                <Mark />
                <h1 className="h-step mt-6">{say('door.sign-in')}</h1>
                <form
                    className="mt-4 grid gap-4"
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.post(url('login'), { onError: () => form.reset('password') });
                    }}
                >
                    <label className="field" data-bad={form.errors.email ? '' : undefined}>
                        <span className="lab">{say('door.e-mail-address')}</span>
                        <input
                            type="email"
                            autoComplete="username"
                            required
                            autoFocus
                            value={form.data.email}
                            onChange={(event) => form.setData('email', event.target.value)}
                        />
                    </label>
                    <label className="field">
                        <span className="lab">{say('door.password')}</span>
                        <input
                            type="password"
                            autoComplete="current-password"
                            required
                            value={form.data.password}
                            onChange={(event) => form.setData('password', event.target.value)}
                        />
                    </label>
                    <Bad>{form.errors.email}</Bad>
                    <button className="btn btn--go justify-self-end" disabled={form.processing}>
                        {say('door.sign-in')}
                    </button>
                </form>
            </main>
        </div>
    );
}
