import { useWidth } from '@/lib/hooks';
import { Touch } from '@/features/strand-board/parts';
import type { CableView, HouseMapView } from '@/types';
import { say } from '@/words';
import { layout, type Box, type Run } from './layout';

/** The places of the house and the cables between them, drawn as they run: from the wall to the right. */
export function HouseDrawing({
    map,
    cables,
    cable,
    place,
    onCable,
    onPlace,
}: {
    map: HouseMapView;
    cables: CableView[];
    cable: string | null;
    place: string | null;
    onCable: (id: string) => void;
    onPlace: (place: string) => void;
}) {
    const [measure, width] = useWidth(808);
    const { boxes, runs, height } = layout(map, cables, width);
    return (
        <div ref={measure} className="max-sm:hidden">
            <svg
                className="sb"
                height={height}
                viewBox={`0 0 ${width} ${height}`}
                role="group"
                aria-label={say('map.places-and-cables')}
            >
                {runs.map((run) => (
                    <Jacket key={run.cable.id} run={run} />
                ))}
                {boxes.map((box) => (
                    <Spot
                        key={box.place.place}
                        box={box}
                        picked={place === box.place.place}
                        onTouch={() => onPlace(box.place.place)}
                    />
                ))}
                {runs.map((run) => (
                    <CableTag
                        key={run.cable.id}
                        run={run}
                        picked={cable === run.cable.id}
                        onTouch={() => onCable(run.cable.id)}
                    />
                ))}
            </svg>
        </div>
    );
}

/** The jacket with its strands inside; an empty one is dashed. */
function Jacket({ run }: { run: Run }) {
    const strands = run.cable.conductors.slice(0, 8);
    const wide = Math.max(12, strands.length * 4 + 6);
    if (strands.length === 0)
        return <path d={run.d} fill="none" stroke="var(--jacket-edge)" strokeWidth="3" strokeDasharray="7 6" />;
    return (
        <g>
            <path d={run.d} fill="none" stroke="var(--jacket-edge)" strokeWidth={wide + 3} />
            <path d={run.d} fill="none" stroke="var(--jacket)" strokeWidth={wide} />
            {strands.map((strand, index) => (
                <path
                    key={strand.number}
                    d={run.d}
                    transform={shift(run.d, (index - (strands.length - 1) / 2) * 4)}
                    fill="none"
                    stroke={`var(--ins-${strand.colour})`}
                    strokeWidth="2.6"
                />
            ))}
        </g>
    );
}

/** Strands of a bent jacket lie beside each other in both directions. */
const shift = (d: string, by: number) => {
    const bend = /^M\S+ (\S+)H\S+V(\S+)H/.exec(d);
    if (!bend) return `translate(0 ${by})`;
    return Number(bend[2]) > Number(bend[1]) ? `translate(${-by} ${by})` : `translate(${by} ${by})`;
};

function Spot({ box, picked, onTouch }: { box: Box; picked: boolean; onTouch: () => void }) {
    const { x, y, w, h, place } = box;
    const wall = place.place.startsWith('wall');
    const d = wall
        ? `M${x} ${y}H${x + w - 10}L${x + w} ${y + 10}V${y + h}H${x}Z`
        : `M${x + 10} ${y}H${x + w}V${y + h}H${x}V${y + 10}Z`;
    const called = place.name === '' ? place.label : place.name;
    const title = called.charAt(0).toUpperCase() + called.slice(1);
    const what = place.units.length > 0 ? place.units.join(', ') : place.name === '' ? '' : place.label;
    const lines = [fit(what, w), fit(place.supplies.join(' · '), w)].filter((text) => text !== '');
    return (
        <Touch name={say('map.place', { name: title })} onTouch={onTouch} pressed={picked}>
            <path
                className="focus"
                d={d}
                fill={picked ? 'var(--copper-wash)' : 'var(--panel)'}
                stroke={picked ? 'var(--copper)' : 'var(--ink)'}
                strokeWidth={picked ? 2.4 : 1.8}
            />
            <text className="c-place" x={x + 16} y={y + (lines.length > 1 ? 24 : 28)}>
                {fit(title, w)}
            </text>
            {lines.map((text, index) => (
                <text key={text} className="c-what" x={x + 16} y={y + (lines.length > 1 ? 41 : 46) + index * 16}>
                    {text}
                </text>
            ))}
        </Touch>
    );
}

function CableTag({ run, picked, onTouch }: { run: Run; picked: boolean; onTouch: () => void }) {
    const { cable, x, y } = run;
    const all = cable.conductors.length;
    return (
        <Touch
            name={say('map.cable', { id: cable.id, label: cable.label, from: cable.fromLabel, to: cable.toLabel })}
            onTouch={onTouch}
            pressed={picked}
        >
            <rect x={x - 8} y={y - 22} width="44" height="44" fill="transparent" />
            <path
                className="focus"
                d={`M${x} ${y - 14}H${x + 20}L${x + 28} ${y - 6}V${y + 14}H${x}Z`}
                fill={picked ? 'var(--copper)' : 'var(--ink)'}
            />
            <text className="c-cable" x={x + 13} y={y + 5.5}>
                {cable.id}
            </text>
            {all > 0 && cable.proved < all && <circle cx={x + 28} cy={y - 12} r="5" fill="var(--caution)" />}
        </Touch>
    );
}

/** A text that fits a box, shortened at its end. */
const fit = (text: string, width: number) => {
    const most = Math.floor((width - 26) / 6.9);
    return text.length > most ? `${text.slice(0, most - 1)}…` : text;
};
