import type { TraceProps, TraceView } from '@/types';
import { clock } from '@/lib/format';
import { Share } from '@/features/share/Share';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';
import { Problem } from './parts/Problem';
import { useTrace } from './parts/useTrace';

/** What was complained of, and how long it has taken so far. */
export function TraceHead({ opened, trace }: { opened: NonNullable<TraceProps['opened']>; trace: TraceView }) {
    const { row, problem, closed } = useTrace();
    const left = trace.odd.filter((one) => !one.struck).length;
    const told = opened.told
        .map((item) => `${item.call}: ${item.sees.join(', ')}${item.when === '' ? '' : ` (${item.when})`}`)
        .join(' · ');
    return (
        <>
            <div className="head">
                <div className="min-w-0">
                    <h1 className="h-step">
                        {trace.finished ? say('trace.works-again') : say('trace.trace-from', { at: clock(opened.at) })}
                    </h1>
                    <p>{told === '' ? say('trace.nothing-told') : told}</p>
                    {opened.history.length > 0 && <p>{opened.history.join(' · ')}</p>}
                    {left > 0 && <p>{say('trace.odd-signs', { left })}</p>}
                    {trace.landing.map((finding) => (
                        <p key={finding} className="!text-fault-ink">
                            <Glyph name="fault" /> {finding}
                        </p>
                    ))}
                </div>
                <div className="flex flex-wrap gap-2.5">
                    <Share />
                    <button className="btn btn--quiet" onClick={() => row('close', {})} disabled={closed}>
                        {trace.finished ? say('trace.put-away-found') : say('trace.put-away')}
                    </button>
                </div>
            </div>
            <div className="px-5">
                <Problem of={problem} />
            </div>
        </>
    );
}
