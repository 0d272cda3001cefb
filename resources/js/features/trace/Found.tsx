import type { TraceDone } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';
import { useTrace } from './parts/useTrace';

/** The fault as found: what ends it, what to bring, what can hurt, which calls have to be proved again. */
export function Found({ done }: { done: TraceDone }) {
    const { row, closed } = useTrace();
    return (
        <section className="trace__found" aria-labelledby="found">
            <div className="flex flex-wrap items-baseline justify-between gap-x-4">
                <h2 className="h-step !text-[24px]" id="found">
                    <Glyph name={done.unknown || done.stuck ? 'caution' : 'traced'} size={22} />{' '}
                    {done.unknown
                        ? say('trace.none-of-what-is-known')
                        : done.stuck
                          ? say('trace.not-parted-further')
                          : say('trace.found-it', { share: Math.round(100 * done.share) })}
                </h2>
                <b className="font-lab text-head">{say('trace.about-minutes', { minutes: done.minutes })}</b>
            </div>
            <ul className="font-lab text-head font-semibold">
                {done.titles.slice(0, 4).map((title) => (
                    <li key={title}>{title}</li>
                ))}
            </ul>
            <p className="text-lead">
                <b>{done.repair}.</b> {done.fix}
            </p>
            <dl className="trace__meta">
                <div>
                    <dt>{say('trace.bring')}</dt>
                    <dd>{done.parts.length === 0 ? say('trace.nothing-to-bring') : done.parts.join(', ')}</dd>
                </div>
                <div>
                    <dt>{say('trace.fuse')}</dt>
                    <dd>
                        {done.fuses.length === 0
                            ? say('trace.no-fuse')
                            : done.fuses.map((amps) => say('trace.amps', { amps })).join(', ')}
                    </dd>
                </div>
                <div>
                    <dt>{say('trace.proved-again')}</dt>
                    <dd>{done.reopen.length === 0 ? '–' : done.reopen.join(', ')}</dd>
                </div>
            </dl>
            <ul className="text-small">
                {done.safety.map((line) => (
                    <li key={line}>
                        <Glyph name="caution" /> {line}
                    </li>
                ))}
            </ul>
            {done.confirm && (
                <button
                    className="trace__more"
                    disabled={closed}
                    onClick={() => row('event', { event: { kind: 'waived' } })}
                >
                    {say('trace.without-confirming')}
                </button>
            )}
        </section>
    );
}
