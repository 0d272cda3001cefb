import { useEffect, useState } from 'react';
import type { TraceView } from '@/types';
import { State } from '@/ui/State';
import { say } from '@/words';

const SECOND = 1000;

/** How long the test breaker has held, and when the transformer has to rest: the breaker itself is too slow to say. */
export function BreakerClock({ breaker }: { breaker: NonNullable<TraceView['breaker']> }) {
    const [now, setNow] = useState(() => Date.now());
    useEffect(() => {
        const timer = setInterval(() => setNow(Date.now()), SECOND);
        return () => clearInterval(timer);
    }, []);
    const since = breaker.since === null ? null : new Date(breaker.since).getTime();
    const held = since === null ? 0 : Math.max(0, Math.floor((now - since) / SECOND));
    const over = breaker.seconds !== null && held >= breaker.seconds;
    return (
        <section className="trace__sheet" aria-label={say('trace.test-breaker')}>
            <p className="text-lead" role="status">
                <State glyph={over ? 'fault' : 'caution'} tone={over ? 'fault' : 'live'}>
                    {since === null
                        ? say('trace.breaker-in-power-off')
                        : over
                          ? say('trace.breaker-off-now', { held })
                          : say('trace.breaker-holds', { held, most: breaker.seconds ?? 0 })}
                </State>
            </p>
            <p className="text-small">{breaker.says}</p>
        </section>
    );
}
