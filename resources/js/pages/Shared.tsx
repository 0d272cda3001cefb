import { Head, usePage } from '@inertiajs/react';
import { Baseline } from '@/features/as-found/Baseline';
import { DoorCard } from '@/features/door/DoorCard';
import { Unexplained } from '@/features/handover/Checked';
import { ForTheCustomer } from '@/features/handover/ForTheCustomer';
import { Figures, LeftOut, OpenMatters } from '@/features/handover/Matters';
import { Photographs } from '@/features/handover/Photographs';
import { Readings } from '@/features/handover/Readings';
import { BeforeAndAfter, EquipmentFound, SettingsEntered } from '@/features/handover/Wiring';
import { Calls } from '@/features/shared/Calls';
import { Found } from '@/features/shared/Found';
import { SharedHead } from '@/features/shared/SharedHead';
import { Traced } from '@/features/shared/Traced';
import type { HandoverProps, SharedProps } from '@/types';
import { say } from '@/words';

/** A house as somebody outside the crew reads it by a link: the parts that were chosen for them, on one sheet. */
export default function Shared() {
    const {
        share,
        found,
        wiring,
        settings,
        calls,
        worth,
        baseline,
        survey,
        proofs,
        unexplained,
        traced,
        photos,
        customer,
    } = usePage<SharedProps>().props;
    if (share === null)
        return (
            <DoorCard title={say('share.ended')}>
                <p className="mt-2">{say('share.ended-says')}</p>
            </DoorCard>
        );
    return (
        <main className="min-h-dvh bg-paper" id="main">
            <Head title={say('share.share-house')} />
            <article className="sheet mx-auto max-w-[1200px] px-4 pb-8 sm:px-5">
                <SharedHead share={share} />
                {customer !== undefined &&
                    (customer ? <ForTheCustomer /> : <Nothing>{say('share.no-customer')}</Nothing>)}
                {traced && <Traced fault={traced} />}
                {found && wiring && (
                    <>
                        <div className="grid gap-x-10 lg:grid-cols-2 print:grid-cols-2">
                            {wiring.length > 0 && <BeforeAndAfter />}
                            <EquipmentFound />
                        </div>
                        <Found cables={found} />
                    </>
                )}
                {settings &&
                    (settings.length > 0 ? <SettingsEntered /> : <Nothing>{say('share.no-settings')}</Nothing>)}
                {calls && (
                    <>
                        <Calls calls={calls} worth={worth ?? []} />
                        <Baseline rows={baseline ?? []} />
                        <LeftOut />
                        <OpenMatters />
                    </>
                )}
                {traced === null && <Traced fault={null} />}
                {survey && proofs && <Measured survey={survey} proofs={proofs} unexplained={unexplained ?? []} />}
                {photos && (photos.length > 0 ? <Photographs /> : <Nothing>{say('share.no-photographs')}</Nothing>)}
            </article>
        </main>
    );
}

function Measured({ survey, proofs, unexplained }: Pick<HandoverProps, 'survey' | 'proofs' | 'unexplained'>) {
    return (
        <section>
            <Readings
                survey={survey}
                proofs={proofs}
                none={survey.length + proofs.length === 0 ? say('share.no-readings') : null}
            />
            <Unexplained readings={unexplained} />
            <Figures />
        </section>
    );
}

/** A part that was chosen and that there is nothing of yet says so. */
function Nothing({ children }: { children: string }) {
    return <p className="mt-4 text-muted">{children}</p>;
}
