import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import type { Frame } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad, State } from '@/ui/State';
import { TickLine } from '@/ui/Tick';
import { say } from '@/words';

/**
 * Raising the flag: isolated asks for the dead reading of each supply and the proof of the meter, live for a reading
 * of each.
 */
export function PowerDialog({ jobId, to, onClose }: { jobId: string; to: 'live' | 'isolated'; onClose: () => void }) {
    const { supplies, beforeLive, power } = usePage<Frame>().props;
    const sole = supplies.length === 1;
    // A reading that was just taken is the reading: nobody types it twice.
    // No draft: what proved it dead, or live, was read now and no other time.
    const [volts, setVolts] = useState<Record<string, string>>(() =>
        to === 'live' && sole && supplies[0] && power.read ? { [supplies[0].id]: String(power.read.volts) } : {},
    );
    const [proved, setProved] = useState(false);
    const [despite, setDespite] = useState(false);
    const { record, answer } = useRecord(jobId);
    const errors = answer?.kind === 'invalid' ? answer.errors : {};
    const isolate = to === 'isolated';
    const open = isolate ? [] : beforeLive;
    const field = (id: string) => errors[sole ? 'volts' : `supplies.${id}`];

    const send = () => record('power', { state: to, supplies: volts, meter_proved: proved, despite }, onClose);

    return (
        <Dialog
            open
            onClose={onClose}
            title={isolate ? say('shell.isolate-and-prove-dead') : say('shell.make-live')}
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
                {isolate ? <Dead several={!sole} /> : <p>{say('shell.jumpers-secured-bare-ends-apart-doors')}</p>}
                {open.length > 0 && (
                    <div
                        role="group"
                        aria-label={say('shell.still-open')}
                        className="border-l-[6px] border-fault bg-fault-wash px-3 py-2 text-small"
                    >
                        <State glyph="fault" tone="fault">
                            {say('shell.still-open-before-the-power-comes')}
                        </State>
                        <ul className="mt-1 grid gap-1">
                            {open.map((item) => (
                                <li key={item}>{item}</li>
                            ))}
                        </ul>
                        <TickLine
                            strong
                            checked={despite}
                            label={say('shell.all-of-this-is-meant-make')}
                            onChange={setDespite}
                        />
                    </div>
                )}
                {supplies.map((supply, index) => (
                    <label key={supply.id} className="field" data-bad={field(supply.id) ? '' : undefined}>
                        <span className="lab">
                            {sole
                                ? isolate
                                    ? say('shell.dead-reading-volts')
                                    : say('shell.now-volts', { live: supply.live })
                                : isolate
                                  ? say('shell.dead-reading-of-volts', { supply: supply.label, live: supply.live })
                                  : say('shell.now-of-volts', { supply: supply.label, live: supply.live })}
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
                    <TickLine checked={proved} label={say('shell.meter-proved-on-a-known-live')} onChange={setProved} />
                )}
                <Bad id="power-bad">
                    {answer && answer.kind !== 'ok'
                        ? errors.despite
                            ? say('shell.look-at-what-is-still-open')
                            : said(answer)
                        : null}
                </Bad>
                <p className="text-note text-muted">{say('shell.local-code-and-licensed-practice-come')}</p>
                <button className="btn btn--go justify-self-end" type="submit">
                    {isolate ? say('shell.it-is-dead') : say('shell.it-is-live')}
                </button>
            </form>
        </Dialog>
    );
}

function Dead({ several }: { several: boolean }) {
    return (
        <ol className="list-decimal space-y-1.5 pl-5 text-body">
            <li>
                {several
                    ? say('shell.service-switch-or-breaker-off-of')
                    : say('shell.service-switch-or-breaker-off-do')}
            </li>
            <li>{say('shell.prove-the-meter-on-a-known')}</li>
            <li>
                {several
                    ? say('shell.measure-at-the-transformers-line-leads')
                    : say('shell.measure-at-the-transformers-line-leads-3')}
            </li>
            <li>{say('shell.prove-the-meter-again-a-non')}</li>
        </ol>
    );
}
