import { Link, usePage } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import { get, said } from '@/lib/write/api';
import { useDraft } from '@/lib/drafts';
import { faultPlace } from '@/lib/names';
import { useRecord } from '@/lib/write/once';
import { url } from '@/lib/url';
import type { OutcomeName, ProveProps, StepView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, outcomeLook, State } from '@/ui/State';
import { say } from '@/words';
import { Decides } from '@/ui/Decides';

interface PatternAnswer {
    calls: number;
    of: number;
    fits: { id: string; title: string; where: string; fix: string }[];
    /** The same jumper at the wall and at the board, and where what gives both lies. */
    brackets: { call: string; wall: string; board: string; places: Record<string, number> }[];
    parts: { step: string; call: string; method: string; groups: number; minutes: number } | null;
}

/**
 * How far each call gets: the display says so, the terminal is closed, the voltage has arrived, the load has pulled
 * in, and dropped off again. The first that fails is where to look.
 */
export function Levels({
    calls,
    steps,
    closed,
    onStep,
}: {
    calls: ProveProps['calls'];
    steps: StepView[];
    closed: boolean;
    onStep: (key: string) => void;
}) {
    const { job } = usePage<ProveProps>().props;
    const { record, answer } = useRecord(job.id);
    const [leaving, setLeaving] = useDraft<string | null>(`${job.id}/leave-out`, null);
    const [reason, setReason] = useDraft(`${job.id}/leave-out/reason`, '');
    const failing = calls.some((call) => call.failed);
    const marks = steps
        .map(
            (step) =>
                step.probes.map((probe) => probe.reading?.id ?? '').join() +
                step.signs.map((sign) => sign.at ?? '').join(),
        )
        .join();
    const leave = async (call: string, why: string) => {
        const result = await record('waivers', { call, note: why });
        if (result.kind === 'ok') {
            setLeaving(null);
            setReason('');
        }
    };
    return (
        <section aria-label={say('prove.levels')} className="border-t border-hair px-5 py-3">
            <h2 className="h-sec">{say('prove.how-far-each-call-gets-by')}</h2>
            <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={say('prove.levels-scrolls')}>
                <table className="mt-1 min-w-[640px] text-body">
                    <thead>
                        <tr className="lab border-b border-hair [&>th]:py-1.5">
                            <th>{say('prove.call')}</th>
                            <th>{say('prove.display-says-so')}</th>
                            <th>{say('prove.terminal-closed')}</th>
                            <th>{say('prove.voltage-arrived')}</th>
                            <th>{say('prove.load-pulled-in')}</th>
                            <th>{say('prove.drops-off')}</th>
                            <th />
                        </tr>
                    </thead>
                    <tbody>
                        {calls.map((call) => {
                            const step = steps.find(
                                (candidate) => candidate.call === call.call && candidate.method === 'voltage',
                            );
                            const aside = (
                                <td
                                    colSpan={5}
                                    className={
                                        call.failed ? 'text-fault-ink' : call.proved ? 'text-verd-ink' : 'text-muted'
                                    }
                                >
                                    {call.proved
                                        ? say('prove.proved')
                                        : call.failed
                                          ? say('prove.fails')
                                          : say('prove.open')}
                                </td>
                            );
                            const sign = (key: string) =>
                                (step?.signs ?? []).filter((seen) => seen.key === key).map((seen) => seen.outcome);
                            return (
                                <tr key={call.call} className="h-11 border-b border-hair" data-level={call.call}>
                                    <th className="pr-3 text-left font-lab font-semibold">{call.label}</th>
                                    {!step ? (
                                        aside
                                    ) : (
                                        <>
                                            <Level outcomes={sign('display')} />
                                            <Level outcomes={closedBy(step)} />
                                            <Level outcomes={arrivedBy(step)} />
                                            <Level outcomes={pulledIn(step)} />
                                            <Level outcomes={step.dropped ? ['pass'] : sign('drop-off')} />
                                        </>
                                    )}
                                    <td className="text-right text-small">
                                        {call.waived !== null && !call.proved ? (
                                            <span>
                                                {say('prove.left-out', { waived: call.waived })}{' '}
                                                {!closed && (
                                                    <button className="link" onClick={() => void leave(call.call, '')}>
                                                        {say('prove.prove-it-after-all')}
                                                    </button>
                                                )}
                                            </span>
                                        ) : leaving === call.call ? (
                                            <form
                                                className="flex gap-2"
                                                onSubmit={(event) => {
                                                    event.preventDefault();
                                                    void leave(call.call, reason);
                                                }}
                                            >
                                                <input
                                                    autoFocus
                                                    required
                                                    maxLength={200}
                                                    aria-label={say('prove.why-is-left-out', { call: call.label })}
                                                    className="h-11 min-w-0 flex-1 border-b-2 border-rule bg-panel px-2"
                                                    value={reason}
                                                    onChange={(event) => setReason(event.target.value)}
                                                />
                                                <button className="btn btn--small">{say('prove.keep')}</button>
                                            </form>
                                        ) : (
                                            !closed &&
                                            !call.proved && (
                                                <Decides>
                                                    <button className="link" onClick={() => setLeaving(call.call)}>
                                                        {say('prove.leave-it-out-because')}
                                                    </button>
                                                </Decides>
                                            )
                                        )}
                                    </td>
                                </tr>
                            );
                        })}
                    </tbody>
                </table>
            </div>
            <Bad>{answer && answer.kind !== 'ok' ? said(answer) : null}</Bad>
            {failing && (
                <Link className="btn mt-2" href={url('job.trace', { job: job.id })}>
                    <Glyph name="traced" /> {say('prove.trace-this')}
                </Link>
            )}
            {failing && <Explains key={marks} jobId={job.id} onStep={onStep} />}
        </section>
    );
}

type Outcomes = (OutcomeName | null)[];

const atWall = (probe: StepView['probes'][number]) => /^(wall|module)\./.test(probe.a);

/** What was read; a pair that is not needed and was not read says nothing. */
const read = (probes: StepView['probes']): Outcomes =>
    probes.filter((probe) => !probe.optional || probe.reading).map((probe) => probe.reading?.outcome ?? null);

/** The volts at the far end say that everything before it is closed. */
function closedBy(step: StepView): Outcomes {
    const wall = read(step.probes.filter(atWall));
    return wall.length > 0 ? wall : arrivedBy(step);
}

/** Where the wall's pair is what is needed, as for the blower, the load says that it has arrived. */
function arrivedBy(step: StepView): Outcomes {
    const arrived = read(step.probes.filter((probe) => !atWall(probe)));
    return arrived.length > 0 ? arrived : pulledIn(step);
}

const pulledIn = (step: StepView): Outcomes =>
    step.signs.filter((sign) => !sign.optional && sign.key !== 'drop-off').map((sign) => sign.outcome);

function Level({ outcomes }: { outcomes: Outcomes }) {
    const worst: OutcomeName | null = outcomes.includes('fail')
        ? 'fail'
        : outcomes.includes('too-early')
          ? 'too-early'
          : outcomes.length > 0 && outcomes.every((outcome) => outcome === 'pass')
            ? 'pass'
            : null;
    const look = worst ? outcomeLook[worst] : null;
    return (
        <td>
            {look ? (
                <State glyph={look.glyph} tone={look.tone}>
                    {worst === 'pass' ? say('prove.yes-2') : worst === 'fail' ? say('prove.no-2') : look.word}
                </State>
            ) : (
                <Glyph name="need" style={{ color: 'var(--muted)' }} />
            )}
        </td>
    );
}

/** What single change of this circuit would give exactly the passes and fails so far. */
function Explains({ jobId, onStep }: { jobId: string; onStep: (key: string) => void }) {
    const [found, setFound] = useState<PatternAnswer | null>(null);
    useEffect(() => {
        let current = true;
        void get<PatternAnswer>(url('job.pattern', { job: jobId })).then((answer) => {
            if (current && answer.kind === 'ok') setFound(answer.data);
        });
        return () => {
            current = false;
        };
    }, [jobId]);
    if (!found)
        return (
            <p className="mt-2 text-muted" role="status">
                {say('prove.putting-every-single-fault-into-the')}
            </p>
        );
    return (
        <div data-testid="pattern" className="mt-2 border-l-[6px] border-fault bg-fault-wash px-3 py-2 text-small">
            <b className="font-lab text-lead font-semibold">
                {found.of === 0
                    ? say('prove.no-single-fault-gives-this-pattern')
                    : found.of === 1
                      ? say('prove.one-single-fault-gives-exactly-this')
                      : say('prove.single-faults-give-exactly-this-the', { of: found.of })}
            </b>
            <ul
                className={found.of > 10 ? 'max-h-72 overflow-y-auto' : undefined}
                tabIndex={found.of > 10 ? 0 : undefined}
                aria-label={say('prove.what-gives-this-pattern')}
            >
                {found.fits.map((fit) => (
                    <li key={fit.id} data-fit={fit.id}>
                        {fit.title}{' '}
                        <span className="text-muted">
                            ({fit.where}). {fit.fix}.
                        </span>
                    </li>
                ))}
            </ul>
            {found.brackets.map((bracket) => (
                <p key={bracket.call} className="font-semibold" data-testid="bracket">
                    {say('prove.bracket', {
                        call: bracket.call,
                        wall: bracket.wall,
                        board: bracket.board,
                        places:
                            Object.entries(bracket.places)
                                .map(([place, faults]) => `${faultPlace(place)} (${faults})`)
                                .join(', ') || say('prove.no-single-place'),
                    })}
                </p>
            ))}
            {found.parts ? (
                <p>
                    {say('prove.would-part-them', {
                        call: found.parts.call,
                        method: found.parts.method.toLowerCase(),
                        groups: found.parts.groups,
                        minutes: found.parts.minutes,
                    })}{' '}
                    <button className="link" onClick={() => found.parts && onStep(found.parts.step)}>
                        {say('prove.do-it')}
                    </button>
                </p>
            ) : (
                found.of > 1 && <p className="text-muted">{say('prove.this-pattern-alone-cannot-tell-them')}</p>
            )}
        </div>
    );
}
