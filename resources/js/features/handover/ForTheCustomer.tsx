import { usePage } from '@inertiajs/react';
import type { HandoverProps } from '@/types';
import { say } from '@/words';

/** A page of its own on paper. */
export function ForTheCustomer() {
    const { customer } = usePage<HandoverProps>().props;
    if (!customer) return null;
    return (
        <section
            aria-label={say('handover.for-the-customer')}
            className="mt-5 break-inside-avoid border-t-2 border-ink pt-2 print:break-before-page"
        >
            <h3 className="h-sec mb-1">{say('handover.for-the-customer')}</h3>
            <p className="max-w-[68ch] text-lead leading-[23px]">{customer}</p>
        </section>
    );
}
