import type { ReactNode } from 'react';
import type { Finding, OutcomeName } from '@/types';
import { Glyph, type GlyphName } from './Glyph';
import { say } from '@/words';

export type Tone = 'verd' | 'fault' | 'caution' | 'live' | 'iso' | 'copper' | 'muted';

const text: Record<Tone, string> = {
    verd: 'text-verd-ink',
    fault: 'text-fault-ink',
    caution: 'text-caution-ink',
    live: 'text-live-ink',
    iso: 'text-iso-ink',
    copper: 'text-copper-ink',
    muted: 'text-muted',
};

/** A state: glyph, word, colour, in that order of weight. */
export function State({ glyph, tone, children }: { glyph: GlyphName; tone: Tone; children: ReactNode }) {
    return (
        <span className={`st ${text[tone]}`}>
            <Glyph name={glyph} />
            {children}
        </span>
    );
}

export const outcomeLook: Record<OutcomeName, { glyph: GlyphName; tone: Tone; word: string }> = {
    pass: { glyph: 'pass', tone: 'verd', word: say('shared.pass') },
    fail: { glyph: 'fault', tone: 'fault', word: say('shared.fail') },
    'too-early': { glyph: 'wait', tone: 'caution', word: say('shared.too-early') },
    neutral: { glyph: 'caution', tone: 'caution', word: say('shared.ghost') },
};

const severityLook: Record<Finding['severity'], { glyph: GlyphName; tone: Tone }> = {
    stop: { glyph: 'fault', tone: 'fault' },
    error: { glyph: 'fault', tone: 'fault' },
    warning: { glyph: 'caution', tone: 'caution' },
    note: { glyph: 'need', tone: 'copper' },
    good: { glyph: 'pass', tone: 'verd' },
};

/** Findings of the rules: what it is, what it means, what to do; each with its code. */
export function Findings({ findings, empty }: { findings: Finding[]; empty: string }) {
    if (findings.length === 0) return <p className="text-muted">{empty}</p>;
    return (
        <ul className="grid gap-x-7 gap-y-3 [grid-template-columns:repeat(auto-fill,minmax(min(300px,100%),1fr))]">
            {findings.map((finding) => {
                const look = severityLook[finding.severity];
                return (
                    <li
                        key={finding.code + finding.title}
                        className="flex items-start gap-2.5"
                        data-severity={finding.severity}
                    >
                        <span className={`mt-0.5 ${text[look.tone]}`}>
                            <Glyph name={look.glyph} size={18} />
                        </span>
                        <p className="text-small">
                            <b className="font-semibold">
                                {finding.severity === 'stop'
                                    ? say('shared.stop', { title: finding.title })
                                    : finding.title}
                                .
                            </b>{' '}
                            {finding.meaning}{' '}
                            {finding.severity !== 'good' && <span className="text-ink">{finding.action}</span>}{' '}
                            <span className="mono text-tiny text-muted">{finding.code}</span>
                        </p>
                    </li>
                );
            })}
        </ul>
    );
}

/** A message of what went wrong, at its place. */
export function Bad({ children, id }: { children: ReactNode; id?: string }) {
    if (!children) return null;
    return (
        <p className="bad" role="alert" id={id}>
            <Glyph name="fault" style={{ marginTop: 1 }} />
            <span>{children}</span>
        </p>
    );
}
