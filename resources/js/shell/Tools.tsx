import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { useKeys } from '@/lib/hooks';
import { singleKeys } from '@/lib/keys';
import { prefer, switchTheme } from '@/lib/write/prefer';
import { url } from '@/lib/url';
import { UnitSwitch } from '@/ui/UnitSwitch';
import type { Shared } from '@/types';
import { Dialog } from '@/ui/Dialog';
import { Glyph } from '@/ui/Glyph';
import { TickLine } from '@/ui/Tick';
import { say } from '@/words';

const keys: [string, string][] = [
    ['1 – 5', say('shell.survey-plan-set-prove-handover')],
    ['6', say('shell.trace-a-fault')],
    ['0 – 9', say('shell.go-to-the-meter-while-it')],
    ['N', say('shell.new-job-or-new-conductor')],
    ['P', say('shell.power-flag')],
    ['V O A B', say('shell.meter-volts-ohms-amperes-beeper')],
    ['[ ]', say('shell.previous-next-point')],
    ['X', say('shell.swap-the-probes')],
    ['Enter', say('shell.record-the-reading-typed-in-the')],
    ['J K', say('shell.next-previous-row')],
    ['Q', say('shell.the-open-question-of-the-survey')],
    [say('shell.space'), say('shell.tick-the-row')],
    ['E', say('shell.land-conductors-by-keys')],
    [say('shell.ctrl-z'), say('shell.undo-an-edit-with-shift-redo')],
    [say('shell.shift-1'), say('shell.simulate-a-call-in-plan')],
    [say('shell.esc'), say('shell.back-out')],
];

/** Theme, keys, and who is signed in. */
export function Tools() {
    const { user, solo } = usePage<Shared>().props;
    const [open, setOpen] = useState(false);
    useKeys({ '?': () => setOpen(true) });
    return (
        <div className="flex flex-none items-stretch">
            {user && (
                <div className="tool tool--text max-[1279px]:hidden">
                    <span>
                        {user.name}
                        <small>{solo ? say('shell.demo-signed-in') : user.crew}</small>
                    </span>
                </div>
            )}
            <button className="tool" aria-label={say('shell.keys-and-account')} onClick={() => setOpen(true)}>
                <span className="key">?</span>
            </button>
            <button
                className="tool"
                aria-label={say('shell.change-between-daylight-and-headlamp-theme')}
                onClick={switchTheme}
            >
                <Glyph name="lamp" size={20} />
            </button>
            {user && !solo && (
                <button className="tool tool--text" onClick={() => router.post(url('sign-out'))}>
                    {say('shell.sign-out')}
                </button>
            )}
            <Dialog open={open} onClose={() => setOpen(false)} title={say('shell.keys-and-account')}>
                <Keys />
                <section aria-label={say('shell.units')} className="mt-5 border-t-2 border-ink pt-3">
                    <h3 className="h-sec">{say('shell.units')}</h3>
                    <UnitSwitch />
                </section>
                {user && (
                    <section aria-label={say('shell.account')} className="mt-5 border-t-2 border-ink pt-3">
                        <p>
                            <b className="font-lab text-head font-semibold">{user.name}</b>
                            <span className="block text-small text-muted">
                                {say('shell.role-of', { role: user.role, crew: user.crew })}
                            </span>
                        </p>
                        <div className="mt-2 flex flex-wrap gap-x-6">
                            <Link className="link inline-flex min-h-11 items-center" href={url('account')}>
                                {say('shell.my-account')}
                            </Link>
                            <Link className="link inline-flex min-h-11 items-center" href={url('crew')}>
                                {say('shell.people-of-the-crew')}
                            </Link>
                            {!solo && (
                                <button className="link min-h-11" onClick={() => router.post(url('sign-out'))}>
                                    {say('shell.sign-out-of-this-device')}
                                </button>
                            )}
                        </div>
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
            <TickLine
                checked={on}
                label={say('shell.single-keys-work-on-this-device')}
                onChange={(next) => {
                    void prefer({ singleKeys: next });
                    setOn(next);
                }}
            />
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
