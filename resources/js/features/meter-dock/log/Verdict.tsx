import { clock } from '@/lib/format';
import type { Reading } from '@/types';
import { outcomeLook, State } from '@/ui/State';
import { FlagReading } from './FlagReading';
import { say } from '@/words';

/** How the last reading of these points was judged, and why; while one is being typed, that it wants recording. */
export function Verdict({
    jobId,
    reading,
    typed,
    closed,
}: {
    jobId: string;
    reading: Reading | null;
    typed: string;
    closed: boolean;
}) {
    if (!reading || typed !== '') {
        return (
            <div className="flex min-h-11 items-center">
                <State glyph="need" tone={typed === '' ? 'muted' : 'copper'}>
                    {typed === '' ? say('meter.waiting-for-a-reading') : say('meter.record-it-to-judge-it')}
                </State>
            </div>
        );
    }
    const look = outcomeLook[reading.outcome];
    return (
        <div className="py-2" role="status" data-testid="verdict" data-outcome={reading.outcome}>
            <div className="text-head">
                <State glyph={look.glyph} tone={look.tone}>
                    {reading.outcome === 'pass'
                        ? say('meter.in-range')
                        : reading.outcome === 'fail'
                          ? say('meter.not-as-expected')
                          : look.word}
                </State>{' '}
                <span className="mono text-note text-muted">{clock(reading.at)}</span>
            </div>
            {reading.outcome !== 'pass' && <p className="mt-1 text-small">{reading.reason}</p>}
            {reading.candidates.length > 1 && (
                <p className="mt-1 text-note text-muted">
                    {say('meter.would-read-the-same', { candidates: reading.candidates.slice(1, 5).join('; ') })}
                </p>
            )}
            {!closed && reading.outcome === 'fail' && <FlagReading jobId={jobId} reading={reading} />}
        </div>
    );
}
