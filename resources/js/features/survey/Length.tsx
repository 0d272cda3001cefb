import { useState } from 'react';
import { said } from '@/lib/write/api';
import { sent, shown, unitOf, useUnits, written, type Entry } from '@/lib/units';
import { cut } from '@/lib/numbers';
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
    const [entered, setEntered] = useState<Entry | null>(null);
    const [bad, setBad] = useState('');
    const length = String(cut(shown(cable.feet, 'ft', units), 1));
    const now = entered === null ? length : written(entered, 'ft', units);
    const keep = async () => {
        if (entered === null || now === length) return setEntered(null);
        const answer = await onKeep(sent(entered, 'ft') ?? '');
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') setEntered(null);
    };
    const word = say('survey.cable-word', { id: cable.id });
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
                        value={now}
                        onChange={(event) => setEntered({ text: event.target.value, units })}
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
