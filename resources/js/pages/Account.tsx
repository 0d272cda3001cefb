import { router, usePage } from '@inertiajs/react';
import type { ReactNode } from 'react';
import { ChangePassword } from '@/features/account/ChangePassword';
import { Devices } from '@/features/account/Devices';
import { Likes } from '@/features/account/Likes';
import { MyData } from '@/features/account/MyData';
import { MyName } from '@/features/account/MyName';
import { SecondFactor } from '@/features/account/SecondFactor';
import { url } from '@/lib/url';
import { PlainShell } from '@/shell/PlainShell';
import type { AccountProps } from '@/types';
import { say } from '@/words';

/** A person's own: name, password, second factor, how they like it, where they are signed in, what is kept of them. */
export default function Account() {
    const { me, least, solo } = usePage<AccountProps>().props;
    return (
        <PlainShell
            title={me.name}
            says={`${me.email} · ${say('account.role-in', { role: me.role, crew: me.crew })}. ${me.may}`}
        >
            <div className="grid gap-x-10 gap-y-8 px-4 py-5 sm:px-5 lg:grid-cols-2">
                <div className="grid content-start gap-8">
                    <Part title={say('account.how-i-like-it')}>
                        <Likes />
                    </Part>
                    <Part title={say('account.name-title')}>
                        <MyName />
                    </Part>
                </div>
                <div className="grid content-start gap-8">
                    <Part title={say('account.second-factor')}>
                        <SecondFactor />
                    </Part>
                    <Part title={say('account.password')}>
                        <ChangePassword least={least} />
                    </Part>
                    <Part title={say('account.signed-in-on')}>
                        <Devices />
                        {!solo && (
                            <button className="btn mt-3" onClick={() => router.post(url('sign-out'))}>
                                {say('account.sign-out-here')}
                            </button>
                        )}
                    </Part>
                    <Part title={say('account.my-data')}>
                        <MyData />
                    </Part>
                </div>
            </div>
        </PlainShell>
    );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
    return (
        <section aria-label={title} className="border-t-2 border-ink pt-3">
            <h2 className="h-sec mb-3">{title}</h2>
            {children}
        </section>
    );
}
