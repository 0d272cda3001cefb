import { clsx } from 'clsx';
import type { EntryPreview } from '@/types';
import { State } from '@/ui/State';
import { EndTag, Swatch } from '@/ui/Tag';
import { say } from '@/words';
import { useEntryLine } from './useEntry';

/** The conductor as it was understood of the line, while it is typed. */
export function Understood() {
    const { line, understood, changing, cable } = useEntryLine();
    const next =
        changing?.number ??
        understood?.number ??
        cable.conductors.reduce((most, conductor) => Math.max(most, conductor.number), 0) + 1;
    return (
        <div
            className={clsx(
                'order-last col-span-2 flex min-h-11 flex-wrap items-center gap-2.5 md:order-none',
                'md:col-span-1 md:min-h-8',
            )}
            aria-live="polite"
            data-testid="understood"
        >
            {line !== '' && understood && (
                <>
                    <b className="font-lab text-title">{next}</b>
                    <Conductor entry={understood} fromWall={cable.from === 'wall'} />
                </>
            )}
        </div>
    );
}

function Conductor({ entry, fromWall }: { entry: EntryPreview; fromWall: boolean }) {
    const { colour, stripe, near, far, evidence } = entry;
    return (
        <>
            {colour && (
                <>
                    <Swatch colour={colour} stripe={stripe} /> {entry.colourWord}
                    {stripe && `/${stripe}`}
                </>
            )}
            {near && <EndTag end={near} side={fromWall ? 'wall' : 'equipment'} />}
            {(near ?? far) && <span className="text-muted">{say('survey.to')}</span>}
            {far && <EndTag end={far} side="equipment" />}
            {entry.condition.length > 0 && (
                <span className="text-small text-caution-ink">{entry.condition.join(', ')}</span>
            )}
            {entry.loopOhms !== null && (
                <span className="mono text-small">{say('survey.ohms', { loopOhms: entry.loopOhms })}</span>
            )}
            {entry.complete && (
                <State glyph={evidence.proof ? 'traced' : 'guess'} tone={evidence.proof ? 'verd' : 'caution'}>
                    {evidence.label}
                </State>
            )}
        </>
    );
}
