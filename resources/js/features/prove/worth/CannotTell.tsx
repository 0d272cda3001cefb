import { useEffect, useState } from 'react';
import { get } from '@/lib/write/api';
import { Places } from '@/features/meter-dock/parts/Tells';
import { url } from '@/lib/url';
import type { CannotTell as Group } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { list, say } from '@/words';

/**
 * Before a step is done: which faults of different places would fail it in the very same way, and which step parts
 * them.
 */
export function CannotTell({
    jobId,
    version,
    step,
    onStep,
}: {
    jobId: string;
    version: number;
    step: string;
    onStep: (key: string) => void;
}) {
    const [groups, setGroups] = useState<Group[] | null>(null);
    useEffect(() => {
        let current = true;
        const timer = setTimeout(async () => {
            const answer = await get<{ groups: Group[] }>(
                `${url('job.cannot-tell', { job: jobId })}?step=${encodeURIComponent(step)}&version=${version}`,
            );
            if (current && answer.kind === 'ok') setGroups(answer.data.groups);
        }, 400);
        return () => {
            current = false;
            clearTimeout(timer);
        };
    }, [jobId, version, step]);

    const first = groups?.[0];
    if (!first) return null;
    const names = Object.keys(first.places);
    return (
        <details className="border-b border-hair px-5 text-small" data-testid="cannot-tell">
            <summary className="fold gap-x-2">
                <Glyph name="guess" style={{ color: 'var(--caution)' }} />
                <span>
                    <b className="font-semibold">
                        {say('prove.if-it-fails-it-cannot-tell', { listed: listed(names) })}
                    </b>{' '}
                    <span className="text-muted">
                        {first.told
                            ? say('prove.can', { told: first.told.label })
                            : say('prove.no-other-step-of-this-call')}
                    </span>
                </span>
            </summary>
            <ul className="pb-2">
                {groups.map((group, index) => (
                    <li key={index} className="border-t border-hair py-1.5">
                        <Places places={group.places} />
                        {group.told && (
                            <button className="link" onClick={() => group.told && onStep(group.told.step)}>
                                {say('prove.tells-them-apart', { told: group.told.label })}
                            </button>
                        )}
                    </li>
                ))}
            </ul>
        </details>
    );
}

const words: Record<string, string> = {
    wall: say('prove.the-wall'),
    cable: say('prove.the-cable'),
    indoor: say('prove.the-indoor-unit'),
    outdoor: say('prove.the-outdoor-unit'),
    supply: say('prove.the-supply'),
};

/** "the wall or the cable from the indoor unit" */
function listed(places: string[]): string {
    const names = places.map((place) => words[place] ?? place);
    const last = names.pop() ?? '';
    return names.length === 0 ? last : say('prove.from', { these: list(names, 'or'), that: last });
}
