import { usePage } from '@inertiajs/react';
import { useProbes } from '@/shell/Shell';
import type { Frame, Reading } from '@/types';
import { parsed, type Meter, type Purpose, type Recorded } from './meter';
import { useExpectation } from './useExpectation';
import { useRecording } from './useRecording';
import { useTyped } from './useTyped';

export interface MeterProps {
    stage: string;
    step?: string | null;
    call?: string | null;
    readings: Reading[];
    canRecord?: boolean;
    /** From when on an earlier reading of the same points still counts here; none does if not given. */
    since?: string | null;
    onRecorded?: (reading: Recorded) => void;
}

/** The meter of a page, as its probes stand. */
export function useMeterOf(props: MeterProps): Meter {
    const { readings, since, onRecorded } = props;
    const purpose: Purpose = { stage: props.stage, step: props.step ?? null, call: props.call ?? null };
    const { stage, step, call } = purpose;
    const { job, power, points } = usePage<Frame>().props;
    const probes = useProbes();
    const { mode, a, b } = probes;
    const pair = [stage, step, call, mode, a, b].join('|');
    const [typed, type] = useTyped([job.id, 'meter', stage, step, call, since].join('/'), probes, points);
    const { expected, problem } = useExpectation({
        jobId: job.id,
        ...purpose,
        mode,
        a,
        b,
        state: `${job.version}/${power.state}/${readings.length}`,
    });
    const recording = useRecording(job.id, purpose, probes, pair, (figure, recorded) => {
        type((now) => (now === figure ? '' : now));
        onRecorded?.(recorded);
    });
    const last = lastOf(props, purpose, probes, recording.answer?.kind === 'ok' ? recording.answer.data : null);
    const closed = job.closed || props.canRecord === false;
    return {
        job,
        points,
        probes,
        purpose,
        pair,
        expected,
        noExpectation: problem,
        readings,
        last,
        value: parsed(typed) ?? (typed === '' ? (last?.value ?? null) : null),
        closed,
        typed,
        type,
        ...recording,
        record: (figure = typed) => recording.record(figure),
        same: typed === '' && !last && !closed ? sameAs(readings, step, mode) : null,
    };
}

/** What was just recorded, until the page has been read again; then the last reading of these points. */
function lastOf(
    { readings, since }: MeterProps,
    { step, call }: Purpose,
    { mode, a, b }: Meter['probes'],
    recorded: Reading | null,
): Reading | null {
    const here = (reading: Reading) =>
        reading.a === a &&
        reading.b === b &&
        reading.mode === mode &&
        reading.step === step &&
        (reading.call ?? 'idle') === (call ?? 'idle');
    if (recorded && here(recorded)) return readings.find((reading) => reading.id === recorded.id) ?? recorded;
    if (since === undefined) return null;
    return readings.find((reading) => here(reading) && (since === null || reading.at >= since)) ?? null;
}

/** The meter shows the same as on the pair before of this step: one tap. */
function sameAs(readings: Reading[], step: string | null, mode: string): string | null {
    const before = step === null ? undefined : readings.find((reading) => reading.step === step);
    return before?.mode === mode && before.value !== null ? String(before.value) : null;
}
