import { createContext, useContext, useEffect, useRef, useState, type RefObject } from 'react';
import { useDraft } from '@/lib/drafts';
import { url } from '@/lib/url';
import { post, said } from '@/lib/write/api';
import type { Edits } from '@/lib/write/edits';
import type { CableView, EntryPreview, SurveyProps } from '@/types';
import { complete, type Completion } from './complete';

export interface EntryProps {
    jobId: string;
    cables: CableView[];
    cable: CableView;
    screws: SurveyProps['screws'];
    offered: SurveyProps['entry'];
    onCable: (id: string) => void;
    edits: Edits;
    changing: { number: number; line: string } | null;
    onDone: () => void;
    onPaste: (lines: string[]) => void;
}

interface Refused {
    line: string;
    why: string;
}

/** The line for one conductor, as it stands. */
export interface Entry extends Pick<EntryProps, 'cable' | 'changing' | 'onPaste'> {
    field: RefObject<HTMLInputElement | null>;
    line: string;
    type: (line: string) => void;
    /** Takes a whole line into the field. */
    take: (line: string) => void;
    keep: () => Promise<void>;
    leave: () => void;
    recall: () => void;
    words: Completion[];
    /** What was understood of the line. */
    understood: EntryPreview | undefined;
    /** What is wrong with the line, said once. */
    wrong: string | undefined;
    sending: string[];
    refused: Refused[];
    takeBack: (refused: Refused) => void;
}

export const EntryContext = createContext<Entry | null>(null);

export function useEntryLine(): Entry {
    const entry = useContext(EntryContext);
    if (!entry) throw new Error('useEntryLine');
    return entry;
}

export function useEntry(props: EntryProps): Entry {
    const { jobId, cable, changing, edits, onDone } = props;
    const bare = changing?.line ?? '';
    const [line, setLine] = useDraft(`${jobId}/entry/${changing ? `${cable.id}${changing.number}` : 'new'}`, bare);
    const [lastLine, setLastLine] = useState('');
    const [tried, setTried] = useState(false);
    // Why the line in the field was not kept: said here, once.
    const [problem, setProblem] = useState<string | null>(null);
    const [sending, setSending] = useState<string[]>([]);
    const [refused, setRefused] = useDraft<Refused[]>(`${jobId}/entry/refused`, []);
    const field = useRef<HTMLInputElement>(null);
    const preview = usePreview(jobId, cable.id, line);
    const understood = line.trim() === '' ? undefined : preview;

    // The field is free at once: what is typed while a line is on its way is the next line. One that is refused comes
    // back into the field if that is empty, else it waits beside it.
    const keep = async () => {
        const mine = line.trim();
        if (mine === '') return;
        setLine(bare);
        setTried(false);
        setSending((now) => [...now, mine]);
        const answer = changing
            ? await edits.send('change-conductor', { cable: cable.id, number: changing.number, line: mine })
            : await edits.send('add-conductor', { cable: cable.id, line: mine });
        setSending((now) => now.filter((_, index) => index !== now.indexOf(mine)));
        if (answer.kind !== 'ok') edits.clear();
        if (answer.kind === 'ok') {
            setLastLine(mine);
            setProblem(null);
            onDone();
        } else if (field.current?.value === bare) {
            setLine(mine);
            setTried(true);
            setProblem(said(answer));
        } else {
            setRefused((now) => [...now, { line: mine, why: said(answer) }]);
        }
        field.current?.focus();
    };
    const type = (next: string) => {
        setLine(next);
        setTried(false);
        setProblem(null);
    };
    const take = (next: string) => {
        type(next);
        field.current?.focus();
    };
    const wrong = tried && problem !== null ? problem : wrongIn(understood, tried);
    return {
        ...props,
        field,
        line,
        type,
        take,
        keep,
        leave: () => {
            setLine(bare);
            onDone();
        },
        recall: () => setLine(lastLine),
        words: complete(line, cable, props.screws, props.offered),
        understood,
        wrong: line !== '' || tried ? wrong : undefined,
        sending,
        refused,
        takeBack: (one) => {
            setRefused((now) => now.filter((other) => other !== one));
            take(one.line);
        },
    };
}

/** A part that is still missing is no mistake before somebody tried to keep the line. */
function wrongIn(entry: EntryPreview | undefined, tried: boolean): string | undefined {
    return entry?.problems
        .filter((problem) => problem.value !== '' || tried)
        .map((problem) => problem.message)
        .join(' ');
}

/** What the server understands of a line, asked as it is typed. */
function usePreview(jobId: string, cable: string, line: string): EntryPreview | undefined {
    const [preview, setPreview] = useState<EntryPreview>();
    useEffect(() => {
        let current = true;
        const timer = setTimeout(async () => {
            if (line.trim() === '') return;
            const answer = await post<EntryPreview>(url('job.entry-preview', { job: jobId }), { cable, line });
            if (current && answer.kind === 'ok') setPreview(answer.data);
        }, 90);
        return () => {
            current = false;
            clearTimeout(timer);
        };
    }, [jobId, cable, line]);
    return preview;
}
