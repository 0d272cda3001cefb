import { Head, Link } from '@inertiajs/react';
import { Mark } from '@/shell/Shell';
import { url } from '@/lib/url';
import { say } from '@/words';

const words: Record<number, [string, string]> = {
    400: [say('door.this-address-says-nothing-here'), say('door.part-of-it-is-not-what')],
    403: [say('door.not-yours-to-open'), say('door.this-belongs-to-another-crew-or')],
    404: [say('door.nothing-here'), say('door.there-is-no-such-job-or')],
    419: [say('door.signed-out-meanwhile'), say('door.the-page-waited-too-long-go')],
    500: [say('door.something-broke-here'), say('door.it-is-our-fault-not-the')],
    503: [say('door.being-looked-after'), say('door.the-application-is-down-for-a')],
};

export default function Problem({ status, says }: { status: number; says: string }) {
    const [title, text] = words[status] ?? [say('door.something-is-wrong'), say('door.go-back-and-try-again')];
    return (
        <div className="grid min-h-dvh place-items-center p-5">
            <Head title={title} />
            <main className="w-full max-w-[460px] border-t-[6px] border-fault bg-panel p-7">
                <Mark />
                <h1 className="h-step mt-6">{says ? say('door.not-now') : title}</h1>
                <p className="mt-2">{says || text}</p>
                <p className="mono mt-2 text-note text-muted">{status}</p>
                <Link href={url('jobs')} className="btn mt-5">
                    {say('door.all-jobs')}
                </Link>
            </main>
        </div>
    );
}
