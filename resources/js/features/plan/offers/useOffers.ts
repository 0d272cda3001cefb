import { createContext, useContext, useEffect, useState } from 'react';
import { useDraft } from '@/lib/drafts';
import { url } from '@/lib/url';
import { get, said } from '@/lib/write/api';
import type { Edits } from '@/lib/write/edits';
import type { Candidate, Choice, Offers as Offered, Weights } from '@/types';
import { say } from '@/words';

export interface OffersProps {
    jobId: string;
    profile: string;
    /** The survey's mark: with another survey the plans are looked for anew. */
    survey: string;
    choice: Choice | null;
    edits: Edits;
    closed: boolean;
    onTaken: (what: string, version: number) => void;
}

/** The plans there are, and what a person chooses them by. */
export interface Choosing {
    offers: Offered;
    weights: Weights;
    weigh: (weights: Weights) => void;
    note: string;
    setNote: (note: string) => void;
    /** One of them is taken. */
    one: boolean;
    /** All are shown although one is taken. */
    all: boolean;
    setAll: (all: boolean) => void;
    isTaken: (candidate: Candidate) => boolean;
    take: (candidate: Candidate) => Promise<void>;
    working: boolean;
    closed: boolean;
}

export const OffersContext = createContext<Choosing | null>(null);

export function useChoosing(): Choosing {
    const choosing = useContext(OffersContext);
    if (!choosing) throw new Error('useChoosing');
    return choosing;
}

/** @returns null while they are looked for, a text where that failed */
export function useOffers({ jobId, profile, survey, choice, edits, closed, onTaken }: OffersProps) {
    const [offers, setOffers] = useState<Offered | null>(null);
    const [weights, setWeights] = useState<Weights | null>(null);
    const [bad, setBad] = useState('');
    const [note, setNote] = useDraft(`${jobId}/offer/note`, '');
    const [all, setAll] = useState(false);
    const asked =
        weights === null
            ? ''
            : `&${new URLSearchParams(Object.entries(weights).map(([key, value]) => [key, String(value)])).toString()}`;

    useEffect(() => {
        let current = true;
        void get<Offered>(`${url('job.offers', { job: jobId })}?profile=${encodeURIComponent(profile)}${asked}`).then(
            (answer) => {
                if (!current) return;
                if (answer.kind === 'ok') setOffers(answer.data);
                setBad(answer.kind === 'ok' ? '' : said(answer));
            },
        );
        return () => {
            current = false;
        };
    }, [jobId, profile, asked, survey]);

    const isTaken = (candidate: Candidate) => choice !== null && !choice.edited && choice.title === candidate.title;
    const take = async (candidate: Candidate) => {
        const answer = await edits.send('take', { key: candidate.key, note, ...(weights ? { weights } : {}) });
        if (answer.kind === 'ok') {
            setNote('');
            setAll(false);
            onTaken(say('plan.took', { title: candidate.title }), answer.data.version);
        }
    };
    if (bad !== '') return bad;
    if (!offers) return null;
    return {
        offers,
        weights: weights ?? offers.weights,
        weigh: setWeights,
        note,
        setNote,
        one: offers.offered.some(isTaken),
        all,
        setAll,
        isTaken,
        take,
        working: edits.working,
        closed,
    } satisfies Choosing;
}
