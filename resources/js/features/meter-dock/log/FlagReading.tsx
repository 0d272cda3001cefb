import { useState } from 'react';
import { said } from '@/lib/write/api';
import { useRecord } from '@/lib/write/once';
import type { Reading } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/**
 * A reading that nothing explains yet is flagged; the flag comes off with what explains it. Both stay on the record.
 */
export function FlagReading({ jobId, reading }: { jobId: string; reading: Reading }) {
    const { record, answer } = useRecord(jobId);
    const [asking, setAsking] = useState(false);
    const [note, setNote] = useState('');
    if (!reading.unexplained) {
        return (
            <>
                <button
                    className="link"
                    onClick={() => void record('marks', { reading: reading.id, unexplained: true, note: '' })}
                >
                    {say('meter.flag-as-unexplained')}
                </button>
                {reading.note !== '' && (
                    <span className="self-center text-small">{say('meter.explained', { note: reading.note })}</span>
                )}
                <Bad>{answer && answer.kind !== 'ok' ? said(answer) : null}</Bad>
            </>
        );
    }
    return asking ? (
        <form
            className="flex w-full gap-2"
            onSubmit={async (event) => {
                event.preventDefault();
                const result = await record('marks', { reading: reading.id, unexplained: false, note });
                if (result.kind === 'ok') setAsking(false);
            }}
        >
            <input
                autoFocus
                maxLength={200}
                aria-label={say('meter.what-explains-this-reading')}
                placeholder={say('meter.what-explains-it')}
                className="h-11 min-w-0 flex-1 border-b-2 border-rule bg-bone px-2"
                value={note}
                onChange={(event) => setNote(event.target.value)}
            />
            <button className="btn btn--small">{say('meter.keep')}</button>
            <Bad>{answer && answer.kind !== 'ok' ? said(answer) : null}</Bad>
        </form>
    ) : (
        <button className="link" onClick={() => setAsking(true)}>
            {say('meter.unexplained-explain-it')}
        </button>
    );
}
