import { usePage } from '@inertiajs/react';
import type { HandoverProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { State } from '@/ui/State';
import { say } from '@/words';

/** What the figures came to. */
export function Figures() {
    const { figures } = usePage<HandoverProps>().props;
    if (figures.length === 0) return null;
    return (
        <section className="break-inside-avoid">
            <h3 className="h-sec mb-1 mt-5">{say('handover.figures')}</h3>
            {figures.map((figure) => (
                <p key={figure.title} className="border-b border-hair py-1 text-small">
                    <b className="font-semibold">{figure.title}.</b> {figure.verdict}
                </p>
            ))}
        </section>
    );
}

/** Calls that were left out. */
export function LeftOut() {
    const { waived } = usePage<HandoverProps>().props;
    if (waived.length === 0) return null;
    return (
        <section>
            <h3 className="h-sec mb-1 mt-5">{say('handover.left-out-with-the-reason')}</h3>
            {waived.map((row) => (
                <p key={row.call} className="text-small">
                    <b className="font-semibold">{row.call}:</b> {row.reason}
                </p>
            ))}
        </section>
    );
}

/** What is still in place, and what the next person has to know. */
export function OpenMatters() {
    const { open, restore } = usePage<HandoverProps>().props;
    return (
        <section>
            <h3 className="h-sec mb-1 mt-5">{say('handover.open-matters')}</h3>
            {open.length === 0 && restore.length === 0 ? (
                <State glyph="pass" tone="verd">
                    {say('handover.nothing-left-open')}
                </State>
            ) : (
                <ul className="grid gap-1">
                    {restore.map((item) => (
                        <li key={item} className="text-small">
                            <State glyph="fault" tone="fault">
                                {say('handover.put-back', { item })}
                            </State>
                        </li>
                    ))}
                    {open.map((item) => (
                        <li key={item} className="flex gap-2 text-small">
                            <Glyph name="caution" style={{ color: 'var(--caution-ink)', marginTop: 1 }} />{' '}
                            <span>{item}</span>
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}
