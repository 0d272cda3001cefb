import { clock, figure, signUnit } from '@/lib/format';
import { useOutbox, type Kept as Waiting } from '@/lib/write/outbox';
import { url } from '@/lib/url';
import { useAskPower } from '@/shell/Shell';
import { Unit } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';
import { useMeter, type Meter } from '../state/meter';
import { MixUp } from './MixUp';
import { Simulated } from './Simulated';
import { Verdict } from '../log/Verdict';

/** What the meter shows: typed, judged, or kept on this device; refused with its reason. */
export function Actual() {
    const meter = useMeter();
    const { job, probes, pair, last, typed, closed, errors, refused } = meter;
    const kept = useKept(meter);
    return (
        <section className="dock__actual" style={{ paddingBottom: 6 }}>
            <ActualLabel />
            <ActualField />
            {job.practice && <Simulated />}
            <MixUp />
            {kept && typed === '' ? (
                <Kept kept={kept} unit={signUnit[probes.mode]} />
            ) : (
                <Verdict key={pair} jobId={job.id} reading={last} typed={typed} closed={closed} />
            )}
            <Bad id="actual-bad">{refused}</Bad>
            {errors.power && <RaiseFlag />}
        </section>
    );
}

function ActualLabel() {
    const { correcting, correct } = useMeter();
    if (!correcting) {
        return (
            <label className="lab" htmlFor="actual">
                {say('meter.actual')}
            </label>
        );
    }
    const { value, mode, unit, at } = correcting;
    return (
        <>
            <label className="lab" htmlFor="actual">
                {say('meter.actual-in-place-of-at', {
                    correcting: value === null ? 'OL' : `${figure(value, mode)} ${unit}`,
                    at: clock(at),
                })}
            </label>
            <button type="button" className="link" onClick={() => correct(null)}>
                {say('meter.leave-it-as-it-was')}
            </button>
        </>
    );
}

function ActualField() {
    const { probes, typed, type, record, same, errors } = useMeter();
    return (
        <div className="act" data-bad={errors.value ? '' : undefined}>
            <input
                id="actual"
                inputMode="decimal"
                autoComplete="off"
                placeholder={say('meter.type-the-reading')}
                value={typed}
                aria-invalid={!!errors.value}
                aria-describedby="actual-bad"
                onChange={(event) => type(event.target.value)}
                onKeyDown={(event) => {
                    if (event.key === 'Enter') void record();
                    if (event.key === 'Escape') event.currentTarget.blur();
                    if (event.key === '=' && same !== null) {
                        event.preventDefault();
                        void record(same);
                    }
                }}
            />
            <em>
                <Unit unit={signUnit[probes.mode]} size={18} />
            </em>
        </div>
    );
}

/** A reading of this pair that waits on this device for a signal. */
function useKept({ job, probes, purpose }: Meter): Waiting | undefined {
    return useOutbox().find(
        ({ url: to, body }) =>
            to === url('job.readings', { job: job.id }) &&
            body.a === probes.a &&
            body.b === probes.b &&
            body.mode === probes.mode &&
            (body.step ?? null) === purpose.step,
    );
}

function Kept({ kept, unit }: { kept: Waiting; unit: string }) {
    return (
        <p className="py-2 text-small" role="status" data-testid="kept">
            <State glyph="caution" tone="caution">
                {say('meter.is-kept-on-this-device', { value: String(kept.body.value), signUnit: unit })}
            </State>{' '}
            {kept.refused ?? kept.waits ?? say('meter.no-signal-it-is-sent-and')}
        </p>
    );
}

function RaiseFlag() {
    const askPower = useAskPower();
    const { mode } = useMeter().probes;
    const live = mode === 'V' || mode === 'A';
    return (
        <button className="link" onClick={() => askPower(live ? 'live' : 'isolated')}>
            {live ? say('meter.make-live') : say('meter.isolate')}
        </button>
    );
}
