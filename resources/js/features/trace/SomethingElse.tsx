import { useState } from 'react';
import type { TraceView } from '@/types';
import { say } from '@/words';
import { Chips } from './parts/Chips';
import { Signs } from './parts/Signs';
import { Problem } from './parts/Problem';
import { useTrace } from './parts/useTrace';

/** Whatever else was seen or looked at, though nobody asked for it: it is judged the same way. */
export function SomethingElse({ trace }: { trace: TraceView }) {
    const { row, problem, closed } = useTrace();
    const [sees, setSees] = useState<Record<string, string>>({});
    const [when, setWhen] = useState('');
    const [target, setTarget] = useState('');
    const look = trace.looks.find((one) => one.target === target);
    const keys = Object.keys(sees);
    const tap = (key: string, answer: string) => {
        const { [key]: was, ...others } = sees;
        setSees(was === answer ? others : { ...others, [key]: answer });
    };
    const saw = async () => {
        const result = { sees, ...(when === '' ? {} : { when }) };
        const answer = await row('test', { probe: { see: keys }, result }, trace.call);
        if (answer.kind === 'ok') {
            setSees({});
            setWhen('');
        }
    };
    return (
        <details className="trace__sheet">
            <summary>{say('trace.something-else')}</summary>
            <Problem of={problem} />
            <Signs signs={trace.signs} answered={sees} onAnswer={tap} />
            {keys.length > 0 && (
                <>
                    <h3 className="lab my-1">{say('trace.when-in-the-call')}</h3>
                    <Chips
                        label={say('trace.when-in-the-call')}
                        chips={trace.moments}
                        pressed={[when]}
                        onTap={(moment) => setWhen(moment === when ? '' : moment)}
                    />
                    <button className="btn btn--go my-2" disabled={closed} onClick={saw}>
                        {say('trace.seen')}
                    </button>
                </>
            )}
            <label className="field mt-3 max-w-[520px]">
                <span className="lab">{say('trace.looked-at')}</span>
                <select value={target} onChange={(event) => setTarget(event.target.value)}>
                    <option value="">{say('trace.choose-a-part')}</option>
                    {trace.looks.map((one) => (
                        <option key={one.target} value={one.target}>
                            {one.of === '' ? one.label : `${one.label} (${one.of})`}
                        </option>
                    ))}
                </select>
            </label>
            {look && (
                <div className="my-2">
                    <Chips
                        label={say('trace.found')}
                        chips={look.finds}
                        pressed={[]}
                        disabled={closed}
                        onTap={async (found) => {
                            const body = { probe: { inspect: look.target }, result: { found } };
                            const answer = await row('test', body, trace.call);
                            if (answer.kind === 'ok') setTarget('');
                        }}
                    />
                </div>
            )}
        </details>
    );
}
