import { useState } from 'react';
import { said, type Answer } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import type { Probes } from '@/shell/Shell';
import type { Reading } from '@/types';
import type { Purpose, Recorded } from './meter';

interface Recording {
    correcting: Reading | null;
    correct: (reading: Reading | null) => void;
    record: (figure: string) => Promise<void>;
    /** What came of the last one, whatever pair it was of. */
    answer: Answer<Reading> | null;
    errors: Record<string, string>;
    refused: string | null;
    clear: () => void;
}

/** Recording a figure on the pair in hand, or in place of an earlier one. */
export function useRecording(
    jobId: string,
    purpose: Purpose,
    probes: Probes,
    pair: string,
    onTaken: (figure: string, recorded: Recorded) => void,
): Recording {
    const { record: write, answer, clear } = useRecord<Reading>(jobId);
    const [correcting, correct] = useState<Reading | null>(null);
    // What was refused belongs to the pair that it was typed for; another pair starts clean.
    const [refusedAt, setRefusedAt] = useState(pair);
    const mine = correcting !== null || refusedAt === pair ? answer : null;

    const record = async (figure: string) => {
        if (figure.trim() === '') return;
        // What is typed while the answer is on its way is the next reading, and stays.
        // The probes go on at once, before the page is read again: the next figure typed belongs to the next pair.
        const place = correcting
            ? {
                  stage: purpose.stage,
                  step: correcting.step,
                  call: correcting.call,
                  mode: correcting.mode,
                  a: correcting.a,
                  b: correcting.b,
                  corrects: correcting.id,
              }
            : { ...purpose, mode: probes.mode, a: probes.a, b: probes.b };
        setRefusedAt(pair);
        await write('readings', { ...place, value: figure }, (reading) => {
            correct(null);
            // Kept on the device counts as read: the next figure belongs to the next pair, with a signal or without.
            onTaken(figure, reading ?? { a: place.a, b: place.b, outcome: 'kept' });
        });
    };

    return {
        correcting,
        correct,
        record,
        answer,
        errors: mine?.kind === 'invalid' ? mine.errors : {},
        refused: mine && mine.kind !== 'ok' ? said(mine) : null,
        clear,
    };
}
