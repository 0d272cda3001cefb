import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { post } from '@/lib/write/api';
import { reload } from '@/lib/reload';
import { url } from '@/lib/url';
import type { PlanProps } from '@/types';
import { Chooser } from './Chooser';
import { OwnProfile } from './OwnProfile';
import { Thermostats } from './Thermostats';

/** Which thermostat is planned: from the list, by what suits the house, or one of the crew's own. */
export function Choosing({ disabled, onChoose }: { disabled: boolean; onChoose: (id: string) => void }) {
    const { job, profiles, chosen } = usePage<PlanProps>().props;
    const [open, setOpen] = useState<'suits' | 'own' | null>(null);
    const close = () => setOpen(null);
    const choose = (id: string) => {
        close();
        onChoose(id);
    };
    return (
        <>
            <Thermostats
                profiles={profiles}
                chosen={chosen}
                disabled={disabled}
                onChoose={onChoose}
                onAsk={() => setOpen('suits')}
                onOwn={() => setOpen('own')}
                onAway={async (id) => {
                    await post(url('profile', { id }), { _method: 'DELETE' });
                    await reload();
                }}
            />
            {open === 'suits' && <Chooser jobId={job.id} version={job.version} onClose={close} onChoose={choose} />}
            {open === 'own' && <OwnProfile onClose={close} onKept={choose} />}
        </>
    );
}
