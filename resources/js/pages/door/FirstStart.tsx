import { useForm, usePage } from '@inertiajs/react';
import { DoorCard } from '@/features/door/DoorCard';
import { Field } from '@/ui/Field';
import { url } from '@/lib/url';
import type { Shared } from '@/types';
import { say } from '@/words';

/** A server that has nobody yet: its first crew and who leads it. */
export default function FirstStart() {
    const { least } = usePage<Shared & { least: number }>().props;
    const form = useForm({ code: '', crew: '', name: '', email: '', password: '' });
    const field = (key: keyof typeof form.data) => ({
        value: form.data[key],
        onValue: (value: string) => form.setData(key, value),
        bad: form.errors[key],
        required: true,
    });
    return (
        <DoorCard title={say('door.first-start')}>
            <p className="mt-2">{say('door.first-start-says')}</p>
            <form
                className="mt-4 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(url('first-start'), { onError: () => form.reset('password') });
                }}
            >
                <Field
                    {...field('code')}
                    label={say('door.server-code')}
                    hint={say('door.server-code-hint')}
                    autoComplete="off"
                    autoFocus
                />
                <Field {...field('crew')} label={say('door.crew-name')} autoComplete="organization" maxLength={80} />
                <Field
                    {...field('name')}
                    label={say('door.name')}
                    hint={say('door.name-hint')}
                    autoComplete="name"
                    maxLength={80}
                />
                <Field {...field('email')} label={say('door.e-mail-address')} type="email" autoComplete="username" />
                <Field
                    {...field('password')}
                    label={say('door.password')}
                    hint={say('door.password-hint', { least })}
                    type="password"
                    autoComplete="new-password"
                />
                <button className="btn btn--go justify-self-end" disabled={form.processing}>
                    {say('door.begin')}
                </button>
            </form>
        </DoorCard>
    );
}
