import { Link, useForm, usePage } from '@inertiajs/react';
import { DoorCard } from '@/features/door/DoorCard';
import { Field } from '@/ui/Field';
import { url } from '@/lib/url';
import type { DoorProps } from '@/types';
import { say } from '@/words';

/** Behind a link: an invitation to a crew, or a new password. */
export default function Door() {
    const page = usePage<DoorProps>();
    const door = page.props;
    const form = useForm({ name: door.name ?? '', password: '' });
    if (door.kind === 'ended')
        return (
            <DoorCard title={say('door.ended')}>
                <p className="mt-2">{say('door.ended-says')}</p>
                <Link className="link mt-4 inline-flex min-h-11 items-center" href={url('login')}>
                    {say('door.to-sign-in')}
                </Link>
            </DoorCard>
        );
    const invited = door.kind === 'invitation';
    return (
        <DoorCard title={invited ? say('door.invited', { crew: door.crew ?? '' }) : say('door.new-password')}>
            <p className="mt-2">
                {invited
                    ? say('door.invited-says', { role: door.role ?? '', email: door.email ?? '' })
                    : say('door.new-password-says', { email: door.email ?? '' })}
            </p>
            <form
                className="mt-4 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(page.url, { onError: () => form.reset('password') });
                }}
            >
                {invited && (
                    <Field
                        label={say('door.name')}
                        hint={say('door.name-hint')}
                        autoComplete="name"
                        required
                        autoFocus
                        maxLength={80}
                        value={form.data.name}
                        onValue={(name) => form.setData('name', name)}
                        bad={form.errors.name}
                    />
                )}
                <Field
                    label={say('door.password')}
                    hint={say('door.password-hint', { least: door.least ?? 12 })}
                    type="password"
                    autoComplete="new-password"
                    required
                    autoFocus={!invited}
                    value={form.data.password}
                    onValue={(password) => form.setData('password', password)}
                    bad={form.errors.password ?? (invited ? undefined : form.errors.name)}
                />
                <button className="btn btn--go justify-self-end" disabled={form.processing}>
                    {invited ? say('door.come-in') : say('door.set-password')}
                </button>
            </form>
        </DoorCard>
    );
}
