import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { said } from '@/lib/write/api';
import { prefer } from '@/lib/write/prefer';
import { reload } from '@/lib/reload';
import { useUnits } from '@/lib/units';
import type { Shared } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { Choice } from './Choice';

/** A person's own units: what is recorded stays as it is, what is shown and typed changes. */
export function UnitSwitch() {
    const { user } = usePage<Shared>().props;
    const { system } = useUnits();
    const [bad, setBad] = useState<string | null>(null);
    if (!user) return null;
    const choose = async (units: 'us' | 'metric') => {
        const answer = await prefer({ units });
        setBad(answer.kind === 'ok' ? null : said(answer));
        if (answer.kind === 'ok') await reload();
    };
    return (
        <span className="flex flex-wrap items-center gap-x-3">
            <Choice
                label={say('shared.units-of-mine')}
                value={system}
                options={[
                    { value: 'us', label: say('shared.us') },
                    { value: 'metric', label: say('shared.metric') },
                ]}
                onChoose={(units) => void choose(units)}
            />
            <Bad>{bad}</Bad>
        </span>
    );
}
