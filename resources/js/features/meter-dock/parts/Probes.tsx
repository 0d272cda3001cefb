import { useState } from 'react';
import type { PointInfo } from '@/types';
import { say } from '@/words';
import { useMeter } from '../state/meter';
import { PointPicker } from './PointPicker';

/** The two points; a clamp goes round one. */
export function Probes() {
    const { probes } = useMeter();
    return (
        <section style={{ paddingTop: 4, paddingBottom: 4 }}>
            <Probe name="A" value={probes.a} onChange={(id) => probes.set(id, probes.b)} />
            {probes.mode !== 'A' && <Probe name="B" value={probes.b} onChange={(id) => probes.set(probes.a, id)} />}
        </section>
    );
}

function Probe({ name, value, onChange }: { name: 'A' | 'B'; value: string; onChange: (id: string) => void }) {
    const { points } = useMeter();
    const [picking, setPicking] = useState(false);
    return (
        <>
            <div className="probe">
                <span className={`pin ${name === 'B' ? 'pin--b' : ''}`}>{name}</span>
                <select
                    aria-label={say('meter.probe', { name })}
                    value={value}
                    onChange={(event) => onChange(event.target.value)}
                >
                    {[...new Set(points.map((point) => point.place))].map((place) => (
                        <PlaceGroup key={place} points={points.filter((point) => point.place === place)} />
                    ))}
                </select>
                <button
                    type="button"
                    className="link px-1"
                    aria-expanded={picking}
                    aria-label={say('meter.find-for', { name })}
                    onClick={() => setPicking(!picking)}
                >
                    {say('meter.find')}
                </button>
            </div>
            {picking && (
                <PointPicker
                    name={name}
                    points={points}
                    value={value}
                    onPick={(id) => {
                        onChange(id);
                        setPicking(false);
                    }}
                />
            )}
        </>
    );
}

function PlaceGroup({ points }: { points: PointInfo[] }) {
    return (
        <optgroup label={points[0]?.placeLabel ?? ''}>
            {points.map((point) => (
                <option key={point.id} value={point.id}>
                    {point.label} ·{' '}
                    {point.conductor ? say('meter.conductor-end', { placeLabel: point.placeLabel }) : point.placeLabel}
                </option>
            ))}
        </optgroup>
    );
}
