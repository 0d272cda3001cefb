import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { post, said } from '@/lib/write/api';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import type { HandoverProps } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Bad } from '@/ui/State';
import { TickLine } from '@/ui/Tick';
import { roleWord } from './roles';
import { list, say } from '@/words';

/** Asks once more before the job becomes a record, and for the signatures that are missing. */
export function HandOverDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
    const { job, unsigned } = usePage<HandoverProps>().props;
    const [problem, setProblem] = useState('');
    const [without, setWithout] = useState(false);
    const close = async () => {
        const answer = await post(url('job.handover', { job: job.id }), { unsigned: without });
        setProblem(said(answer));
        if (answer.kind === 'ok') {
            onClose();
            await reload();
        }
    };

    return (
        <Dialog open={open} onClose={onClose} title={say('handover.hand-this-job-over')}>
            <p className="mt-2">{say('handover.covers-and-door-on-the-thermostat')}</p>
            {unsigned.length > 0 && (
                <div
                    role="group"
                    aria-label={say('handover.signatures-missing')}
                    className="mt-3 border-l-[6px] border-caution bg-caution-wash px-3 py-2 text-body"
                >
                    <p>
                        {say('handover.not-signed-yet-by-the-ask', {
                            unsigned: list(unsigned.map(roleWord)),
                        })}
                    </p>
                    <TickLine
                        strong
                        checked={without}
                        label={say('handover.hand-over-without-the-record-will')}
                        onChange={setWithout}
                    />
                </div>
            )}
            <Bad>{problem}</Bad>
            <div className="mt-5 flex justify-end gap-3">
                <button className="btn" onClick={onClose}>
                    {say('handover.not-yet')}
                </button>
                <button className="btn btn--go" onClick={() => void close()}>
                    {say('handover.hand-over')}
                </button>
            </div>
        </Dialog>
    );
}
