import { Head, Link, usePage } from '@inertiajs/react';
import { FigureCard } from '@/features/figures/FigureCard';
import { Overflow } from '@/features/figures/Overflow';
import { useEdits } from '@/lib/write/edits';
import { Mark, Shell } from '@/shell/Shell';
import { Tools } from '@/shell/Tools';
import { url } from '@/lib/url';
import { UnitSwitch } from '@/ui/UnitSwitch';
import type { FiguresProps } from '@/types';
import { say } from '@/words';

/** Calculations for the job in hand, or without one. */
export default function Figures() {
    const { job } = usePage<FiguresProps>().props;
    if (job !== null) {
        return (
            <Shell stage="set" title={say('figures.figures')} start={['indoor.R', 'indoor.C']} dock={null}>
                <OfHouse jobId={job.id} version={job.version} closed={job.closed} />
            </Shell>
        );
    }
    return (
        <div className="shell shell--wide">
            <Head title={say('figures.figures')} />
            <header className="bar">
                <Mark />
                <div className="bar__job">
                    <b>{say('figures.figures')}</b>
                    <span>{say('figures.without-a-house')}</span>
                </div>
                <Tools />
            </header>
            <main className="main" scroll-region="">
                <Body url={url('figures')} />
            </main>
        </div>
    );
}

/** What is entered for load, capacity and prices stays with the house. */
function OfHouse({ jobId, version, closed }: { jobId: string; version: number; closed: boolean }) {
    const edits = useEdits(url('job.survey-edits', { job: jobId }), version);
    return (
        <Body
            url={url('job.figures', { job: jobId })}
            back={url('job.set', { job: jobId })}
            onKeep={closed ? undefined : (key, value) => void edits.send('answer', { key, value })}
        />
    );
}

function Body({
    url,
    back,
    onKeep,
}: {
    url: string;
    back?: string;
    onKeep?: ((key: string, value: number | string | null) => void) | undefined;
}) {
    const { figures, overflow, house, relayPins } = usePage<FiguresProps>().props;
    return (
        <>
            <div className="head">
                <div>
                    <h1 className="h-step">{say('figures.figures')}</h1>
                    <p>{house ?? say('figures.general-engineering-practice-the-plate-and')}</p>
                </div>
                <div className="flex items-center gap-4">
                    {back && (
                        <Link className="link" href={back}>
                            {say('figures.back-to-set')}
                        </Link>
                    )}
                    <UnitSwitch />
                </div>
            </div>
            <nav
                aria-label={say('figures.figures')}
                className="flex flex-none gap-1.5 overflow-x-auto border-b border-hair px-5 pb-2"
            >
                {[
                    ...figures.map((figure) => [figure.key, figure.title]),
                    ...(overflow.length > 0 ? [['overflow', say('figures.overflow-switch')]] : []),
                ].map(([key, title]) => (
                    <a key={key} href={`#${key}`} className="chip">
                        {title}
                    </a>
                ))}
            </nav>
            {figures.map((figure) => (
                <FigureCard
                    key={figure.key}
                    figure={figure}
                    url={url}
                    {...(onKeep && figure.key === 'balance' ? { onKeep } : {})}
                />
            ))}
            <Overflow pans={overflow} relayPins={relayPins} onKeep={onKeep} />
        </>
    );
}
