import { usePage } from '@inertiajs/react';
import { clock } from '@/lib/format';
import type { HandoverProps } from '@/types';

/** The house before anything was moved. */
export function Photographs() {
    const { photos } = usePage<HandoverProps>().props;
    if (photos.length === 0) return null;
    return (
        <section className="break-inside-avoid">
            <h3 className="h-sec mb-1 mt-5">Photographs, before anything was moved</h3>
            <div className="flex flex-wrap gap-3">
                {photos.map((photo) => (
                    <figure key={photo.id} className="w-56">
                        <img
                            src={photo.url ?? ''}
                            alt={`${photo.place}, ${photo.marks.length} marks`}
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
