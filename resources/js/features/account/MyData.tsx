import { useState } from 'react';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import { Dialog } from '@/ui/Dialog';
import { Glyph } from '@/ui/Glyph';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { PresentPassword } from './PresentPassword';

/** What is kept of the person: out as a file, or gone, with the record kept anonymous. */
export function MyData() {
    const [open, setOpen] = useState(false);
    const [password, setPassword] = useState('');
    const { send, busy, errors } = useSend<{ url: string }>(url('account.forget'));
    const go = async () => {
        const answer = await send({ password }, 'stay');
        if (answer) window.location.assign(answer.url);
    };
    return (
        <div className="grid gap-3">
            <p>{say('account.data-says')}</p>
            <a className="btn btn--quiet justify-self-start" href={url('account.data')} download>
                <Glyph name="send" /> {say('account.data-out')}
            </a>
            <p>{say('account.forget-says')}</p>
            <button className="btn btn--small justify-self-start" onClick={() => setOpen(true)}>
                {say('account.forget')}
            </button>
            <Dialog open={open} onClose={() => setOpen(false)} title={say('account.forget-title')} tone="live">
                <p className="mt-3">{say('account.forget-means')}</p>
                <form
                    className="mt-4 grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void go();
                    }}
                >
                    <PresentPassword value={password} onValue={setPassword} bad={errors.password} />
                    <Bad>{errors.person ?? errors.other}</Bad>
                    <div className="flex flex-wrap justify-end gap-3">
                        <button type="button" className="btn btn--quiet" onClick={() => setOpen(false)}>
                            {say('account.forget-not')}
                        </button>
                        <button className="btn btn--go" disabled={busy}>
                            {say('account.forget-now')}
                        </button>
                    </div>
                </form>
            </Dialog>
        </div>
    );
}
