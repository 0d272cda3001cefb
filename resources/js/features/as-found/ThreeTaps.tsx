import { Link, usePage } from '@inertiajs/react';
import { clsx } from 'clsx';
import type { ReactNode } from 'react';
import { said } from '@/lib/write/api';
import { useEdits } from '@/lib/write/edits';
import { url } from '@/lib/url';
import type { AsFoundView, Frame } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad, State } from '@/ui/State';
import { list, say } from '@/words';

/** The old plate in three taps: letters, what powers it, where it switches. Then it is a thermostat of this house. */
export function ThreeTaps({ found }: { found: AsFoundView }) {
    const { job } = usePage<Frame>().props;
    const edits = useEdits(url('job.survey-edits', { job: job.id }), job.version);
    const closed = job.closed;
    const answer = (key: string, value: string) => void edits.send('answer', { key, value });
    return (
        <section aria-label={say('prove.the-old-plate')}>
            <div className="grid border-b border-hair bg-panel md:grid-cols-3">
                <Tap number={1} title={say('prove.letters-that-hold-a-conductor')}>
                    <ul className="flex flex-wrap gap-1.5">
                        {found.letters.map((letter) => (
                            <li key={letter.name}>
                                <span
                                    className="grid min-h-11 min-w-12 content-center bg-ink px-2 text-center text-bone"
                                    title={letter.name}
                                >
                                    <b className="font-lab text-lead leading-5">{letter.printed}</b>
                                    <i
                                        aria-hidden="true"
                                        className="mx-auto block h-1 w-7"
                                        style={{ background: `var(--ins-${letter.colour ?? 'grey'})` }}
                                    />
                                </span>
                            </li>
                        ))}
                    </ul>
                    <Link className="link inline-flex min-h-11 items-center" href={url('job.survey', { job: job.id })}>
                        {found.letters.length === 0
                            ? say('prove.enter-them-in-survey')
                            : say('prove.not-so-change-it-in-survey')}
                    </Link>
                </Tap>
                {[found.power, found.switches].map((question, index) => (
                    <Tap key={question.key} number={index + 2} title={question.text}>
                        <div role="group" aria-label={question.text} className="flex flex-wrap gap-1.5">
                            {question.choices.map((choice) => (
                                <button
                                    key={choice.value}
                                    aria-pressed={question.value === choice.value}
                                    disabled={closed || edits.working}
                                    className={clsx(
                                        'min-h-11 min-w-24 border-2 border-rule bg-bone px-3 font-lab text-body',
                                        'font-semibold aria-pressed:border-ink aria-pressed:bg-ink',
                                        'aria-pressed:text-bone',
                                    )}
                                    onClick={() => answer(question.key, choice.value)}
                                >
                                    {choice.label}
                                </button>
                            ))}
                        </div>
                    </Tap>
                ))}
            </div>
            <Bad>{edits.problem && said(edits.problem)}</Bad>
            {found.says ? (
                <div className="border-b border-hair bg-verd-wash px-5 py-2 text-body" data-testid="as-found">
                    <State glyph="pass" tone="verd">
                        {found.says}
                    </State>{' '}
                    {[found.reference, ...found.lost].filter(Boolean).join(' ')}
                    {found.assumptions.length > 0 && (
                        <ul className="text-small">
                            {found.assumptions.map((assumption) => (
                                <li key={assumption} className="flex gap-2 py-0.5">
                                    <Glyph name="caution" style={{ color: 'var(--caution)' }} /> {assumption}
                                </li>
                            ))}
                        </ul>
                    )}
                </div>
            ) : (
                <p className="border-b border-hair px-5 py-3 text-body" role="status">
                    {found.lacking.length > 0 ? list(found.lacking) : say('prove.two-taps-and-every-call')}
                </p>
            )}
        </section>
    );
}

/** The same folded, once it is known: its sentence, and the taps behind it. */
export function Found({ found }: { found: AsFoundView }) {
    return (
        <details className="border-b border-hair bg-verd-wash">
            <summary className="fold px-5 text-body font-semibold">
                {found.says} {found.reference}
            </summary>
            <ThreeTaps found={found} />
        </details>
    );
}

function Tap({ number, title, children }: { number: number; title: string; children: ReactNode }) {
    return (
        <div className="border-hair px-5 py-2.5 max-md:border-b md:border-l md:first:border-l-0">
            <h2 className="mb-1.5 font-lab text-body font-semibold">
                <span className="mr-2 text-copper-ink">{number}</span>
                {title}
            </h2>
            {children}
        </div>
    );
}
