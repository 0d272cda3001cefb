import { useState } from 'react';
import { clock, figure, pointName } from '@/lib/format';
import type { PointInfo, Reading } from '@/types';
import { Glyph, Unit } from '@/ui/Glyph';
import { outcomeLook } from '@/ui/State';
import { FlagReading } from './FlagReading';
import { say } from '@/words';

const most = 12;

/**
 * The last readings. One that is touched opens: its reason, and what can be done with it. What was corrected stays,
 * struck through.
 */
export function Log({
    jobId,
    readings,
    points,
    closed,
    onPick,
    onCorrect,
}: {
    jobId: string;
    readings: Reading[];
    points: PointInfo[];
    closed: boolean;
    onPick: (reading: Reading) => void;
    onCorrect: (reading: Reading) => void;
}) {
    const [open, setOpen] = useState<string | null>(null);
    if (readings.length === 0) return <p className="text-small text-muted">{say('meter.no-reading-yet')}</p>;
    const corrected = new Set(readings.map((reading) => reading.corrects));
    return (
        <table className="log">
            <tbody>
                {readings.slice(0, most).map((reading) => {
                    const ends = reading.mode === 'A' ? [reading.a] : [reading.a, reading.b];
                    const name = ends.map((point) => pointName(points, point)).join('–');
                    const isOpen = open === reading.id;
                    return [
                        <tr key={reading.id} className={corrected.has(reading.id) ? 'line-through decoration-1' : ''}>
                            <td className="text-muted">
                                {clock(reading.at)}
                                {reading.simulated && (
                                    <abbr className="ml-1 no-underline" title={say('meter.simulated')}>
                                        {say('meter.sim')}
                                    </abbr>
                                )}
                            </td>
                            <td className="pl-2">
                                <button
                                    className="min-h-11 min-w-11 text-left"
                                    aria-expanded={isOpen}
                                    onClick={() => {
                                        setOpen(isOpen ? null : reading.id);
                                        onPick(reading);
                                    }}
                                >
                                    {name}
                                </button>
                            </td>
                            <td className="text-right">
                                {reading.value === null ? 'OL' : figure(reading.value, reading.mode)}{' '}
                                {reading.value !== null && <Unit unit={reading.unit} size={11} />}
                            </td>
                            <td
                                className="w-6 text-right"
                                title={
                                    reading.unexplained ? say('meter.unexplained') : outcomeLook[reading.outcome].word
                                }
                            >
                                {reading.unexplained ? (
                                    <Glyph name="flag" style={{ color: 'var(--caution)' }} />
                                ) : (
                                    <Glyph
                                        name={outcomeLook[reading.outcome].glyph}
                                        style={{ color: `var(--${outcomeLook[reading.outcome].tone})` }}
                                    />
                                )}
                                <span className="vh">
                                    {reading.unexplained ? say('meter.unexplained') : outcomeLook[reading.outcome].word}
                                </span>
                            </td>
                        </tr>,
                        isOpen && (
                            <tr key={`${reading.id}-open`}>
                                <td colSpan={4} className="!whitespace-normal pb-2 font-sans text-small">
                                    {reading.reason}
                                    {reading.corrects && (
                                        <span className="text-muted">
                                            {' '}
                                            {say('meter.in-place-of-an-earlier-reading')}
                                        </span>
                                    )}
                                    {!closed && (
                                        <span className="flex flex-wrap gap-x-4">
                                            {!corrected.has(reading.id) && (
                                                <button className="link" onClick={() => onCorrect(reading)}>
                                                    {say('meter.correct-it')}
                                                </button>
                                            )}
                                            <FlagReading jobId={jobId} reading={reading} />
                                        </span>
                                    )}
                                </td>
                            </tr>
                        ),
                    ];
                })}
            </tbody>
        </table>
    );
}
