import { usePage } from '@inertiajs/react';
import { clock } from '@/lib/format';
import type { HandoverProps } from '@/types';
import { say } from '@/words';

/** The house before anything was moved. */
export function Photographs() {
    const { photos } = usePage<HandoverProps>().props;
    if (photos.length === 0) return null;
    return (
        <section className="break-inside-avoid">
            <h3 className="h-sec mb-1 mt-5">{say('handover.photographs-before-anything-was-moved')}</h3>
            <div className="flex flex-wrap gap-3">
                {photos.map((photo) => (
                    <figure key={photo.id} className="w-56">
                        <img
                            src={photo.url ?? ''}
                            alt={say('handover.marks', { place: photo.place, marks: photo.marks.length })}
                            className="w-full border border-rule"
                        />
                        <figcaption className="text-note text-muted">
                            {photo.place} {clock(photo.at)}
                        </figcaption>
                    </figure>
                ))}
            </div>
        </section>
    );
}
