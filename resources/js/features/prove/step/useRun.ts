import { usePage } from '@inertiajs/react';
import { createContext, useContext, useState } from 'react';
import { placeOf, pointName } from '@/lib/format';
import { useSecondsLeft } from '@/lib/hooks';
import { meterUsed } from '@/lib/keys';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import { newId, post, type Answer } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import { useOutbox } from '@/lib/write/outbox';
import type { PointInfo, ProveProps, StepView } from '@/types';
import { list, say } from '@/words';
import { toRead } from './school';

type SignView = StepView['signs'][number];
type Begins = 'start' | 'forced' | 'again';

const DROP_OFF = 'drop-off';

/** A step of a proof, and how far its run is. */
export interface Run {
    step: StepView;
    closed: boolean;
    practice: boolean;
    /** Its call has ended, and what pulled in is falling out. */
    off: boolean;
    left: number;
    /** Every reading and sign that it needs is as expected. */
    ready: boolean;
    /** What it still needs: named where it is little, counted where it is much. */
    missing: string;
    /** A run that has ended keeps what was taken in it: it can be called again for one figure. */
    goesOn: boolean;
    /** Steps that this one leads on to while it runs. */
    higher: StepView[];
    /** Whether a sign is asked for now: what falls out after the call, everything else while it stands. */
    asks: (sign: SignView) => boolean;
    /** Signs that are asked now and have no answer. */
    open: SignView[];
    /** Answers that wait on this device: by sign, whether it was seen. */
    kept: Map<string, boolean>;
    /** Signs that one tap answers together and that are on their way: until then the step does not end. */
    answering: number;
    begin: (event?: Begins) => Promise<unknown>;
    end: () => Promise<unknown>;
    join: (next: StepView) => Promise<void>;
    answer: (sign: string, seen: boolean, how?: string | null) => Promise<unknown>;
    answerAll: () => Promise<void>;
    look: () => Promise<void>;
    problem: Answer<unknown> | null;
}

export const RunContext = createContext<Run | null>(null);

export function useRun(): Run {
    const run = useContext(RunContext);
    if (!run) throw new Error('useRun');
    return run;
}

export function useRunOf(step: StepView, closed: boolean, onStep: (key: string) => void): Run {
    const { job, now, steps, points } = usePage<ProveProps>().props;
    const { record: send, answer: problem } = useRecord(job.id);
    const [answering, setAnswering] = useState(0);
    const off = step.running && step.offAt !== null;
    const left = useSecondsLeft(off ? step.outBy : step.running ? step.readyAt : null, now);
    // An answer that waits on this device is an answer: it is not asked again.
    const kept = useKeptSigns(job.id, step.key);
    const asks = (sign: SignView) => (sign.key === DROP_OFF) === off;
    const open = step.signs.filter((sign) => asks(sign) && !sign.outcome && !kept.has(sign.key));
    const unseen = step.signs.filter((sign) => !sign.optional && !sign.outcome && !kept.has(sign.key));
    const answer = (sign: string, seen: boolean, how?: string | null) =>
        send('signs', { step: step.key, sign, seen, ...(how === undefined ? {} : { how }) });
    return {
        step,
        closed,
        practice: job.practice,
        off,
        left,
        ready:
            toRead(step).every((probe) => probe.reading?.outcome === 'pass') &&
            step.signs.every((sign) => sign.outcome === 'pass' || sign.key === DROP_OFF),
        missing: missingOf(step, unseen, points),
        goesOn: step.startedAt !== null && !step.running && (!step.readAgain || unseen.length > 0),
        higher: steps.filter((candidate) => candidate.follows === step.key),
        asks,
        open,
        kept,
        answering,
        begin: (event = 'start') => {
            meterUsed();
            return send('steps', { step: step.key, event });
        },
        end: () => send('steps', { step: step.key, event: step.dropOff && !step.dropped ? 'off' : 'end' }),
        join: async (next) => {
            meterUsed();
            const joined = await send('steps', { step: next.key, event: 'start' });
            if (joined.kind === 'ok') onStep(next.key);
        },
        answer,
        answerAll: async () => {
            setAnswering(open.length);
            for (const sign of open) await answer(sign.key, true);
            setAnswering(0);
        },
        look: () => look(job.id, step, asks),
        problem,
    };
}

function missingOf(step: StepView, unseen: SignView[], points: PointInfo[]): string {
    const unread = toRead(step).filter((probe) => !probe.reading);
    if (unread.length + unseen.length > 3)
        return say('prove.so-many-missing', { readings: unread.length, answers: unseen.length });
    return list([
        ...unread.map((probe) => {
            const place = placeOf(points, probe.a);
            const a = pointName(points, probe.a);
            return probe.mode === 'A'
                ? say('prove.amps-at', { a, place })
                : say('prove.pair-at', { a, b: pointName(points, probe.b), place });
        }),
        ...unseen.map((sign) => `“${sign.text}”`),
    ]);
}

/** In practice the simulated house is looked at: what runs in it is recorded, marked as simulated. */
async function look(jobId: string, step: StepView, asks: Run['asks']): Promise<void> {
    const answer = await post<{ signs: Record<string, boolean> }>(url('job.simulated-signs', { job: jobId }), {
        step: step.key,
    });
    if (answer.kind !== 'ok') return;
    for (const sign of step.signs.filter(asks))
        await post(url('job.signs', { job: jobId }), {
            id: newId(),
            step: step.key,
            sign: sign.key,
            seen: answer.data.signs[sign.key] ?? false,
        });
    await reload();
}

/** Signs of this step that were answered and wait on this device: by key, whether they were seen. */
function useKeptSigns(jobId: string, step: string): Map<string, boolean> {
    return new Map(
        useOutbox()
            .filter((row) => row.url === url('job.signs', { job: jobId }) && row.body.step === step && !row.refused)
            .map((row) => [String(row.body.sign), row.body.seen === true]),
    );
}
