import { ago, moment } from '@/lib/format';
import { useKeys, useSecondsLeft } from '@/lib/hooks';
import { number } from '@/lib/numbers';
import type { Power } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { PowerDialog } from './PowerDialog';
import { say } from '@/words';

interface Props {
    jobId: string;
    power: Power;
    now: string;
    closed: boolean;
    practice: boolean;
    asked: 'live' | 'isolated' | null;
    wanted: 'live' | 'isolated' | null;
    onAsk: (state: 'live' | 'isolated' | null) => void;
}

/**
 * The power flag: always in the same place, always with its reading and time; a live reading of long ago says its
 * age.
 */
export function PowerFlag({ jobId, power, now, closed, practice, asked, wanted, onAsk }: Props) {
    const left = useSecondsLeft(power.lapsesAt, now);
    const ran = power.state === 'isolated' && left <= 0;
    const state = ran ? 'not-proved' : power.state;
    const other = state === 'live' ? 'isolated' : 'live';
    // What the page wants of the power; else the other of what is there.
    useKeys({ p: closed ? undefined : () => onAsk(wanted && wanted !== state ? wanted : other) });

    // The last reading that stands: what was read since the flag was raised is newer than what raised it.
    const last = state !== 'isolated' && power.read ? power.read : power;
    const reading = last.volts === null ? '' : number(last.volts, 1);
    const lapsed = power.lapsed || ran;
    const why = lapsed
        ? say('shell.proof-lapsed-min', { lapseMinutes: power.lapseMinutes })
        : power.at
          ? say('shell.prove-it-anew')
          : say('shell.no-reading-yet');
    return (
        <div className={`pf pf--${state}`}>
            <div className="pf__flag" role="status" aria-label={say('shell.power-flag')} title={power.why ?? undefined}>
                <Glyph name={state === 'live' ? 'live' : state === 'isolated' ? 'iso' : 'need'} size={28} />
                <div>
                    <b>
                        {state === 'live'
                            ? say('shell.live-24-v')
                            : state === 'isolated'
                              ? say('shell.isolated')
                              : say('shell.not-proved')}
                    </b>
                    <span>
                        {state === 'live' &&
                            power.at &&
                            say('shell.r-c-v', {
                                reading,
                                when: power.old && !power.read ? ago(power.at, now) : moment(last.at ?? power.at),
                            })}
                        {state === 'isolated' && power.at && say('shell.dead-v', { reading, moment: moment(power.at) })}
                        {state === 'not-proved' &&
                            (power.read
                                ? say('shell.read-but-not-raised', { reading, moment: moment(power.read.at) })
                                : why)}
                        {practice && say('shell.practice')}
                    </span>
                </div>
            </div>
            {!closed && state === 'not-proved' && (
                <button className="pf__other" onClick={() => onAsk('isolated')}>
                    {say('shell.isolate')}
                </button>
            )}
            {!closed && (
                <button className="pf__other" onClick={() => onAsk(other)}>
                    {other === 'live' ? say('shell.make-live') : say('shell.isolate')}
                </button>
            )}
            {asked && <PowerDialog jobId={jobId} to={asked} onClose={() => onAsk(null)} />}
        </div>
    );
}
