import { clsx } from 'clsx';
import { useState } from 'react';
import type { ProveProps, StepView } from '@/types';
import { Glyph, type GlyphName } from '@/ui/Glyph';
import { say } from '@/words';

const marks: Record<StepView['state'], [GlyphName, string]> = {
    open: ['need', 'muted'],
    running: ['traced', 'copper'],
    passed: ['pass', 'verd'],
    failed: ['fault', 'fault'],
};

/** The calls of the house in the order in which they are proved, and the two proofs of the one in hand. */
export function CallStrip({
    calls,
    current,
    onCall,
}: {
    calls: ProveProps['calls'];
    current: string;
    onCall: (call: string) => void;
}) {
    return (
        <div role="group" aria-label={say('prove.calls')} className="flex flex-wrap border-y border-hair">
            {calls.map((call) => (
                <button
                    key={call.call}
                    aria-pressed={call.call === current}
                    onClick={() => onCall(call.call)}
                    className={clsx(
                        'flex min-h-11 flex-1 items-center gap-2 whitespace-nowrap border-r border-hair px-3',
                        'font-lab text-body font-semibold aria-pressed:bg-copper aria-pressed:text-head',
                        'aria-pressed:text-on-copper',
                        call.proved
                            ? 'text-verd-ink'
                            : call.failed
                              ? 'text-fault-ink'
                              : call.waived !== null
                                ? 'text-caution-ink'
                                : 'text-muted',
                    )}
                    style={{ '--gk': call.call === current ? 'var(--copper)' : 'var(--bone)' } as React.CSSProperties}
                >
                    <Glyph name={call.proved ? 'pass' : call.failed ? 'fault' : call.running ? 'traced' : 'need'} />
                    {call.label}
                    <span className="vh">
                        {call.proved
                            ? say('prove.proved')
                            : call.failed
                              ? say('prove.fails')
                              : call.waived !== null
                                ? say('prove.left-out-2')
                                : say('prove.open')}
                    </span>
                </button>
            ))}
        </div>
    );
}

export function MethodSwitch({
    steps,
    current,
    onStep,
    missing,
    short,
}: {
    missing: { word: string; why: string }[];
    steps: StepView[];
    /** Only what the call needs: the others part suspects once it has failed. */
    short: boolean;
    current: string;
    onStep: (key: string) => void;
}) {
    const [all, setAll] = useState(false);
    const shown = steps.filter(
        (step) => all || !short || step.required || step.key === current || step.state !== 'open',
    );
    const more = shown.length < steps.length;
    return (
        <div role="group" aria-label={say('prove.proof')} className="flex flex-wrap">
            {shown.map((step) => (
                <button
                    key={step.key}
                    aria-pressed={step.key === current}
                    onClick={() => onStep(step.key)}
                    className={clsx(
                        'flex min-h-11 items-center gap-1.5 px-3.5 font-lab text-body font-semibold text-muted',
                        'aria-pressed:text-ink aria-pressed:shadow-[inset_0_-4px_0_var(--copper)]',
                    )}
                >
                    <Glyph name={marks[step.state][0]} style={{ color: `var(--${marks[step.state][1]})` }} />
                    {step.methodLabel}
                </button>
            ))}
            {more && (
                <button className="link min-h-11 px-3.5" onClick={() => setAll(true)}>
                    {say('prove.other-proofs', { more: steps.length - shown.length })}
                </button>
            )}
            {(more ? [] : missing).map((method) => (
                <details key={method.word} className="min-h-11">
                    <summary className="fold gap-1 px-3.5 font-lab text-body font-semibold text-muted">
                        <s>{method.word}</s> <span className="vh">{say('prove.not-possible-here')}</span>
                    </summary>
                    <p className="max-w-[46ch] px-3.5 pb-2 text-note">{method.why}</p>
                </details>
            ))}
        </div>
    );
}
