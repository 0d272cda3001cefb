import { say } from '@/words';
import { focusActual, useMeter } from '../state/meter';
import { Log } from '../log/Log';

/** What was read here before: a tap goes to the same points, or records in its place. */
export function LastReadings() {
    const { job, readings, points, closed, probes, correct } = useMeter();
    return (
        <section className="dock__log min-h-24 flex-1" style={{ borderBottom: 0 }}>
            <div className="lab mb-0.5">{say('meter.last-readings')}</div>
            <Log
                jobId={job.id}
                readings={readings}
                points={points}
                closed={closed}
                onPick={(reading) => {
                    probes.setMode(reading.mode);
                    probes.set(reading.a, reading.b);
                }}
                onCorrect={(reading) => {
                    correct(reading);
                    focusActual();
                }}
            />
        </section>
    );
}
