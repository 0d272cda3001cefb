import { clock, day } from '@/lib/format';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import type { ShareRow } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** Links that are out: for whom, what they show, until when, how often they were opened. */
export function ShareList({ links, onBack }: { links: ShareRow[]; onBack: () => void }) {
    return (
        <ul className="mt-1">
            {links.map((link) => (
                <Line key={link.id} link={link} onBack={onBack} />
            ))}
        </ul>
    );
}

function Line({ link, onBack }: { link: ShareRow; onBack: () => void }) {
    const { send, busy, errors } = useSend(url('share.revoke', { share: String(link.id) }));
    return (
        <li className="flex min-h-[52px] flex-wrap items-center justify-between gap-x-3 border-b border-hair py-1">
            <span className="min-w-0 max-w-[60ch]">
                <b className="font-semibold">{[link.label, link.house].filter(Boolean).join(' · ')}</b>
                <small className="block text-note text-muted">
                    {say('share.until', { day: day(link.endsAt), time: clock(link.endsAt), by: link.by })} ·{' '}
                    {[
                        say('share.opened', { opened: link.opened }),
                        link.openedAt && say('share.last', { day: day(link.openedAt), time: clock(link.openedAt) }),
                    ]
                        .filter(Boolean)
                        .join(', ')}
                </small>
                <small className="block text-note text-muted">{link.parts.join(' · ')}</small>
            </span>
            <button
                className="link min-h-11"
                disabled={busy}
                onClick={() => void send({}, 'stay').then((taken) => taken && onBack())}
            >
                {say('share.take-back')}
            </button>
            <Bad>{errors.other}</Bad>
        </li>
    );
}
