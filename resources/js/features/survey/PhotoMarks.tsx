import { clsx } from 'clsx';
import { useRef, useState } from 'react';
import { said } from '@/lib/write/api';
import { useOnce } from '@/lib/write/once';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import { cut } from '@/lib/numbers';
import type { CableView, PhotoMark, PhotoView } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad } from '@/ui/State';
import { say } from '@/words';

interface End {
    id: string;
    name: string;
}

function endsAt(cables: CableView[], place: string): End[] {
    return cables.flatMap((cable) => {
        const side = cable.from === place ? 'near' : cable.to === place ? 'far' : null;
        return side === null
            ? []
            : cable.conductors.map((row) => ({
                  id: `${cable.id}${row.number}.${side}`,
                  name: `${cable.from === 'wall' ? '' : say('survey.outdoor-2')}${row.number} ${row.colourWord}`,
              }));
    });
}

/** A photograph in full, with marks that tie a spot to a conductor's end: choose the end, then tap where it is. */
export function PhotoMarks({
    jobId,
    photo,
    cables,
    closed,
    onClose,
}: {
    jobId: string;
    photo: PhotoView;
    cables: CableView[];
    closed: boolean;
    onClose: () => void;
}) {
    const ends = endsAt(cables, photo.place);
    const unmarked = ends.filter((end) => !photo.marks.some((mark) => mark.end === end.id));
    const [chosen, setChosen] = useState<string | null>(null);
    const [cross, setCross] = useState<{ x: number; y: number } | null>(null);
    const [bad, setBad] = useState('');
    const picture = useRef<HTMLDivElement>(null);
    const post = useOnce();
    const end = chosen ?? unmarked[0]?.id ?? ends[0]?.id ?? null;
    const name = (id: string) => ends.find((candidate) => candidate.id === id)?.name ?? id;

    const send = async (fields: object) => {
        const answer = await post(url('job.photo-marks', { job: jobId }), { photo_id: photo.id, ...fields });
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') {
            setChosen(null);
            await reload();
        }
    };
    const place = (x: number, y: number) => {
        if (end && !closed) void send({ x: cut(x, 4), y: cut(y, 4), end });
    };
    const takeBack = (mark: PhotoMark) => void send({ x: mark.x, y: mark.y, end: mark.end, takes_back: mark.id });

    return (
        <Dialog open onClose={onClose} title={say('survey.photograph')}>
            {ends.length === 0 && <p className="mt-2 text-muted">{say('survey.enter-the-conductors-of-this-place')}</p>}
            {ends.length > 0 && !closed && (
                <div
                    role="radiogroup"
                    aria-label={say('survey.conductor-end-to-mark')}
                    className="mt-3 flex flex-wrap gap-1.5"
                >
                    {ends.map((candidate) => (
                        <button
                            key={candidate.id}
                            type="button"
                            role="radio"
                            aria-checked={candidate.id === end}
                            className="chip"
                            onClick={() => setChosen(candidate.id)}
                        >
                            {candidate.name}
                        </button>
                    ))}
                </div>
            )}
            {/* Arrow keys and Enter do what a tap does; the rule does not count an application as interactive. */}
            {/* eslint-disable-next-line jsx-a11y-x/no-noninteractive-element-interactions */}
            <div
                ref={picture}
                className="relative mt-3 cursor-crosshair select-none"
                role="application"
                aria-label={
                    end ? say('survey.picture-tap-where-is-or-move', { name: name(end) }) : say('survey.picture')
                }
                tabIndex={0}
                onClick={(event) => {
                    const box = event.currentTarget.getBoundingClientRect();
                    place((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
                }}
                onKeyDown={(event) => {
                    const step = {
                        ArrowLeft: [-0.02, 0],
                        ArrowRight: [0.02, 0],
                        ArrowUp: [0, -0.02],
                        ArrowDown: [0, 0.02],
                    }[event.key];
                    const at = cross ?? { x: 0.5, y: 0.5 };
                    if (step) {
                        event.preventDefault();
                        setCross({
                            x: Math.min(1, Math.max(0, at.x + (step[0] ?? 0))),
                            y: Math.min(1, Math.max(0, at.y + (step[1] ?? 0))),
                        });
                    }
                    if (event.key === 'Enter' && event.target === event.currentTarget) place(at.x, at.y);
                }}
            >
                <img
                    src={photo.url ?? ''}
                    alt={say('survey.photograph-of-the', { place: photo.place })}
                    className="block w-full"
                    width={photo.width ?? undefined}
                    height={photo.height ?? undefined}
                    draggable={false}
                />
                {cross && (
                    <span
                        aria-hidden="true"
                        className={clsx(
                            'pointer-events-none absolute size-6 -translate-x-1/2 -translate-y-1/2 border-2',
                            'border-[#fff] outline outline-2 outline-[#000]',
                        )}
                        style={{ left: `${cross.x * 100}%`, top: `${cross.y * 100}%` }}
                    />
                )}
                {photo.marks.map((mark) => (
                    <button
                        key={mark.id}
                        type="button"
                        className={clsx(
                            'absolute flex min-h-11 min-w-11 -translate-x-1/2 -translate-y-1/2 items-center',
                            'justify-center',
                        )}
                        style={{ left: `${mark.x * 100}%`, top: `${mark.y * 100}%` }}
                        aria-label={say('survey.take-this-mark-away', { name: name(mark.end) })}
                        disabled={closed}
                        onClick={(event) => {
                            event.stopPropagation();
                            takeBack(mark);
                        }}
                    >
                        <span
                            className={clsx(
                                'whitespace-nowrap border-2 border-bone bg-ink px-1.5 py-0.5 font-lab text-note',
                                'font-bold text-bone',
                            )}
                        >
                            {name(mark.end)}
                        </span>
                    </button>
                ))}
            </div>
            <p className="mt-2 text-note text-muted">
                {closed ? say('survey.closed-marks-can-be-read') : say('survey.choose-the-conductor-tap-its-end')}
            </p>
            <Bad>{bad}</Bad>
        </Dialog>
    );
}
