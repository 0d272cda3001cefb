import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/api';
import { useRecord } from '@/lib/once';
import type { Frame } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad, State } from '@/ui/State';
import { Tick } from '@/ui/Tick';

/**
 * Raising the flag: isolated asks for the dead reading of each supply and the proof of the meter, live for a reading
 * of each.
 */
export function PowerDialog({ jobId, to, onClose }: { jobId: string; to: 'live' | 'isolated'; onClose: () => void }) {
    const { supplies, beforeLive, power } = usePage<Frame>().props;
    const [volts, setVolts] = useState<Record<string, string>>({});
    const [proved, setProved] = useState(false);
    const [despite, setDespite] = useState(false);
    const { record, answer } = useRecord(jobId);
    const errors = answer?.kind === 'invalid' ? answer.errors : {};
    const isolate = to === 'isolated';
    const sole = supplies.length === 1;
    const open = isolate ? [] : beforeLive;
    const field = (id: string) => errors[sole ? 'volts' : `supplies.${id}`];

    const send = () => record('power', { state: to, supplies: volts, meter_proved: proved, despite }, onClose);

    return (
        <Dialog
            open
            onClose={onClose}
            title={isolate ? 'Isolate and prove dead' : 'Make live'}
            tone={isolate ? 'iso' : 'live'}
        >
            <form
                className="mt-3 grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void send();
                }}
            >
                {power.why && power.at && <p className="text-small text-muted">{power.why}.</p>}
                {isolate ? (
                    <Dead several={!sole} />
                ) : (
                    <p>
                        Jumpers secured, bare ends apart, doors and covers on, nobody's hands in. Then power on and read
                        it at the board.
                    </p>
                )}
                {open.length > 0 && (
                    <div
                        role="group"
                        aria-label="Still open"
                        className="border-l-[6px] border-fault bg-fault-wash px-3 py-2 text-small"
                    >
                        <State glyph="fault" tone="fault">
                            Still open, before the power comes on
                        </State>
                        <ul className="mt-1 grid gap-1">
                            {open.map((item) => (
                                <li key={item}>{item}</li>
                            ))}
                        </ul>
                        <div className="mt-1 flex items-center gap-2">
                            <Tick checked={despite} label="All of this is meant: make it live" onChange={setDespite} />
                            <span className="font-semibold">All of this is meant: make it live</span>
                        </div>
                    </div>
                )}
                {supplies.map((supply, index) => (
                    <label key={supply.id} className="field" data-bad={field(supply.id) ? '' : undefined}>
                        <span className="lab">
                            {sole
                                ? isolate
                                    ? 'Dead reading, volts'
                                    : `${supply.live} now, volts`
                                : `${isolate ? 'Dead reading of' : 'Now, of'} ${supply.label} (${supply.live}), volts`}
                        </span>
                        <input
                            inputMode="decimal"
                            autoComplete="off"
                            autoFocus={index === 0}
                            value={volts[supply.id] ?? ''}
                            onChange={(event) => setVolts({ ...volts, [supply.id]: event.target.value })}
                            aria-invalid={!!field(supply.id)}
                            aria-describedby="power-bad"
                        />
                    </label>
                ))}
                {isolate && (
                    <div className="flex items-center gap-2">
                        <Tick
                            checked={proved}
                            label="Meter proved on a known live source, before and after"
                            onChange={setProved}
                        />
                        <span>Meter proved on a known live source, before and after</span>
                    </div>
                )}
                <Bad id="power-bad">
                    {answer && answer.kind !== 'ok'
                        ? errors.despite
                            ? 'Look at what is still open, and say that it is meant.'
                            : said(answer)
                        : null}
                </Bad>
                <p className="text-note text-muted">
                    Local code and licensed practice come first. Line-voltage work needs the licence that the place
                    requires.
                </p>
                <button className="btn btn--go justify-self-end" type="submit">
                    {isolate ? 'It is dead' : 'It is live'}
                </button>
            </form>
        </Dialog>
    );
}

function Dead({ several }: { several: boolean }) {
    return (
        <ol className="list-decimal space-y-1.5 pl-5 text-body">
            <li>Service switch or breaker off{several ? ', of each supply' : ''}. Do not trust the panel's labels.</li>
            <li>Prove the meter on a known live source.</li>
            <li>
                Measure at the transformer's line leads, then R–C.{' '}
                {several
                    ? 'Each supply is proved by its own reading: one dead says nothing of the other.'
                    : 'A cabinet can hold a second supply.'}
            </li>
            <li>Prove the meter again. A non-contact tester never proves a circuit dead.</li>
        </ol>
    );
}
