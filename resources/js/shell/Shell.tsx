import { Head, Link, router, usePage } from '@inertiajs/react';
import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import { useKeys } from '@/lib/hooks';
import type { Frame, Mode, Shared, Stage } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Glyph } from '@/ui/Glyph';
import { JobTape, TapeStrip } from './JobTape';
import { MarkBar } from './MarkBar';
import { OutboxBar } from './OutboxBar';
import { PowerFlag } from './PowerFlag';
import { usePulse } from '@/lib/pulse';

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
const AskPower = createContext<(state: 'live' | 'isolated') => void>(() => undefined);

export function useProbes(): Probes {
    const probes = useContext(ProbeContext);
    if (!probes) throw new Error('No meter on this screen.');
    return probes;
}

export const useAskPower = () => useContext(AskPower);

const stages: Stage[] = ['survey', 'plan', 'set', 'prove', 'handover'];

/** Everything around a stage of a job: bar with the power flag, tape, main, meter dock. */
export function Shell({ stage, title, start, startMode = 'V', dock, children }: { stage: Stage; title: string; start: [string, string]; startMode?: Mode; dock: ReactNode; children: ReactNode }) {
    const { props } = usePage<Frame>();
    const { job, power, tape, points, now } = props;
    usePulse(job.id, props.mark);
    const known = (id: string) => points.some((point) => point.id === id);
    const fallback = points[0]?.id ?? 'indoor.R';
    const [mode, setMode] = useState<Mode>(startMode);
    const [chosen, setPair] = useState<[string, string]>(start);
    // A point can go with the plate it was on: the probe then goes back to where this stage begins.
    const on = (side: 0 | 1) => [chosen[side], start[side]].find(known) ?? fallback;
    const a = on(0);
    const b = on(1);
    const [next, setNext] = useState<0 | 1>(0);
    const [asked, setAsked] = useState<'live' | 'isolated' | null>(null);

    const probes = useMemo<Probes>(
        () => ({
            mode,
            a,
            b,
            setMode,
            set: (first, second) => {
                setPair([first, second]);
                setNext(0);
            },
            touch: (point) => {
                setPair(next === 0 ? [point, b] : [a, point]);
                setNext(next === 0 ? 1 : 0);
            },
            swap: () => setPair([b, a]),
        }),
        [mode, a, b, next],
    );
    useKeys(Object.fromEntries(stages.map((name, index) => [String(index + 1), () => router.visit(`/jobs/${job.id}/${name}`)])));

    return (
        <ProbeContext.Provider value={probes}>
            <AskPower.Provider value={setAsked}>
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
                        <PowerFlag jobId={job.id} power={power} now={now} closed={job.handedOverAt !== null} asked={asked} onAsk={setAsked} />
                        <Tools />
                    </header>
                    <JobTape jobId={job.id} tape={tape} current={stage} />
                    <TapeStrip jobId={job.id} tape={tape} current={stage} />
                    <main className="main" id="main">
                        <MarkBar />
                        <OutboxBar />
                        {children}
                    </main>
                    {dock}
                </div>
            </AskPower.Provider>
        </ProbeContext.Provider>
    );
}

/** The mark, which leads back to the jobs. */
export function Mark() {
    return (
        <Link href="/jobs" className="bar__mark" aria-label="Unionbit, all jobs">
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

/** Theme, keys, and who is signed in. */
export function Tools() {
    const { user, solo } = usePage<Shared>().props;
    const [keys, setKeys] = useState(false);
    useKeys({ '?': () => setKeys(true) });
    const toggle = () => {
        const next = document.documentElement.dataset.theme === 'headlamp' ? 'bone' : 'headlamp';
        document.documentElement.dataset.theme = next;
        try {
            localStorage.setItem('theme', next);
        } catch {
            // Storage may be closed; the theme then lasts as long as the page.
        }
    };
    return (
        <div className="flex flex-none items-stretch">
            {user && (
                <div className="tool tool--text max-[1279px]:hidden">
                    <span>
                        {user.name}
                        <small>{solo ? 'demo, signed in' : user.crew}</small>
                    </span>
                </div>
            )}
            <button className="tool" aria-label="Keys" onClick={() => setKeys(true)}>
                <span className="key">?</span>
            </button>
            <button className="tool" aria-label="Change between daylight and headlamp theme" onClick={toggle}>
                <Glyph name="lamp" size={20} />
            </button>
            {user && !solo && (
                <button className="tool tool--text" onClick={() => router.post('/sign-out')}>
                    Sign out
                </button>
            )}
            <Dialog open={keys} onClose={() => setKeys(false)} title="Keys">
                <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
                    {[
                        ['1 – 5', 'Survey, Plan, Set, Prove, Handover'], ['N', 'New job, or new conductor'], ['P', 'Power flag'], ['V O A B', 'Meter: volts, ohms, amperes, beeper'],
                        ['[ ]', 'Previous, next point'], ['X', 'Swap the probes'], ['Enter', 'Record the reading typed in the dock'], ['J K', 'Next, previous row'], ['Q', 'The open question of the survey'], ['Space', 'Tick the row'], ['E', 'Land conductors by keys'], ['Ctrl Z', 'Undo an edit, with Shift redo'],
                        ['Shift+1 …', 'Simulate a call, in Plan'], ['Esc', 'Back out'],
                    ].map(([key, does]) => (
                        <div key={key} className="contents">
                            <dt>
                                <span className="key">{key}</span>
                            </dt>
                            <dd>{does}</dd>
                        </div>
                    ))}
                </dl>
            </Dialog>
        </div>
    );
}
