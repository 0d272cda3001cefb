import { useRef } from 'react';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { useProbes } from '@/shell/Shell';
import type { ProveProps, StepView } from '@/types';
import { toRead } from './step/school';

/** The dock of the step; after a reading that is as expected the probes go on to the next open pair. */
export function Dock({
    step,
    call,
    readings,
}: {
    step: StepView | undefined;
    call: string | null;
    readings: ProveProps['readings'];
}) {
    const probes = useProbes();
    // What was just read as expected: the page is read again after it, and the next figure may come before that.
    const read = useRef({ run: '', pairs: new Set<string>() });
    const run = `${step?.key ?? ''}/${step?.startedAt ?? ''}`;
    return (
        <MeterDock
            stage="prove"
            step={step?.key ?? null}
            call={call}
            since={step?.startedAt ?? null}
            readings={readings}
            then={
                step?.running
                    ? toRead(step).filter(
                          (probe) =>
                              probe.reading?.outcome !== 'pass' && !(probe.a === probes.a && probe.b === probes.b),
                      )
                    : []
            }
            onRecorded={(reading) => {
                const pair = `${reading.a}~${reading.b}`;
                if (read.current.run !== run) read.current = { run, pairs: new Set() };
                const isRead = reading.outcome === 'pass' || reading.outcome === 'kept';
                if (!isRead) read.current.pairs.delete(pair);
                if (!isRead || !step) return;
                read.current.pairs.add(pair);
                const next = toRead(step).find(
                    (probe) => probe.reading?.outcome !== 'pass' && !read.current.pairs.has(`${probe.a}~${probe.b}`),
                );
                if (next && step.probes.some((probe) => probe.a === reading.a && probe.b === reading.b)) {
                    probes.setMode(next.mode);
                    probes.set(next.a, next.b);
                }
            }}
        />
    );
}
