import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { post, said } from '@/lib/write/api';
import { url } from '@/lib/url';
import type { ProveProps } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** Practice on a copy of this house: a simulated meter and simulated loads, with a hidden fault if wanted. */
export function Practice() {
    const { job } = usePage<ProveProps>().props;
    const [bad, setBad] = useState('');
    const begin = async (fault: string) => {
        const answer = await post<{ url: string }>(url('job.practice', { job: job.id }), { on: true, fault });
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') router.visit(answer.data.url);
    };
    return (
        <section aria-label={say('prove.practice')} className="border-t border-hair px-5 py-2 text-small">
            <p className="flex flex-wrap items-center gap-x-5">
                <span className="text-muted">
                    {job.practice ? say('prove.practice-again-on-a-new-copy') : say('prove.practice-take-a-copy')}
                </span>
                <button className="link" onClick={() => void begin('')}>
                    {say('prove.all-in-order')}
                </button>
                <button className="link" onClick={() => void begin('any')}>
                    {say('prove.with-a-hidden-fault')}
                </button>
            </p>
            <Bad>{bad}</Bad>
        </section>
    );
}
