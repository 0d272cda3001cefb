import { pointName, range, signUnit } from '@/lib/format';
import type { Expectation } from '@/types';
import { Glyph, Unit } from '@/ui/Glyph';
import { say } from '@/words';
import { useMeter } from '../state/meter';
import { Tells } from './Tells';
import { Ruler } from './Ruler';

/** What the circuit expects between the two points, why, and what a reading there would tell. */
export function Expected() {
    const { job, purpose, probes, expected, noExpectation, value } = useMeter();
    const { mode, a, b } = probes;
    return (
        <section className="dock__expected">
            <div className="exp">
                <span className="lab">{say('meter.expected-2')}</span>
                <span className="mono" data-testid="expected">
                    {expected ? range(expected) : '…'}{' '}
                    {expected && !expected.refused && !expected.overLimit && <Unit unit={signUnit[mode]} size={15} />}
                </span>
            </div>
            {expected && <Ruler expected={expected} value={value} />}
            <p className="mt-1 text-small" data-testid="reason">
                {expected?.reason ?? noExpectation}
            </p>
            {expected?.notes.map((note) => (
                <Note key={note} harms={!!expected.harms?.includes(note)}>
                    {note}
                </Note>
            ))}
            {expected?.decidedBy && <Decides by={expected.decidedBy} />}
            {(mode === 'V' || mode === 'O') && !expected?.refused && (
                <Tells
                    key={`${purpose.step}/${purpose.call}/${mode}/${a}/${b}`}
                    jobId={job.id}
                    {...purpose}
                    mode={mode}
                    a={a}
                    b={b}
                />
            )}
        </section>
    );
}

function Note({ harms, children }: { harms: boolean; children: string }) {
    const look = harms ? 'fault' : 'caution';
    return (
        <p className="mt-1 flex items-start gap-2 text-small">
            <Glyph name={look} style={{ color: `var(--${look})`, marginTop: 1 }} />
            <span>{children}</span>
        </p>
    );
}

/** The pair that decides where 0 V here does not. */
function Decides({ by }: { by: NonNullable<Expectation['decidedBy']> }) {
    const { probes, points } = useMeter();
    return (
        <button className="link" onClick={() => probes.set(by[0] ?? probes.a, by[1] ?? probes.b)}>
            {say('meter.0-v-alone-does-not-decide', {
                pointName: pointName(points, by[0] ?? ''),
                pointName2: pointName(points, by[1] ?? ''),
            })}
        </button>
    );
}
