import { useEffect, useState } from 'react';
import { post, said } from '@/lib/write/api';
import { useDraft } from '@/lib/drafts';
import type { Edits } from '@/lib/write/edits';
import { url } from '@/lib/url';
import type { CableView, EntryPreview } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad, State } from '@/ui/State';
import { EndTag, Swatch } from '@/ui/Tag';
import { say } from '@/words';

/** Several conductor lines at once: each shown as it is understood, all kept or none. */
export function PasteLines({
    jobId,
    cable,
    edits,
    start,
    onClose,
}: {
    jobId: string;
    cable: CableView;
    edits: Edits;
    start: string[];
    onClose: () => void;
}) {
    const [text, setText, drop] = useDraft(`${jobId}/lines/${cable.id}`, start.join('\n'));
    const [entries, setEntries] = useState<{ text: string; entries: EntryPreview[] } | null>(null);
    const lines = text
        .split('\n')
        .map((line) => line.trim())
        .filter((line) => line !== '');

    useEffect(() => {
        let current = true;
        const timer = setTimeout(async () => {
            const wanted = text
                .split('\n')
                .map((line) => line.trim())
                .filter((line) => line !== '');
            if (wanted.length === 0) return;
            const answer = await post<EntryPreview[]>(url('job.entry-preview', { job: jobId }), {
                cable: cable.id,
                lines: wanted.slice(0, 50),
            });
            if (current && answer.kind === 'ok') setEntries({ text, entries: answer.data });
        }, 150);
        return () => {
            current = false;
            clearTimeout(timer);
        };
    }, [jobId, cable.id, text]);

    const close = () => {
        drop();
        onClose();
    };
    const keep = async () => {
        const answer = await edits.send('add-conductors', { cable: cable.id, lines });
        if (answer.kind !== 'ok') return;
        close();
    };
    const shown = entries?.text === text ? entries.entries : null;

    return (
        <Dialog open onClose={close} title={say('survey.conductors-2', { lines: lines.length })}>
            <div className="mt-3 grid gap-4">
                <textarea
                    aria-label={say('survey.conductor-lines')}
                    className="mono min-h-40 w-full bg-bone p-3 text-body leading-6"
                    maxLength={6000}
                    value={text}
                    onChange={(event) => setText(event.target.value)}
                />
                <ol className="grid border-t border-hair" aria-label={say('survey.understood')}>
                    {shown?.map((entry, index) => (
                        <li key={index} className="flex min-h-11 flex-wrap items-center gap-2 border-b border-hair">
                            <span className="w-6 text-right font-lab font-bold">
                                {entry.number ?? index + 1 + cable.conductors.length}
                            </span>
                            {entry.colour && <Swatch colour={entry.colour} stripe={entry.stripe} width={48} />}
                            {entry.near && (
                                <EndTag end={entry.near} side={cable.from === 'wall' ? 'wall' : 'equipment'} />
                            )}
                            {entry.far && <EndTag end={entry.far} side="equipment" />}
                            {entry.complete ? (
                                <State
                                    glyph={entry.evidence.proof ? 'traced' : 'guess'}
                                    tone={entry.evidence.proof ? 'verd' : 'caution'}
                                >
                                    {entry.evidence.label}
                                </State>
                            ) : (
                                <Bad>{entry.problems.map((problem) => problem.message).join(' ')}</Bad>
                            )}
                        </li>
                    ))}
                </ol>
                <Bad>{edits.problem ? said(edits.problem) : null}</Bad>
                <button
                    className="btn btn--go justify-self-end"
                    disabled={lines.length === 0 || edits.working}
                    onClick={() => void keep()}
                >
                    {say('survey.add-conductors', { lines: lines.length })}
                </button>
            </div>
        </Dialog>
    );
}
