import { Head, Link, usePage } from '@inertiajs/react';
import type { ReactNode } from 'react';
import { url } from '@/lib/url';
import type { Shared } from '@/types';
import { say } from '@/words';
import { Mark } from './Shell';
import { Tools } from './Tools';

/** A page beside the jobs: the bar with the crew, its own head, and the way back. */
export function PlainShell({ title, says, children }: { title: string; says?: string; children: ReactNode }) {
    const { user } = usePage<Shared>().props;
    return (
        <div className="shell shell--plain">
            <Head title={title} />
            <header className="bar">
                <Mark />
                <div className="bar__job">
                    <b>{user?.crew}</b>
                    <span>{user?.name}</span>
                </div>
                <Tools />
            </header>
            <main className="main main--plain" id="main" scroll-region="">
                <div className="head">
                    <div>
                        <h1 className="h-step">{title}</h1>
                        {says && <p>{says}</p>}
                    </div>
                    <Link className="link inline-flex min-h-11 items-center" href={url('jobs')}>
                        {say('shell.all-jobs')}
                    </Link>
                </div>
                {children}
            </main>
        </div>
    );
}
