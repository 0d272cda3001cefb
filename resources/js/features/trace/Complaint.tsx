import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { post, said } from '@/lib/write/api';
import { useDraft } from '@/lib/drafts';
import { url } from '@/lib/url';
import type { TraceProps } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { Chips } from './parts/Chips';
import { Signs } from './parts/Signs';
import { Problem } from './parts/Problem';
import { useTrace } from './parts/useTrace';

/** What each call was seen to do, and when. */
type Told = Record<string, { sees: Record<string, string>; when: string }>;

interface Understood {
    complaint: { call: string; sees: Record<string, string>; when: string }[];
    history: string[];
    left: string[];
}

const NOW = 'now';

/** What it does and does not do, typed in the trade's words or tapped; what happened before. From nothing, too. */
export function Complaint() {
    const { job, entry, carried } = usePage<TraceProps>().props;
    const { row, problem, closed } = useTrace();
    const [told, setTold] = useDraft<Told>(`${job.id}/complaint`, {});
    const [call, setCall] = useState(entry.calls[0]?.value ?? 'idle');
    const [history, setHistory] = useDraft<string[]>(`${job.id}/complaint/history`, []);
    const item = told[call] ?? { sees: {}, when: NOW };
    const change = (changed: Partial<typeof item>) => setTold({ ...told, [call]: { ...item, ...changed } });
    const tap = (key: string, answer: string) => {
        const { [key]: was, ...others } = item.sees;
        change({ sees: was === answer ? others : { ...others, [key]: answer } });
    };
    const complaint = Object.entries(told)
        .filter(([, one]) => Object.keys(one.sees).length > 0)
        .map(([name, one]) => ({ call: name, ...one }));
    const start = async () => {
        const answer = await row('open', { complaint, history, at: 'wall' });
        if (answer.kind !== 'ok') return;
        setTold({});
        setHistory([]);
    };
    const understand = (heard: Understood) => {
        const typed = heard.complaint.map(({ call: name, sees, when }) => [
            name,
            { sees: { ...told[name]?.sees, ...sees }, when },
        ]);
        setTold({ ...told, ...(Object.fromEntries(typed) as Told) });
        setHistory([...new Set([...history, ...heard.history])]);
        const first = heard.complaint[0];
        if (first) setCall(first.call);
    };
    return (
        <>
            <div className="head">
                <div>
                    <h1 className="h-step">{say('trace.trace')}</h1>
                    <p>{say('trace.what-does-it-do')}</p>
                </div>
                <button className="btn btn--go" onClick={() => void start()} disabled={closed}>
                    {complaint.length === 0 ? say('trace.start-from-nothing') : say('trace.start')}
                    <Glyph name="go" size={20} />
                </button>
            </div>
            <div className="px-5">
                <Problem of={problem} />
            </div>
            {carried > 0 && (
                <p className="mx-5 mb-2 border-l-4 border-copper bg-copper-wash px-3 py-2 text-lead">
                    {say('trace.rows-go-along', { rows: carried })}
                </p>
            )}
            <section className="px-5" aria-label={say('trace.complaint')}>
                <Typed onUnderstood={understand} />
                <h2 className="h-sec mb-1">{say('trace.which-call')}</h2>
                <div className="flex flex-wrap gap-1.5" role="group" aria-label={say('trace.which-call')}>
                    {entry.calls.map((one) => (
                        <button
                            key={one.value}
                            className="trace__chip"
                            aria-pressed={one.value === call}
                            onClick={() => setCall(one.value)}
                        >
                            {one.label}
                            {Object.keys(told[one.value]?.sees ?? {}).length > 0 && <Glyph name="pass" />}
                        </button>
                    ))}
                </div>
                <h2 className="h-sec mb-1 mt-4">{say('trace.what-runs')}</h2>
                <Signs signs={entry.signs} answered={item.sees} onAnswer={tap} />
                <h2 className="h-sec mb-1 mt-4">{say('trace.when')}</h2>
                <Chips
                    label={say('trace.when')}
                    chips={entry.whens}
                    pressed={[item.when]}
                    onTap={(when) => change({ when })}
                />
                <h2 className="h-sec mb-1 mt-4">{say('trace.what-happened-before')}</h2>
                <div className="pb-5">
                    <Chips
                        label={say('trace.what-happened-before')}
                        chips={entry.history}
                        pressed={history}
                        onTap={(word) =>
                            setHistory(
                                history.includes(word) ? history.filter((one) => one !== word) : [...history, word],
                            )
                        }
                    />
                </div>
            </section>
        </>
    );
}

/** Eight words, as one would say it; what was not understood is said. */
function Typed({ onUnderstood }: { onUnderstood: (heard: Understood) => void }) {
    const { job } = usePage<TraceProps>().props;
    const [text, setText] = useDraft(`${job.id}/complaint/words`, '');
    const [left, setLeft] = useState<string[]>([]);
    const [problem, setProblem] = useState<string | null>(null);
    const send = async () => {
        const answer = await post<Understood>(url('job.trace-complaint', { job: job.id }), { text });
        if (answer.kind !== 'ok' || !answer.data) {
            setProblem(answer.kind === 'ok' ? null : said(answer));
            return;
        }
        setProblem(null);
        setText('');
        setLeft(answer.data.left);
        onUnderstood(answer.data);
    };
    return (
        <form
            className="mb-3 max-w-[880px]"
            onSubmit={(event) => {
                event.preventDefault();
                if (text.trim() !== '') void send();
            }}
        >
            <label className="field">
                <span className="lab">{say('trace.in-your-words')}</span>
                <span className="flex gap-2">
                    <input
                        className="min-w-0 flex-1"
                        value={text}
                        placeholder={say('trace.example')}
                        onChange={(event) => setText(event.target.value)}
                        aria-describedby="not-understood"
                        maxLength={300}
                    />
                    <button className="btn" type="submit">
                        {say('trace.take')}
                    </button>
                </span>
            </label>
            <p id="not-understood" role="status" className="mt-2">
                {left.length > 0 && <Bad>{say('trace.not-understood', { words: left.join(', ') })}</Bad>}
                {problem && <Bad>{problem}</Bad>}
            </p>
        </form>
    );
}
