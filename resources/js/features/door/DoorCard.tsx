import { Head } from '@inertiajs/react';
import type { ReactNode } from 'react';
import { Mark } from '@/shell/Shell';

/** What stands at the door: one narrow card with one question. */
export function DoorCard({ title, children }: { title: string; children: ReactNode }) {
    return (
        <div className="grid min-h-dvh place-items-center p-5">
            <Head title={title} />
            <main className="w-full max-w-[420px] border-t-[6px] border-copper bg-panel p-7">
                <Mark />
                <h1 className="h-step mt-6">{title}</h1>
                {children}
            </main>
        </div>
    );
}
