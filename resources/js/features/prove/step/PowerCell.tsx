import { usePage } from '@inertiajs/react';
import { useAskPower, usePowerWanted } from '@/shell/Shell';
import type { ProveProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';
import { say } from '@/words';
import { Cell } from './Cell';
import { useRun } from './useRun';

const POWER = {
    live: { glyph: 'live', tone: 'live', word: say('prove.live-24-v') },
    isolated: { glyph: 'iso', tone: 'iso', word: say('prove.isolated') },
    'not-proved': { glyph: 'caution', tone: 'caution', word: say('prove.not-proved') },
} as const;

/** The power that the step wants, and the flag as it is. */
export function PowerCell() {
    const { step, closed } = useRun();
    const { power } = usePage<ProveProps>().props;
    const ask = useAskPower();
    const wants = step.staysDead || (step.isolated && !step.running) ? 'isolated' : 'live';
    const anyPower = step.method === 'looks';
    usePowerWanted(anyPower ? null : wants);
    return (
        <Cell label={say('prove.1-power')}>
            <PowerLine word={say('prove.wanted')} state={anyPower ? null : wants} />
            <PowerLine word={say('prove.now')} state={power.state} />
            {anyPower || power.state === wants ? (
                <p className="mt-1 flex items-center gap-1.5 text-small text-verd-ink">
                    <Glyph name="tick" /> {say('prove.flag-agrees')}
                </p>
            ) : (
                !closed && (
                    <button className="link" onClick={() => ask(wants)}>
                        {wants === 'live' ? say('prove.make-live') : say('prove.isolate')}
                    </button>
                )
            )}
        </Cell>
    );
}

/** What power a step wants, or what it is now; a look wants none. */
function PowerLine({ word, state }: { word: string; state: keyof typeof POWER | null }) {
    const look = state === null ? null : POWER[state];
    return (
        <p className="mt-1 flex flex-wrap items-center gap-x-2">
            <span className="lab w-12">{word}</span>
            {look ? (
                <State glyph={look.glyph} tone={look.tone}>
                    {look.word}
                </State>
            ) : (
                <span className="text-muted">{say('prove.any')}</span>
            )}
        </p>
    );
}
