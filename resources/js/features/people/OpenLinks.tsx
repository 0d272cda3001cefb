import { usePage } from '@inertiajs/react';
import { clock, day } from '@/lib/format';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import type { LinkRow, PeopleProps } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** Links that are out and not used yet. */
export function OpenLinks() {
    const { links } = usePage<PeopleProps>().props;
    if (links.length === 0) return null;
    return (
        <section aria-label={say('people.links')} className="border-t-2 border-ink pt-3">
            <h2 className="h-sec">{say('people.links')}</h2>
            <ul className="mt-1">
                {links.map((link) => (
                    <Line key={link.id} link={link} />
                ))}
            </ul>
        </section>
    );
}

function Line({ link }: { link: LinkRow }) {
    const { send, busy, errors } = useSend(url('crew.link.revoke', { link: String(link.id) }));
    return (
        <li className="flex min-h-[52px] flex-wrap items-center justify-between gap-x-3 border-b border-hair">
            <span>
                <b className="font-semibold">{link.email}</b>
                <small className="block text-note text-muted">
                    {link.kind === 'invitation'
                        ? say('people.link-invitation', { role: link.role })
                        : say('people.link-password')}{' '}
                    · {say('people.until', { day: day(link.endsAt), time: clock(link.endsAt) })}
                </small>
            </span>
            <button className="link min-h-11" disabled={busy} onClick={() => void send({})}>
                {say('people.take-link-back')}
            </button>
            <Bad>{errors.other}</Bad>
        </li>
    );
}
