import { Head, Link, router, usePage } from '@inertiajs/react';
import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { arrival } from '@/lib/arrival';
import { useKeys } from '@/lib/hooks';
import { meterUsed } from '@/lib/keys';
import { url } from '@/lib/url';
import type { Frame, Mode, Standing } from '@/types';
import { JobTape, TapeStrip } from './JobTape';
import { MarkBar } from './MarkBar';
import { OutboxBar } from './OutboxBar';
import { PowerFlag } from './PowerFlag';
import { Tools } from './Tools';
import { usePulse } from '@/lib/write/pulse';
import { say } from '@/words';

export interface Probes {
    mode: Mode;
    a: string;
    b: string;
    setMode: (mode: Mode) => void;
    set: (a: string, b: string) => void;
    /** Puts the next probe on a point: A, then B, in turn. */
    touch: (point: string) => void;
    swap: () => void;
}

const ProbeContext = createContext<Probes | null>(null);
type Wanted = 'live' | 'isolated' | null;
const AskPower = createContext<(state: 'live' | 'isolated') => void>(() => undefined);
const WantPower = createContext<(state: Wanted) => void>(() => undefined);

export function useProbes(): Probes {
    const probes = useContext(ProbeContext);
    if (!probes) throw new Error(say('shell.no-meter-on-this-screen'));
    return probes;
}

export const useAskPower = () => useContext(AskPower);

/** Says what this part of the page wants of the power, so that the key for it offers that; null wants nothing. */
export function usePowerWanted(state: Wanted): void {
    const want = useContext(WantPower);
    useEffect(() => {
        want(state);
        return () => want(null);
    }, [want, state]);
}

/** Everything around a stage of a job: bar with the power flag, tape, main, meter dock. */
export function Shell({
    stage,
    title,
    start,
    startMode = 'V',
    dock,
    children,
}: {
    stage: Standing;
    title: string;
    start: [string, string];
    startMode?: Mode;
    dock: ReactNode;
    children: ReactNode;
}) {
    const { props } = usePage<Frame>();
    const { job, power, tape, fault, points, now } = props;
    usePulse(job.id, props.mark);
    const [mode, setMode] = useState<Mode>(startMode);
    const [chosen, setPair] = useState<[string, string]>(start);
    // A point can go with the plate it was on: the probe then goes back to where this stage begins.
    const [a, b] = arrival(points, chosen, start);
    const [next, setNext] = useState<0 | 1>(0);
    const [asked, setAsked] = useState<Wanted>(null);
    const [wanted, setWanted] = useState<Wanted>(null);

    const probes = useMemo<Probes>(
        () => ({
            mode,
            a,
            b,
            setMode: (next) => {
                meterUsed();
                setMode(next);
            },
            set: (first, second) => {
                setPair([first, second]);
                setNext(0);
            },
            touch: (point) => {
                meterUsed();
                setPair(next === 0 ? [point, b] : [a, point]);
                setNext(next === 0 ? 1 : 0);
            },
            swap: () => setPair([b, a]),
        }),
        [mode, a, b, next],
    );
    useKeys({
        ...Object.fromEntries(
            tape.map((segment, index) => [
                String(index + 1),
                () => router.visit(url(`job.${segment.key}`, { job: job.id })),
            ]),
        ),
        '6': () => router.visit(url('job.trace', { job: job.id })),
    });

    return (
        <ProbeContext.Provider value={probes}>
            <AskPower.Provider value={setAsked}>
                <WantPower.Provider value={setWanted}>
                    <Head title={`${title}, ${job.site}`} />
                    <div className={`shell ${dock ? '' : 'shell--wide'}`}>
                        <header className="bar">
                            <Mark />
                            <div className="bar__job">
                                <b>{job.site}</b>
                                <span>
                                    {job.address}
                                    {job.address && ' · '}
                                    {job.equipment} · {job.cable}
                                </span>
                            </div>
                            <PowerFlag
                                jobId={job.id}
                                power={power}
                                now={now}
                                closed={job.closed}
                                practice={job.practice}
                                asked={asked}
                                wanted={wanted}
                                onAsk={setAsked}
                            />
                            <Tools />
                        </header>
                        <JobTape jobId={job.id} tape={tape} fault={fault} current={stage} />
                        <TapeStrip jobId={job.id} tape={tape} fault={fault} current={stage} />
                        <main className="main" id="main" scroll-region="">
                            <MarkBar />
                            <OutboxBar />
                            {children}
                        </main>
                        {dock}
                    </div>
                </WantPower.Provider>
            </AskPower.Provider>
        </ProbeContext.Provider>
    );
}

/** The mark, which leads back to the jobs. */
export function Mark() {
    return (
        <Link href={url('jobs')} className="bar__mark" aria-label={say('shell.unionbit-all-jobs')}>
            <svg width="30" height="24" viewBox="0 0 30 24" aria-hidden="true">
                <path d="M1 2H8L13 7V22H1Z" fill="var(--ink)" />
                <path d="M22 2H29V22H17V7Z" fill="none" stroke="var(--ink)" strokeWidth="2" />
                <path d="M7 14.5H23" stroke="var(--copper)" strokeWidth="4.5" />
                <circle cx="7" cy="14.5" r="3.4" fill="var(--copper)" />
                <circle cx="23" cy="14.5" r="3.4" fill="var(--copper)" />
            </svg>
            <span>unionbit</span>
        </Link>
    );
}
