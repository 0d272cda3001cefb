import { useState } from 'react';
import { useCoverage } from '@/features/prove/worth/useCoverage';
import type { CoverageGap, CoverageView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { number } from '@/lib/numbers';
import { list, say } from '@/words';

const ASKED = 95;
const FIRST = 3;

/** What the proofs done so far are worth: the share of everything that can be wrong here which would have shown. */
export function Coverage({
    jobId,
    marks,
    closed,
    onStep,
    onCheck,
}: {
    jobId: string;
    marks: string;
    closed: boolean;
    onStep: (key: string) => void;
    onCheck: (call: string) => void;
}) {
    const { answer, problem } = useCoverage(jobId, marks);
    const [all, setAll] = useState(false);
    const coverage = answer?.coverage;
    // What is still to be proved anyway will show the rest.
    const gaps = (closed ? coverage?.gaps : coverage?.ahead) ?? [];
    const go = ({ step, call }: NonNullable<CoverageGap['cheapest']>) => {
        if (step) return onStep(step);
        if (!call) return;
        onCheck(call);
        document.querySelector(`[data-load-check="${call}"]`)?.scrollIntoView({ block: 'center' });
    };
    return (
        <section
            aria-label={say('prove.what-the-proofs-are-worth')}
            className="grid border-t-2 border-ink md:grid-cols-[256px_minmax(0,1fr)]"
            data-testid="coverage"
        >
            <div className="border-hair px-5 py-2 md:border-r">
                <Bad>{problem}</Bad>
                {coverage ? (
                    <Share coverage={coverage} closed={closed} />
                ) : (
                    <p role="status" className="text-small text-muted">
                        {answer
                            ? say('prove.working-out-what-can-be-wrong', { done: answer.done, of: answer.of })
                            : say('prove.working-out-what-can-be-wrong-2')}
                    </p>
                )}
            </div>
            {coverage && (
                <div>
                    {gaps.length === 0 && (
                        <p className="px-4 py-2 text-verd-ink">{say('prove.everything-would-have-shown')}</p>
                    )}
                    <ul>
                        {gaps.slice(0, all ? undefined : FIRST).map((gap) => (
                            <GapRow key={gap.entry} gap={gap} closed={closed} onGo={go} />
                        ))}
                    </ul>
                    <p className="flex flex-wrap gap-x-4 border-t border-hair px-4 py-1 text-small text-muted">
                        {gaps.length > FIRST && (
                            <button className="link" aria-expanded={all} onClick={() => setAll(!all)}>
                                {all ? say('prove.fewer') : say('prove.all-that-is-not-shown', { kinds: gaps.length })}
                            </button>
                        )}
                        {coverage.passing > 0 && (
                            <span className="self-center">
                                {say('prove.comes-and-goes', { passing: coverage.passing })}
                            </span>
                        )}
                    </p>
                    {coverage.never.length > 0 && (
                        <details className="border-t border-hair px-4 text-small">
                            <summary className="fold">
                                {say('prove.cannot-be-shown-here', { never: coverage.never.length })}
                            </summary>
                            <p className="pb-2">{list(coverage.never)}</p>
                        </details>
                    )}
                </div>
            )}
        </section>
    );
}

function Share({ coverage, closed }: { coverage: CoverageView; closed: boolean }) {
    const percent = (value: number) => number(value, 1);
    return (
        <>
            <p className="mono whitespace-nowrap text-sum font-medium leading-10 tracking-tight">
                {percent(coverage.share)} %
            </p>
            <p className="font-lab text-small font-semibold">{say('prove.of-what-can-be-wrong-here')}</p>
            {!closed && coverage.atEnd > coverage.share && (
                <p className="text-small text-muted">{say('prove.at-the-end', { share: percent(coverage.atEnd) })}</p>
            )}
            <svg
                className="mt-1 block w-full"
                height="18"
                role="img"
                aria-label={say('prove.now-and-asked-for', { share: percent(coverage.share), asked: ASKED })}
            >
                <rect y="3" width="100%" height="11" fill="var(--sunk)" stroke="var(--rule)" strokeWidth="1.2" />
                <rect y="3" width={`${coverage.atEnd}%`} height="11" fill="var(--verd-wash)" />
                <rect y="3" width={`${coverage.share}%`} height="11" fill="var(--verd)" />
                <rect x={`${ASKED}%`} width="2" height="18" fill="var(--ink)" />
            </svg>
            <p className="text-right text-small text-muted">{say('prove.is-asked-for', { asked: ASKED })}</p>
        </>
    );
}

function GapRow({
    gap,
    closed,
    onGo,
}: {
    gap: CoverageGap;
    closed: boolean;
    onGo: (to: NonNullable<CoverageGap['cheapest']>) => void;
}) {
    const { cheapest } = gap;
    return (
        <li className="flex min-h-11 flex-wrap items-center gap-x-3 border-t border-hair px-4 py-1 first:border-t-0">
            <Glyph name="need" style={{ color: 'var(--muted)' }} />
            <span className="min-w-0 flex-1 basis-52" title={gap.named.join('; ')}>
                <b className="block font-lab text-body font-semibold">
                    {say('prove.not-shown', { fault: gap.title, places: gap.places })}
                </b>
                {cheapest && (
                    <span className="block text-small text-muted">
                        {say('prove.cheapest', { what: cheapest.says })}
                    </span>
                )}
            </span>
            <span className="mono flex gap-3 whitespace-nowrap text-small">
                {cheapest && <span>{say('prove.minutes', { minutes: cheapest.minutes })}</span>}
                <span>+{number(gap.share, 1)} %</span>
            </span>
            {cheapest && !closed && (
                <button className="link min-h-11" onClick={() => onGo(cheapest)}>
                    {say('prove.do-it')}
                </button>
            )}
        </li>
    );
}
