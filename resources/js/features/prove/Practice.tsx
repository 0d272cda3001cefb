import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { post, said } from '@/lib/api';
import { reload } from '@/lib/reload';
import type { ProveProps } from '@/types';
import { Bad } from '@/ui/State';

/** Practice on this house: a simulated meter and simulated loads, with a hidden fault if wanted. Everything is marked. */
export function Practice() {
    const { job } = usePage<ProveProps>().props;
    const [bad, setBad] = useState('');
    const turn = async (on: boolean, fault = '') => {
        const answer = await post(`/jobs/${job.id}/practice`, { on, fault });
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') await reload();
    };
    return (
        <section aria-label="Practice" className={`border-t border-hair px-5 ${job.practice ? 'py-0.5' : 'py-2'} text-[14px] ${job.practice ? 'bg-caution-wash' : ''}`}>
            {job.practice ? (
                <p className="flex flex-wrap items-center gap-x-5">
                    <b className="font-semibold">Practice: readings and sounds come from the simulated house and are marked so.</b>
                    <button className="link" onClick={() => void turn(false)}>
                        End practice
                    </button>
                </p>
            ) : (
                <p className="flex flex-wrap items-center gap-x-5">
                    <span className="text-muted">Practise on this house, with a simulated meter:</span>
                    <button className="link" onClick={() => void turn(true)}>
                        all in order
                    </button>
                    <button className="link" onClick={() => void turn(true, 'any')}>
                        with a hidden fault
                    </button>
                </p>
            )}
            <Bad>{bad}</Bad>
        </section>
    );
}
