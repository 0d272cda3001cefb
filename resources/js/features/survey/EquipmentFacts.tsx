import { useState } from 'react';
import { said } from '@/lib/api';
import type { Edits } from '@/lib/edits';
import type { CableView, Facts, SurveyProps } from '@/types';
import { Bad } from '@/ui/State';

const numbers: { key: 'transformerVa' | 'fuseAmps' | 'lineVolts' | 'tapVolts'; label: string; unit: string; from: string }[] = [
    { key: 'transformerVa', label: 'Transformer', unit: 'VA', from: 'its plate' },
    { key: 'fuseAmps', label: 'Fuse in place', unit: 'A', from: 'the fuse' },
    { key: 'lineVolts', label: 'Line', unit: 'V', from: 'measured' },
    { key: 'tapVolts', label: 'Tap in use', unit: 'V', from: 'the lead' },
];

/** Facts of the equipment and of the old plate: each kept as soon as the field is left. */
export function EquipmentFacts({ title, facts, cable, linkChoices, edits, closed }: { title: string; facts: Facts; cable: CableView; linkChoices: SurveyProps['linkChoices']; edits: Edits; closed: boolean }) {
    return (
        <section className="border-hair p-4 lg:border-l" aria-label="Equipment">
            <h2 className="h-sec">Equipment</h2>
            <p className="mb-1 text-[14px] text-muted">{title}</p>
            {numbers.map(({ key, ...item }) => (
                <NumberFact key={key} {...item} value={facts[key]} disabled={closed} onKeep={(value) => edits.send('set-facts', { facts: { [key]: value } })} />
            ))}
            <NumberFact label={`${cable.from === 'wall' ? 'Wall' : 'Outdoor'} cable`} unit="ft" from={`${cable.gauge} AWG`} value={cable.feet} disabled={closed} onKeep={(value) => edits.send('set-cable', { cable: cable.id, gauge: cable.gauge, feet: value })} />
            <Choice label="Rc–Rh link on the old plate" value={facts.plateLink} disabled={closed} options={linkChoices} onKeep={(value) => edits.send('set-facts', { facts: { plateLink: value } })} />
            <Choice
                label="Old thermostat ran on"
                value={facts.oldPower ?? ''}
                disabled={closed}
                options={[{ value: '', label: 'not looked at' }, { value: 'battery', label: 'batteries' }, { value: 'common', label: 'R and C' }, { value: 'mechanical', label: 'nothing, mechanical' }]}
                onKeep={(value) => edits.send('set-facts', { facts: { oldPower: value || null } })}
            />
        </section>
    );
}

function NumberFact({ label, unit, from, value, onKeep, disabled }: { label: string; unit: string; from: string; value: number | null; onKeep: (value: number | string | null) => ReturnType<Edits['send']>; disabled: boolean }) {
    const [typed, setTyped] = useState<string | null>(null);
    const [bad, setBad] = useState('');
    const keep = async () => {
        if (typed === null || typed === String(value ?? '')) return setTyped(null);
        const number = Number(typed.replace(',', '.'));
        const answer = await onKeep(typed.trim() === '' ? null : Number.isFinite(number) ? number : typed);
        setBad(answer.kind === 'ok' ? '' : `${label}: ${said(answer)}`);
        if (answer.kind === 'ok') setTyped(null);
    };
    return (
        <div className="border-t border-hair py-1">
            <label className="flex min-h-11 items-center justify-between gap-3">
                <span className="leading-4">
                    <span className="block font-lab text-[14px] font-semibold">{label}</span>
                    <span className="block text-[13px] text-muted">{from}</span>
                </span>
                <span className="flex items-center gap-1.5">
                    <input
                        className="h-11 w-20 bg-transparent text-right text-[17px] font-medium"
                        style={{ borderBottom: `2px solid var(${bad ? '--fault' : '--rule'})` }}
                        inputMode="decimal"
                        autoComplete="off"
                        disabled={disabled}
                        value={typed ?? value ?? ''}
                        aria-invalid={!!bad}
                        onChange={(event) => setTyped(event.target.value)}
                        onBlur={() => void keep()}
                        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                    />
                    <span className="w-6 text-muted">{unit}</span>
                </span>
            </label>
            <Bad>{bad}</Bad>
        </div>
    );
}

function Choice({ label, value, options, onKeep, disabled }: { label: string; value: string; options: { value: string; label: string }[]; onKeep: (value: string) => void; disabled: boolean }) {
    return (
        <label className="block border-t border-hair pt-1.5">
            <span className="font-lab text-[14px] font-semibold">{label}</span>
            <select className="pick" value={value} disabled={disabled} onChange={(event) => onKeep(event.target.value)}>
                {options.map((option) => (
                    <option key={option.value} value={option.value}>
                        {option.label}
                    </option>
                ))}
            </select>
        </label>
    );
}
