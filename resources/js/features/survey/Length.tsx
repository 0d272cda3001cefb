import { useState } from 'react';
import { said } from '@/lib/api';
import { shown, typed, unitOf, useUnits } from '@/lib/units';
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
    const units = useUnits();
    const [entered, setTyped] = useState<string | null>(null);
    const [bad, setBad] = useState('');
    const length = String(Number(shown(cable.feet, 'ft', units).toFixed(1)));
    const keep = async () => {
        if (entered === null || entered === length) return setTyped(null);
        const number = Number(entered.replace(',', '.'));
        const fits = Number.isFinite(number) && entered.trim() !== '';
        const answer = await onKeep(fits ? typed(number, 'ft', units) : entered);
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
                        value={entered ?? length}
                        onChange={(event) => setTyped(event.target.value)}
                        onBlur={() => void keep()}
                        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                    />
                    <span className="text-muted">{unitOf('ft', units)}</span>
                </span>
            </label>
            <Bad>{bad}</Bad>
        </>
    );
}
