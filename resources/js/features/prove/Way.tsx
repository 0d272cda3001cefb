import type { ProveProps } from '@/types';
import { say } from '@/words';

/** The person's way through the proofs, and what is left of it: the quickest order, with its minutes. */
export function Way({
    routes,
    school,
    onSchool,
}: {
    routes: ProveProps['routes'];
    school: string;
    onSchool: (school: string) => void;
}) {
    const route = routes[school];
    const left = route?.keys.length ?? 0;
    return (
        <div className="flex flex-wrap items-center gap-x-4 border-t border-hair px-5 py-1 text-small text-muted">
            <label className="flex min-h-11 items-center">
                <span className="vh">{say('prove.order-of-the-proofs')}</span>
                <select
                    className="h-11 max-w-full bg-transparent font-lab font-semibold"
                    value={school}
                    onChange={(event) => onSchool(event.target.value)}
                >
                    {Object.entries(routes).map(([value, { label }]) => (
                        <option key={value} value={value}>
                            {label}
                        </option>
                    ))}
                </select>
            </label>
            <p className="flex-1 basis-64" data-testid="route">
                {left === 0
                    ? say('prove.nothing-is-left-on-this-way')
                    : `${say('prove.one-proof-is-left-other', { left })}. ${route?.reason ?? ''}`}
            </p>
        </div>
    );
}
