import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { post, said } from '@/lib/api';
import { reload } from '@/lib/reload';
import { useUnits } from '@/lib/units';
import { url } from '@/lib/url';
import type { Shared } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';

/** The crew's units, for everybody of it: what is recorded stays as it is, what is shown and typed changes. */
export function UnitSwitch() {
    const { user } = usePage<Shared>().props;
    const { system } = useUnits();
    const [bad, setBad] = useState<string | null>(null);
    if (!user) return null;
    const choose = async (units: string) => {
        const answer = await post(url('units'), { units });
        setBad(answer.kind === 'ok' ? null : said(answer));
        if (answer.kind === 'ok') await reload();
    };
    return (
        <span className="flex flex-wrap items-center gap-x-3">
            <span role="radiogroup" aria-label={say('shared.units-of', { crew: user.crew })} className="flex">
                {(['us', 'metric'] as const).map((units) => (
                    <button
                        key={units}
                        type="button"
                        role="radio"
                        aria-checked={system === units}
                        className="chip"
                        onClick={() => void choose(units)}
                    >
                        {units === 'us' ? say('shared.us') : say('shared.metric')}
                    </button>
                ))}
            </span>
            <Bad>{bad}</Bad>
        </span>
    );
}
