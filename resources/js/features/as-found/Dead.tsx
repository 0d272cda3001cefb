import { Link, usePage } from '@inertiajs/react';
import { said } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import { url } from '@/lib/url';
import type { ProveProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { say } from '@/words';
import { Decides } from '@/ui/Decides';

/** What does not work as found is said to the customer before the work, not after. */
export function DeadAsFound() {
    const { job, calls, steps } = usePage<ProveProps>().props;
    const { record, answer } = useRecord(job.id);
    const dead = calls.filter((call) => call.failed && !call.optional);
    if (dead.length === 0) return null;
    return (
        <section
            aria-label={say('prove.dead-as-found')}
            className="border-t-2 border-ink bg-fault-wash px-5 py-3"
            data-testid="dead"
        >
            {dead.map((call) => {
                const step = steps.find((one) => one.call === call.call && one.method === 'voltage');
                const failed = [
                    ...(step?.probes ?? []).filter((probe) => probe.reading?.outcome === 'fail'),
                    ...(step?.signs ?? []).filter((sign) => sign.outcome === 'fail'),
                ].map((one) => ('text' in one ? say('prove.no-3', { sign: one.text }) : (one.reading?.reason ?? '')));
                return (
                    <div key={call.call} className="flex flex-wrap items-center gap-x-6 gap-y-2 py-1">
                        <div className="min-w-0 flex-1 basis-72">
                            <h2 className="font-lab text-head font-bold">
                                <State glyph="fault" tone="fault">
                                    {say('prove.is-dead-as-found', { call: call.label })}
                                </State>
                            </h2>
                            <p className="text-small">{failed[0] ?? ''}</p>
                        </div>
                        {call.waived !== null ? (
                            <State glyph="pass" tone="verd">
                                {call.waived}
                            </State>
                        ) : (
                            !job.closed && (
                                <Decides>
                                    <button
                                        className="btn"
                                        onClick={() =>
                                            void record('waivers', {
                                                call: call.call,
                                                note: say('prove.customer-told-before-the-work'),
                                            })
                                        }
                                    >
                                        <Glyph name="need" /> {say('prove.customer-told-before-the-work')}
                                    </button>
                                </Decides>
                            )
                        )}
                    </div>
                );
            })}
            <Link className="btn mt-1" href={url('job.trace', { job: job.id })}>
                <Glyph name="traced" /> {say('prove.trace-this')}
            </Link>
            <Bad>{answer && answer.kind !== 'ok' ? said(answer) : null}</Bad>
        </section>
    );
}
