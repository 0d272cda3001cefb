import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { post, said } from '@/lib/write/api';
import { day } from '@/lib/format';
import { url } from '@/lib/url';
import type { Frame } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** What this job as a whole is, where it is no ordinary one: demo data, practice on a copy, read from a file. */
export function MarkBar() {
    const { job, user } = usePage<Frame>().props;
    const [bad, setBad] = useState('');
    const end = async () => {
        const answer = await post<{ url: string }>(url('job.practice', { job: job.id }), { on: false });
        setBad(answer.kind === 'ok' ? '' : said(answer));
        if (answer.kind === 'ok') router.visit(answer.data.url);
    };
    const reads = user !== null && !user.works;
    if (!job.mark && !job.importedAt && !reads) return null;
    return (
        <div
            role="note"
            aria-label={say('shell.about-this-job')}
            className={`no-print markbar ${job.practice ? 'markbar--practice' : ''}`}
        >
            {job.mark && (
                <b>
                    <Glyph name="caution" /> {job.mark}
                </b>
            )}
            {job.importedAt && (
                <span>{say('shell.read-from-a-job-file-records', { importedAt: day(job.importedAt) })}</span>
            )}
            {reads && <span>{say('shell.you-read-this-house', { role: user.role })}</span>}
            {job.practice && (
                <button className="link" onClick={() => void end()}>
                    {say('shell.end-practice')}
                </button>
            )}
            <Bad>{bad}</Bad>
        </div>
    );
}
