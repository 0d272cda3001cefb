import { useState } from 'react';
import { said } from '@/lib/api';
import { useRecord } from '@/lib/once';
import { moment } from '@/lib/format';
import { useKeys, useSecondsLeft } from '@/lib/hooks';
import type { Power } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { Tick } from '@/ui/Tick';

/** The power flag: always in the same place, always with its reading and time. */
export function PowerFlag({ jobId, power, now, closed, asked, onAsk }: { jobId: string; power: Power; now: string; closed: boolean; asked: 'live' | 'isolated' | null; onAsk: (state: 'live' | 'isolated' | null) => void }) {
    const left = useSecondsLeft(power.lapsesAt, now);
    const state = power.state === 'isolated' && left <= 0 ? 'not-proved' : power.state;
    const other = state === 'live' ? 'isolated' : 'live';
    useKeys({ p: closed ? undefined : () => onAsk(other) });

    const reading = power.volts === null ? '' : power.volts.toFixed(1);
    return (
        <div className={`pf pf--${state}`}>
            <div className="pf__flag" role="status" aria-label="Power flag">
                <Glyph name={state === 'live' ? 'live' : state === 'isolated' ? 'iso' : 'need'} size={28} />
                <div>
                    <b>{state === 'live' ? 'LIVE 24 V' : state === 'isolated' ? 'ISOLATED' : 'NOT PROVED'}</b>
                    <span>
                        {state === 'live' && power.at && `R–C ${reading} V ${moment(power.at)}`}
                        {state === 'isolated' && power.at && `dead ${reading} V ${moment(power.at)}`}
                        {state === 'not-proved' && (power.lapsed || power.state === 'isolated' ? 'proof lapsed, 30 min' : 'no reading yet')}
                    </span>
                </div>
            </div>
            {!closed && state === 'not-proved' && (
                <button className="pf__other" onClick={() => onAsk('isolated')}>
                    Isolate
                </button>
            )}
            {!closed && (
                <button className="pf__other" onClick={() => onAsk(other)}>
                    {other === 'live' ? 'Make live' : 'Isolate'}
                </button>
            )}
            {asked && <PowerDialog jobId={jobId} to={asked} onClose={() => onAsk(null)} />}
        </div>
    );
}

/** Raising the flag: isolated asks for the dead reading and the proof of the meter, live for R–C. */
function PowerDialog({ jobId, to, onClose }: { jobId: string; to: 'live' | 'isolated'; onClose: () => void }) {
    const [volts, setVolts] = useState('');
    const [proved, setProved] = useState(false);
    const { record, answer } = useRecord(jobId);
    const errors = answer?.kind === 'invalid' ? answer.errors : {};
    const isolate = to === 'isolated';

    const send = () => record('power', { state: to, volts, meter_proved: proved }, onClose);

    return (
        <Dialog open onClose={onClose} title={isolate ? 'Isolate and prove dead' : 'Make live'} tone={isolate ? 'iso' : 'live'}>
            <form
                className="mt-3 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void send();
                }}
            >
                {isolate ? (
                    <ol className="list-decimal space-y-1.5 pl-5 text-[15px]">
                        <li>Service switch or breaker off. Do not trust the panel's labels.</li>
                        <li>Prove the meter on a known live source.</li>
                        <li>Measure at the transformer's line leads, then R–C. A cabinet can hold a second supply.</li>
                        <li>Prove the meter again. A non-contact tester never proves a circuit dead.</li>
                    </ol>
                ) : (
                    <p>Jumpers secured, bare ends apart, doors and covers on, nobody's hands in. Then power on and read R–C at the board.</p>
                )}
                <label className="field" data-bad={errors.volts ? '' : undefined}>
                    <span className="lab">{isolate ? 'Dead reading, volts' : 'R–C now, volts'}</span>
                    <input inputMode="decimal" autoComplete="off" autoFocus value={volts} onChange={(event) => setVolts(event.target.value)} aria-invalid={!!errors.volts} aria-describedby="power-bad" />
                </label>
                {isolate && (
                    <div className="flex items-center gap-2">
                        <Tick checked={proved} label="Meter proved on a known live source, before and after" onChange={setProved} />
                        <span>Meter proved on a known live source, before and after</span>
                    </div>
                )}
                <Bad id="power-bad">{answer && answer.kind !== 'ok' ? said(answer) : null}</Bad>
                <p className="text-[13px] text-muted">Local code and licensed practice come first. Line-voltage work needs the licence that the place requires.</p>
                <button className="btn btn--go justify-self-end" type="submit">
                    {isolate ? 'It is dead' : 'It is live'}
                </button>
            </form>
        </Dialog>
    );
}
