import type { PlanView } from '@/types';
import { Bad } from '@/ui/State';
import { say } from '@/words';
import { Offer } from './Offer';
import { OffersContext, useChoosing, useOffers, type OffersProps } from './useOffers';
import { Refusals } from './Refusals';
import { Weighing } from './Weighing';

/** The plans for this thermostat on this house: each proved by simulation, ranked with reasons; the refused beneath. */
export function Offers(props: OffersProps) {
    const choosing = useOffers(props);
    if (typeof choosing === 'string')
        return (
            <div className="px-5 py-2">
                <Bad>{choosing}</Bad>
            </div>
        );
    if (!choosing)
        return (
            <p className="px-5 py-3 text-muted" role="status">
                {say('plan.looking-for-plans')}
            </p>
        );
    const { offers, one, all, isTaken, closed } = choosing;
    const showsOthers = !one || all;
    return (
        <OffersContext value={choosing}>
            <section aria-label={say('plan.plans')} className="border-t border-hair px-5 py-3">
                <OffersHead />
                {offers.ruledOut.map((why) => (
                    <p key={why} className="text-small text-caution-ink">
                        {why}
                    </p>
                ))}
                {offers.offered.map(
                    (candidate, index) =>
                        (showsOthers || isTaken(candidate)) && (
                            <Offer key={candidate.key} candidate={candidate} rank={index + 1} />
                        ),
                )}
                {!closed && offers.offered.length > 1 && showsOthers && <Weighing />}
                {offers.refused.length > 0 && showsOthers && <Refusals refused={offers.refused} />}
            </section>
        </OffersContext>
    );
}

function OffersHead() {
    const { offers, one, all, setAll } = useChoosing();
    const count = offers.offered.length;
    return (
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
            <h2 className="h-sec">
                {count === 0
                    ? say('plan.no-plan-works-with-this-thermostat')
                    : count === 1
                      ? say('plan.one-plan-works')
                      : say('plan.plans-work-best-first', { offered: count })}
            </h2>
            <span className="flex flex-wrap items-center gap-x-5 text-note text-muted">
                {say('plan.tried-every-call-of-each-simulated', { tried: offers.tried })}
                {one && (count > 1 || offers.refused.length > 0) && (
                    <button className="link" aria-expanded={all} onClick={() => setAll(!all)}>
                        {all ? say('plan.show-the-taken-one') : say('plan.other-plans')}
                    </button>
                )}
            </span>
        </div>
    );
}

/** The offer taken, where there is more to say of it than its name: changed by hand since, or taken with a reason. */
export function Taken({ choice }: { choice: NonNullable<PlanView['choice']> }) {
    if (!choice.edited && choice.note === '') return null;
    return (
        <p className="px-5 pb-2 text-small">
            <b className="font-semibold">{say('plan.taken-2', { title: choice.title })}</b>
            {choice.edited && <span className="text-caution-ink">{say('plan.changed-by-hand-since')}</span>}
            {choice.note !== '' && <span>{say('plan.reason', { note: choice.note })}</span>}
        </p>
    );
}
