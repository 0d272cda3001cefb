import { useState } from 'react';
import { said } from '@/lib/api';
import type { CableView } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** How long the cable is, one way: it decides the drop and what a short can draw. */
export function Length({
    cable,
    closed,
    onKeep,
}: {
    cable: CableView;
    closed: boolean;
    onKeep: (feet: number | string) => Promise<Parameters<typeof said>[0]>;
}) {
    const [typed, setTyped] = useState<string | null>(null);
    const [bad, setBad] = useState('');
    const keep = async () => {
        if (typed === null || typed === String(cable.feet)) return setTyped(null);
        const feet = Number(typed.replace(',', '.'));
        const answer = await onKeep(Number.isFinite(feet) && typed.trim() !== '' ? feet : typed);
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') setTyped(null);
    };
    const word = cable.from === 'wall' ? say('survey.wall-cable') : say('survey.outdoor-cable');
    return (
        <>
            <label className="flex min-h-11 items-center justify-between gap-3 border-b border-hair">
                <span className="text-small">{say('survey.awg', { word, gauge: cable.gauge })}</span>
                <span className="flex items-center gap-1.5">
                    <input
                        className="h-11 w-16 bg-transparent text-right text-head font-medium"
                        style={{ borderBottom: `2px solid var(${bad ? '--fault' : '--rule'})` }}
                        inputMode="decimal"
                        autoComplete="off"
                        disabled={closed}
                        value={typed ?? cable.feet}
                        onChange={(event) => setTyped(event.target.value)}
                        onBlur={() => void keep()}
                        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                    />
                    <span className="text-muted">{say('survey.ft')}</span>
                </span>
            </label>
            <Bad>{bad}</Bad>
        </>
    );
}
