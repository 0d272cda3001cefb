import { Link, useForm } from '@inertiajs/react';
import { DoorCard } from '@/features/door/DoorCard';
import { Field } from '@/ui/Field';
import { url } from '@/lib/url';
import { say } from '@/words';

/** The password was right; now a code of the device, or one from paper. */
export default function Code() {
    const form = useForm({ code: '' });
    return (
        <DoorCard title={say('door.code-title')}>
            <p className="mt-2">{say('door.code-says')}</p>
            <form
                className="mt-4 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(url('code'), { onError: () => form.reset() });
                }}
            >
                <Field
                    label={say('door.code')}
                    autoComplete="one-time-code"
                    inputMode="text"
                    required
                    autoFocus
                    value={form.data.code}
                    onValue={(code) => form.setData('code', code)}
                    bad={form.errors.code}
                />
                <div className="flex items-center justify-between gap-3">
                    <Link className="link" href={url('login')}>
                        {say('door.somebody-else')}
                    </Link>
                    <button className="btn btn--go" disabled={form.processing}>
                        {say('door.sign-in')}
                    </button>
                </div>
            </form>
        </DoorCard>
    );
}
