import { useState } from 'react';
import { post, said } from '@/lib/write/api';
import { url } from '@/lib/url';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { focusActual, useMeter } from '../state/meter';

/** In practice the simulated meter fills the field; recording it stays the person's act, and it is marked. */
export function Simulated() {
    const { job, purpose, probes, pair, type } = useMeter();
    // Why it did not read, while the probes stay where they were.
    const [unread, setUnread] = useState({ pair: '', says: '' });
    const simulate = async () => {
        const answer = await post<{ value: string }>(url('job.simulated-reading', { job: job.id }), {
            ...purpose,
            mode: probes.mode,
            a: probes.a,
            b: probes.b,
        });
        setUnread({ pair, says: said(answer) });
        if (answer.kind === 'ok') {
            type(answer.data.value);
            focusActual();
        }
    };
    return (
        <>
            <button type="button" className="link" onClick={() => void simulate()}>
                {say('meter.simulated-meter-reads')}
            </button>
            <Bad>{unread.pair === pair && unread.says}</Bad>
        </>
    );
}
