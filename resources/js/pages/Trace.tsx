import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { SetupStrip } from '@/features/setup-strip/SetupStrip';
import { Complaint } from '@/features/trace/Complaint';
import { Found } from '@/features/trace/Found';
import { TraceHead } from '@/features/trace/Head';
import { Happened } from '@/features/trace/Happened';
import { NextTest } from '@/features/trace/NextTest';
import { Rows } from '@/features/trace/Rows';
import { Suspects } from '@/features/trace/Suspects';
import { TraceDock } from '@/features/trace/TraceDock';
import { Trips } from '@/features/trace/Trips';
import { Shell } from '@/shell/Shell';
import type { TraceProps } from '@/types';
import { modeOf } from '@/features/trace/modeOf';
import { say } from '@/words';

/** A fault in the fewest tests and trips: what is suspected, what to do next, where one has been, the answer. */
export default function Trace() {
    const { opened, trace } = usePage<TraceProps>().props;
    const [chosen, setChosen] = useState(0);
    const next = trace?.next[chosen] ?? trace?.next[0];
    const read = next?.read ?? null;
    return (
        <Shell
            stage="trace"
            title={say('trace.trace')}
            start={[read?.a ?? 'wall.Rc', read?.b ?? 'wall.C']}
            startMode={modeOf(read?.mode ?? 'V')}
            dock={opened && trace ? <TraceDock next={next} /> : null}
        >
            {opened && trace ? (
                <>
                    <TraceHead opened={opened} trace={trace} />
                    <SetupStrip />
                    {trace.done && <Found done={trace.done} />}
                    <div className="trace__two">
                        <Suspects suspects={trace.suspects} />
                        <NextTest trace={trace} next={next} chosen={chosen} onChoose={setChosen} />
                    </div>
                    <Happened fuses={trace.fuses} />
                    <Trips trace={trace} next={next} />
                    <Rows rows={trace.rows} />
                </>
            ) : (
                <Complaint />
            )}
        </Shell>
    );
}
