import { clsx } from 'clsx';
import { useState } from 'react';
import type { PointInfo } from '@/types';
import { say } from '@/words';

const groups: PointInfo['group'][] = ['screw', 'supply', 'inside', 'line', 'conductor', 'metal'];

/** Every point that a probe can touch: by place, by what it is, or by typing a part of its name. */
export function PointPicker({
    name,
    points,
    value,
    onPick,
}: {
    name: 'A' | 'B';
    points: PointInfo[];
    value: string;
    onPick: (id: string) => void;
}) {
    const places = [...new Set(points.map((point) => point.place))];
    const [place, setPlace] = useState(points.find((point) => point.id === value)?.place ?? places[0] ?? '');
    const [typed, setTyped] = useState('');
    const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
    const fits = (point: PointInfo) => {
        const text = `${point.label} ${point.placeLabel} ${point.id}`.toLowerCase();
        return words.every((word) => text.includes(word));
    };
    const shown = points.filter((point) => (words.length > 0 ? fits(point) : point.place === place));
    const title: Record<PointInfo['group'], string> = {
        screw: say('meter.group-screws'),
        supply: say('meter.group-supply'),
        inside: say('meter.group-inside'),
        line: say('meter.group-line'),
        conductor: say('meter.group-conductors'),
        metal: say('meter.group-metal'),
    };
    return (
        <div className="bg-sunk border-y border-hair" role="group" aria-label={say('meter.points-for', { name })}>
            <input
                autoFocus
                aria-label={say('meter.find-a-point')}
                className="h-11 w-full border-b border-hair bg-panel px-3"
                placeholder={say('meter.find-a-point-example')}
                autoComplete="off"
                autoCapitalize="off"
                spellCheck={false}
                value={typed}
                onChange={(event) => setTyped(event.target.value)}
                onKeyDown={(event) => {
                    if (event.key === 'Enter' && shown[0]) {
                        event.preventDefault();
                        onPick(shown[0].id);
                    }
                    if (event.key === 'Escape') onPick(value);
                }}
            />
            {words.length === 0 && (
                <div className="flex flex-wrap border-b border-hair">
                    {places.map((item) => (
                        <button
                            key={item}
                            type="button"
                            aria-pressed={item === place}
                            className={clsx(
                                'min-h-11 flex-1 whitespace-nowrap px-2 font-lab text-small font-semibold text-muted',
                                'aria-pressed:bg-ink aria-pressed:text-bone',
                            )}
                            onClick={() => setPlace(item)}
                        >
                            {points.find((point) => point.place === item)?.placeLabel ?? item}
                        </button>
                    ))}
                </div>
            )}
            <div className="max-h-72 overflow-y-auto px-3 pb-2">
                {shown.length === 0 && <p className="py-2 text-small text-muted">{say('meter.no-such-point')}</p>}
                {groups.map((group) => {
                    const mine = shown.filter((point) => point.group === group);
                    return (
                        mine.length > 0 && (
                            <div key={group}>
                                <h3 className={clsx('lab mb-0.5 mt-2', group === 'line' && '!text-caution-ink')}>
                                    {title[group]}
                                </h3>
                                <div className="flex flex-wrap gap-1.5">
                                    {mine.map((point) => (
                                        <button
                                            key={point.id}
                                            type="button"
                                            data-point={point.id}
                                            aria-pressed={point.id === value}
                                            className={clsx(
                                                'min-h-11 min-w-11 border bg-panel px-2 text-left font-lab text-small',
                                                'font-semibold aria-pressed:border-copper aria-pressed:bg-copper',
                                                'aria-pressed:text-on-copper',
                                                group === 'line' ? 'border-caution' : 'border-rule',
                                            )}
                                            onClick={() => onPick(point.id)}
                                        >
                                            {point.label}
                                            {words.length > 0 && (
                                                <span className="block text-note font-normal">{point.placeLabel}</span>
                                            )}
                                        </button>
                                    ))}
                                </div>
                            </div>
                        )
                    );
                })}
            </div>
        </div>
    );
}
