import { usePage } from '@inertiajs/react';
import { clock, day } from '@/lib/format';
import type { SharedProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { say } from '@/words';

/** Whose house it is, who shows it to whom, and what it may be taken for. */
export function SharedHead({ share }: { share: NonNullable<SharedProps['share']> }) {
    const { crew, house, kind, place, handedOverAt, marks } = usePage<SharedProps>().props;
    return (
        <>
            <header className="border-b-2 border-ink py-3">
                <div className="flex items-center justify-between gap-4">
                    <h1 className="lab">{say('share.shared-by', { crew: crew ?? '' })}</h1>
                    <button className="btn btn--quiet no-print" onClick={() => window.print()}>
                        <Glyph name="print" /> {say('share.print')}
                    </button>
                </div>
                <h2 className="font-lab text-figure font-bold leading-7">
                    {place
                        ? [place.site, place.system === 'System' ? '' : place.system].filter(Boolean).join(', ')
                        : house}
                </h2>
                <p className="text-muted">{[place?.address, place && house, kind].filter(Boolean).join(' · ')}</p>
                <p className="mt-2">
                    {say('share.until-says', {
                        label: share.label,
                        day: day(share.endsAt),
                        time: clock(share.endsAt),
                    })}{' '}
                    {handedOverAt
                        ? say('share.record-of', { day: day(handedOverAt), time: clock(handedOverAt) })
                        : say('share.work-going-on')}
                </p>
            </header>
            {[say('share.caution'), ...(marks ?? [])].map((line) => (
                <p
                    key={line}
                    className="mt-2 border-l-[6px] border-caution bg-caution-wash px-3 py-1.5 text-small font-semibold"
                >
                    {line}
                </p>
            ))}
        </>
    );
}
