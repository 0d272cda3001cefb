import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { useKeys } from '@/lib/hooks';
import { setSingleKeys, singleKeys } from '@/lib/keys';
import type { Shared } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Glyph } from '@/ui/Glyph';
import { Tick } from '@/ui/Tick';
import { ChangePassword } from './ChangePassword';

const keys: [string, string][] = [
    ['1 – 5', 'Survey, Plan, Set, Prove, Handover'],
    ['0 – 9', 'Go to the meter while it is what you used last'],
    ['N', 'New job, or new conductor'],
    ['P', 'Power flag'],
    ['V O A B', 'Meter: volts, ohms, amperes, beeper'],
    ['[ ]', 'Previous, next point'],
    ['X', 'Swap the probes'],
    ['Enter', 'Record the reading typed in the dock'],
    ['J K', 'Next, previous row'],
    ['Q', 'The open question of the survey'],
    ['Space', 'Tick the row'],
    ['E', 'Land conductors by keys'],
    ['Ctrl Z', 'Undo an edit, with Shift redo'],
    ['Shift+1 …', 'Simulate a call, in Plan'],
    ['Esc', 'Back out'],
];

/** Theme, keys, and who is signed in. */
export function Tools() {
    const { user, solo } = usePage<Shared>().props;
    const [open, setOpen] = useState(false);
    useKeys({ '?': () => setOpen(true) });
    const toggle = () => {
        const next = document.documentElement.dataset.theme === 'headlamp' ? 'bone' : 'headlamp';
        document.documentElement.dataset.theme = next;
        try {
            localStorage.setItem('theme', next);
        } catch {
            // Storage may be closed; the theme then lasts as long as the page.
        }
    };
    return (
        <div className="flex flex-none items-stretch">
            {user && (
                <div className="tool tool--text max-[1279px]:hidden">
                    <span>
                        {user.name}
                        <small>{solo ? 'demo, signed in' : user.crew}</small>
                    </span>
                </div>
            )}
            <button className="tool" aria-label="Keys and account" onClick={() => setOpen(true)}>
                <span className="key">?</span>
            </button>
            <button className="tool" aria-label="Change between daylight and headlamp theme" onClick={toggle}>
                <Glyph name="lamp" size={20} />
            </button>
            {user && !solo && (
                <button className="tool tool--text" onClick={() => router.post('/sign-out')}>
                    Sign out
                </button>
            )}
            <Dialog open={open} onClose={() => setOpen(false)} title="Keys and account">
                <Keys />
                {user && !solo && (
                    <section aria-label="Account" className="mt-5 border-t-2 border-ink pt-3">
                        <p className="flex flex-wrap items-center justify-between gap-3">
                            <b className="font-lab text-head font-semibold">
                                {user.name}, {user.crew}
                            </b>
                            <button className="link" onClick={() => router.post('/sign-out')}>
                                Sign out of this device
                            </button>
                        </p>
                        <ChangePassword />
                    </section>
                )}
            </Dialog>
        </div>
    );
}

/** The list of keys, and the switch that turns single keys off. */
function Keys() {
    const [on, setOn] = useState(singleKeys);
    return (
        <>
            <div className="mt-2 flex items-center gap-2">
                <Tick
                    checked={on}
                    label="Single keys work on this device"
                    onChange={(next) => {
                        setSingleKeys(next);
                        setOn(next);
                    }}
                />
                <span>Single keys work on this device</span>
            </div>
            <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
                {keys.map(([key, does]) => (
                    <div key={key} className="contents">
                        <dt>
                            <span className="key">{key}</span>
                        </dt>
                        <dd>{does}</dd>
                    </div>
                ))}
            </dl>
        </>
    );
}
