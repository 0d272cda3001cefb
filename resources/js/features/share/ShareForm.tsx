import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { useSend } from '@/lib/write/send';
import { url } from '@/lib/url';
import type { Frame, SharesAnswer } from '@/types';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Bad } from '@/ui/State';
import { TickLine } from '@/ui/Tick';
import { say } from '@/words';

/** For whom, what it shows, and until when. */
export function ShareForm({
    shares,
    onMade,
}: {
    shares: SharesAnswer;
    onMade: (link: { url: string; to: string }) => void;
}) {
    const { job } = usePage<Frame>().props;
    const [label, setLabel] = useState('');
    const [parts, setParts] = useState(shares.advice);
    const [days, setDays] = useState('7');
    const { send, busy, errors } = useSend<{ url: string }>(url('job.shares', { job: job.id }));
    const make = async () => {
        const link = await send({ label, parts, days: Number(days) }, 'stay');
        if (link) onMade({ url: link.url, to: label });
    };
    const same = (others: string[]) => others.length === parts.length && others.every((part) => parts.includes(part));
    const ready = [
        { value: 'advice', label: say('share.for-advice'), parts: shares.advice },
        { value: 'customer', label: say('share.for-customer'), parts: shares.customer },
    ];
    return (
        <form
            className="mt-3 grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void make();
            }}
        >
            <Field
                label={say('share.for-whom')}
                hint={say('share.for-whom-hint')}
                autoComplete="off"
                maxLength={80}
                required
                value={label}
                onValue={setLabel}
                bad={errors.label}
            />
            <div>
                <h3 className="lab mb-1">{say('share.shows')}</h3>
                <Choice
                    label={say('share.shows')}
                    value={ready.find((choice) => same(choice.parts))?.value ?? ''}
                    options={ready}
                    onChoose={(value) => setParts(ready.find((choice) => choice.value === value)?.parts ?? parts)}
                />
                <div className="mt-1 grid gap-x-6 sm:grid-cols-2">
                    {shares.parts.map((part) => (
                        <TickLine
                            key={part.value}
                            checked={parts.includes(part.value)}
                            label={part.label}
                            onChange={(on) =>
                                setParts(on ? [...parts, part.value] : parts.filter((other) => other !== part.value))
                            }
                        />
                    ))}
                </div>
                <Bad>{errors.parts}</Bad>
            </div>
            <div>
                <h3 className="lab mb-1">{say('share.good-for')}</h3>
                <Choice
                    label={say('share.good-for')}
                    value={days}
                    options={shares.days.map((n) => ({ value: String(n), label: say('share.days', { days: n }) }))}
                    onChoose={setDays}
                />
            </div>
            <Bad>{errors.days ?? errors.other}</Bad>
            <button className="btn btn--go justify-self-end" disabled={busy}>
                {say('share.make')}
            </button>
        </form>
    );
}
