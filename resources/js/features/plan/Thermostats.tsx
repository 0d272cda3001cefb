import { usePage } from '@inertiajs/react';
import { clsx } from 'clsx';
import { useState } from 'react';
import { url } from '@/lib/url';
import type { PlanProps } from '@/types';
import { say } from '@/words';

/** The thermostats that can be chosen: what each runs on, its screws. */
export function Thermostats({
    profiles,
    chosen,
    onChoose,
    disabled,
    onAsk,
    onOwn,
    onAway,
}: {
    onAsk: () => void;
    onOwn: () => void;
    onAway: (id: string) => void;
    profiles: PlanProps['profiles'];
    chosen: string | null;
    onChoose: (id: string) => void;
    disabled: boolean;
}) {
    const { user } = usePage<PlanProps>().props;
    const [all, setAll] = useState(false);
    const shown =
        chosen === null || all || !profiles.some((profile) => profile.id === chosen)
            ? profiles
            : profiles.filter((profile) => profile.id === chosen);
    return (
        <div role="radiogroup" aria-label={say('plan.thermostat')} className="relative">
            {chosen !== null && !disabled && (
                <button
                    type="button"
                    className="link z-10 px-5 sm:absolute sm:right-0 sm:top-1"
                    aria-expanded={all}
                    onClick={() => setAll(!all)}
                >
                    {all ? say('plan.show-the-chosen-one') : say('plan.other-thermostats')}
                </button>
            )}
            {!disabled && (chosen === null || all) && (
                <p className="flex flex-wrap gap-x-6 px-5">
                    <button type="button" className="link" onClick={onAsk}>
                        {say('plan.which-suits-this-house')}
                    </button>
                    <button type="button" className="link" onClick={onOwn}>
                        {say('plan.add-your-own')}
                    </button>
                </p>
            )}
            {shown.map((profile) => (
                <div key={profile.id} className="relative">
                    {profile.own && all && (
                        <span className="absolute right-3 top-1 z-10 flex gap-3">
                            <a className="link" href={url('profile', { id: profile.id })}>
                                {say('plan.file')}
                            </a>
                            {user?.decides && (
                                <button
                                    type="button"
                                    className="link"
                                    aria-label={say('plan.put-away', { title: profile.title })}
                                    onClick={() => onAway(profile.id)}
                                >
                                    {say('plan.put-away-2')}
                                </button>
                            )}
                        </span>
                    )}
                    <button
                        role="radio"
                        aria-checked={profile.id === chosen}
                        disabled={disabled}
                        onClick={() => {
                            onChoose(profile.id);
                            setAll(false);
                        }}
                        className={clsx(
                            'flex min-h-[52px] w-full flex-wrap items-center gap-x-6 gap-y-1 border-t border-hair',
                            'px-5 py-2 text-left aria-checked:bg-panel',
                            'aria-checked:shadow-[inset_5px_0_0_var(--copper)]',
                            chosen !== null && !disabled && profile === shown[0] && 'sm:pr-40',
                        )}
                    >
                        <b className="min-w-[250px] flex-1 font-lab text-lead font-semibold">{profile.title}</b>
                        <span className="text-small text-muted">{say('plan.runs-on-2', { power: profile.power })}</span>
                        <span className="text-small text-muted">
                            {profile.remote === 'none' ? say('plan.no-remote-control') : say('plan.remote-control-2')}
                        </span>
                        <span className="mono text-small">{profile.screws.join(' ')}</span>
                    </button>
                </div>
            ))}
        </div>
    );
}
