import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { get, said } from '@/lib/write/api';
import { url } from '@/lib/url';
import type { Frame, SharesAnswer } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { LinkOut } from '@/ui/LinkOut';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { ShareForm } from './ShareForm';
import { ShareList } from './ShareList';

/** Lets somebody outside the crew read the house: links made and taken back, for whoever may decide that. */
export function Share() {
    const { job, user } = usePage<Frame>().props;
    const [open, setOpen] = useState(false);
    const [shares, setShares] = useState<SharesAnswer | null>(null);
    const [made, setMade] = useState<{ url: string; to: string } | null>(null);
    const [bad, setBad] = useState('');
    const read = async () => {
        const answer = await get<SharesAnswer>(url('job.shares', { job: job.id }));
        setBad(said(answer));
        if (answer.kind === 'ok') setShares(answer.data);
    };
    const show = () => {
        setMade(null);
        setOpen(true);
        void read();
    };
    if (!user?.decides || job.practice) return null;
    return (
        <>
            <button className="btn btn--quiet" onClick={show}>
                {say('share.share')}
            </button>
            <Dialog open={open} onClose={() => setOpen(false)} title={say('share.share-house')} wide>
                <p className="mt-2 max-w-[68ch]">{say('share.says')}</p>
                <Bad>{bad}</Bad>
                {!shares && !bad && <p role="status">{say('share.wait')}</p>}
                {shares && made && (
                    <LinkOut url={made.url} to={made.to} says={say('share.made-says')} onDone={() => setMade(null)} />
                )}
                {shares && !made && (
                    <ShareForm
                        shares={shares}
                        onMade={(link) => {
                            setMade(link);
                            void read();
                        }}
                    />
                )}
                {shares && (
                    <section aria-label={say('share.out')} className="mt-5 border-t-2 border-ink pt-3">
                        <h3 className="h-sec">{say('share.out')}</h3>
                        <ShareList links={shares.links} onBack={() => void read()} />
                        {shares.links.length === 0 && <p className="mt-1 text-muted">{say('share.none')}</p>}
                    </section>
                )}
            </Dialog>
        </>
    );
}
