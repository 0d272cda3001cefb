import { ago, moment } from '@/lib/format';
import { useKeys, useSecondsLeft } from '@/lib/hooks';
import type { Power } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { PowerDialog } from './PowerDialog';

interface Props {
    jobId: string;
    power: Power;
    now: string;
    closed: boolean;
    practice: boolean;
    asked: 'live' | 'isolated' | null;
    onAsk: (state: 'live' | 'isolated' | null) => void;
}

/**
 * The power flag: always in the same place, always with its reading and time; a live reading of long ago says its
 * age.
 */
export function PowerFlag({ jobId, power, now, closed, practice, asked, onAsk }: Props) {
    const left = useSecondsLeft(power.lapsesAt, now);
    const ran = power.state === 'isolated' && left <= 0;
    const state = ran ? 'not-proved' : power.state;
    const other = state === 'live' ? 'isolated' : 'live';
    useKeys({ p: closed ? undefined : () => onAsk(other) });

    const reading = power.volts === null ? '' : power.volts.toFixed(1);
    const lapsed = power.lapsed || ran;
    const why = lapsed ? `proof lapsed, ${power.lapseMinutes} min` : power.at ? 'prove it anew' : 'no reading yet';
    return (
        <div className={`pf pf--${state}`}>
            <div className="pf__flag" role="status" aria-label="Power flag" title={power.why ?? undefined}>
                <Glyph name={state === 'live' ? 'live' : state === 'isolated' ? 'iso' : 'need'} size={28} />
                <div>
                    <b>{state === 'live' ? 'LIVE 24 V' : state === 'isolated' ? 'ISOLATED' : 'NOT PROVED'}</b>
                    <span>
                        {state === 'live' &&
                            power.at &&
                            `R–C ${reading} V ${power.old ? ago(power.at, now) : moment(power.at)}`}
                        {state === 'isolated' && power.at && `dead ${reading} V ${moment(power.at)}`}
                        {state === 'not-proved' && why}
                        {practice && ', practice'}
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
