import { useRef, useState, type PointerEvent } from 'react';
import { said } from '@/lib/write/api';
import { useOnce } from '@/lib/write/once';
import { useDraft } from '@/lib/drafts';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import { Bad } from '@/ui/State';
import { say } from '@/words';

type Strokes = number[][][];

/** A name drawn with finger, pen or mouse. */
export function SignaturePad({ jobId, role, word }: { jobId: string; role: 'installer' | 'customer'; word: string }) {
    // Kept stroke by stroke: what is drawn at the moment is only drawn.
    const [kept, setKept] = useDraft<Strokes>(`${jobId}/signature/${role}`, []);
    const [strokes, setStrokes] = useState(kept);
    const [name, setName] = useDraft(`${jobId}/signature/${role}/name`, '');
    const [bad, setBad] = useState('');
    const post = useOnce();
    const drawing = useRef(false);
    const at = (event: PointerEvent<SVGSVGElement>) => {
        const box = event.currentTarget.getBoundingClientRect();
        const within = (value: number) => Math.max(0, Math.min(1000, Math.round(value * 1000)));
        return [within((event.clientX - box.left) / box.width), within((event.clientY - box.top) / box.height)];
    };
    const keep = async () => {
        const answer = await post(url('job.signatures', { job: jobId }), {
            role,
            name,
            strokes: strokes.filter((stroke) => stroke.length > 1),
        });
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind !== 'ok') return;
        setKept([]);
        setName('');
        await reload();
    };
    const clear = () => {
        setStrokes([]);
        setKept([]);
    };
    return (
        <div role="group" aria-label={word} className="no-print min-w-64 flex-1">
            <span className="lab">{word}</span>
            <svg
                viewBox="0 0 1000 1000"
                preserveAspectRatio="none"
                className="mt-1 block h-28 w-full cursor-crosshair touch-none border-b-2 border-ink bg-panel"
                role="img"
                aria-label={
                    strokes.length === 0
                        ? say('handover.field-to-sign-in-empty')
                        : say('handover.field-to-sign-in-signed')
                }
                onPointerDown={(event) => {
                    drawing.current = true;
                    event.currentTarget.setPointerCapture(event.pointerId);
                    const point = at(event);
                    setStrokes((now) => [...now, [point]]);
                }}
                onPointerMove={(event) => {
                    if (!drawing.current) return;
                    const point = at(event);
                    setStrokes((now) => [...now.slice(0, -1), [...(now.at(-1) ?? []), point].slice(0, 600)]);
                }}
                onPointerUp={() => {
                    drawing.current = false;
                    setKept(strokes);
                }}
            >
                <Path strokes={strokes} />
            </svg>
            <div className="mt-1 flex flex-wrap items-end gap-3">
                <label className="min-w-40 flex-1">
                    <span className="lab">{say('handover.name')}</span>
                    <input
                        className="h-11 w-full border-b-2 border-rule bg-panel px-2"
                        maxLength={80}
                        autoComplete="off"
                        value={name}
                        onChange={(event) => setName(event.target.value)}
                    />
                </label>
                <button type="button" className="link" onClick={clear}>
                    {say('handover.clear')}
                </button>
                <button type="button" className="btn btn--small" onClick={() => void keep()}>
                    {say('handover.sign')}
                </button>
            </div>
            <Bad>{bad}</Bad>
        </div>
    );
}

export function Path({ strokes }: { strokes: Strokes }) {
    return (
        <path
            d={strokes
                .map((stroke) => stroke.map(([x, y], index) => `${index ? 'L' : 'M'}${x ?? 0} ${y ?? 0}`).join(''))
                .join('')}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="3"
            vectorEffect="non-scaling-stroke"
            strokeLinecap="round"
        />
    );
}
