import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { SetupStrip } from '@/features/setup-strip/SetupStrip';
import { Complaint } from '@/features/trace/Complaint';
import { Found } from '@/features/trace/Found';
import { TraceHead } from '@/features/trace/Head';
import { Happened } from '@/features/trace/Happened';
import { NextTest } from '@/features/trace/NextTest';
import { Rows } from '@/features/trace/Rows';
import { BreakerClock } from '@/features/trace/sheets/BreakerClock';
import { ExchangeList } from '@/features/trace/sheets/ExchangeList';
import { OddSigns } from '@/features/trace/sheets/OddSigns';
import { Routes } from '@/features/trace/sheets/Routes';
import { Routines } from '@/features/trace/sheets/Routines';
import { SomethingElse } from '@/features/trace/SomethingElse';
import { Suspects } from '@/features/trace/Suspects';
import { TraceDock } from '@/features/trace/TraceDock';
import { Trips } from '@/features/trace/Trips';
import { Shell } from '@/shell/Shell';
import type { TraceProps } from '@/types';
import { modeOf } from '@/features/trace/parts/modeOf';
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
                    {trace.breaker && <BreakerClock breaker={trace.breaker} />}
                    {trace.done && <Found done={trace.done} />}
                    <ExchangeList exchange={trace.exchange} />
                    <OddSigns odd={trace.odd} />
                    <div className="trace__two">
                        <Suspects suspects={trace.suspects} />
                        <NextTest trace={trace} next={next} chosen={chosen} onChoose={setChosen} />
                    </div>
                    {!trace.done && <Routines routines={trace.routines} />}
                    <Happened trace={trace} />
                    <SomethingElse trace={trace} />
                    <Routes routes={trace.routes} />
                    <Trips trace={trace} next={next} />
                    <Rows rows={trace.rows} />
                </>
            ) : (
                <Complaint />
            )}
        </Shell>
    );
}
