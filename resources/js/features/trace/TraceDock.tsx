import { usePage } from '@inertiajs/react';
import { useEffect, useRef } from 'react';
import { MeterDock } from '@/features/meter-dock/MeterDock';
import { useProbes } from '@/shell/Shell';
import type { TraceProposal, TraceProps } from '@/types';
import { modeOf } from './parts/modeOf';

/** The same meter as in Prove, on what is proposed: the probes go where the test has them. */
export function TraceDock({ next }: { next: TraceProposal | undefined }) {
    const { opened, readings } = usePage<TraceProps>().props;
    const probes = useProbes();
    const at = useRef('');
    const read = next?.read ?? null;
    const key = next?.key ?? '';
    useEffect(() => {
        if (read && key !== at.current) {
            probes.setMode(modeOf(read.mode));
            probes.set(read.a, read.b);
            at.current = key;
        }
    }, [read, key, probes]);
    return (
        <MeterDock
            stage="prove"
            call={next && next.call !== 'idle' ? next.call : null}
            since={opened?.at ?? null}
            readings={readings}
        />
    );
}
