import { usePage } from '@inertiajs/react';
import { AsFoundHead } from '@/features/as-found/Head';
import { ThreeTaps } from '@/features/as-found/ThreeTaps';
import { SetupStrip } from '@/features/setup-strip/SetupStrip';
import { Shell } from '@/shell/Shell';
import type { AsFoundView, Frame } from '@/types';
import { say } from '@/words';

/** The old plate becomes a thermostat of this house; with that, its calls can be proved. */
export default function AsFound() {
    const { asFound } = usePage<Frame & { asFound: AsFoundView }>().props;
    return (
        <Shell stage="prove" title={say('prove.as-found')} start={['indoor.R', 'indoor.C']} dock={null}>
            <AsFoundHead />
            <SetupStrip />
            <ThreeTaps found={asFound} />
        </Shell>
    );
}
