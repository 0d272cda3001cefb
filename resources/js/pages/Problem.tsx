import { Head, Link } from '@inertiajs/react';
import { Mark } from '@/shell/Shell';

const words: Record<number, [string, string]> = {
    400: [
        'This address says nothing here',
        'Part of it is not what is wanted there. Go back and take the way from the jobs.',
    ],
    403: ['Not yours to open', 'This belongs to another crew, or is closed. Nothing was changed.'],
    404: ['Nothing here', 'There is no such job or page. It may have been typed wrong.'],
    419: [
        'Signed out meanwhile',
        'The page waited too long. Go back and sign in again; what was saved is still there.',
    ],
    500: ['Something broke here', 'It is our fault, not the house. Nothing recorded is lost; go back and try again.'],
    503: ['Being looked after', 'The application is down for a moment. Try again shortly.'],
};

export default function Problem({ status }: { status: number }) {
    const [title, text] = words[status] ?? ['Something is wrong', 'Go back and try again.'];
    return (
        <div className="grid min-h-dvh place-items-center p-5">
            <Head title={title} />
            <main className="w-full max-w-[460px] border-t-[6px] border-fault bg-panel p-7">
                <Mark />
                <h1 className="h-step mt-6">{title}</h1>
                <p className="mt-2">{text}</p>
                <p className="mono mt-2 text-note text-muted">{status}</p>
                <Link href="/jobs" className="btn mt-5">
                    All jobs
                </Link>
            </main>
        </div>
    );
}
