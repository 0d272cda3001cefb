import { clsx } from 'clsx';
import { useState } from 'react';
import { useKeys } from '@/lib/hooks';
import type { CableView, ConductorRow } from '@/types';
import { EndTag, Swatch } from '@/ui/Tag';
import { State } from '@/ui/State';
import { say } from '@/words';

/** The conductors of a cable as they were found, with how each pairing is known. */
export function Ledger({
    cable,
    onChange,
    onRemove,
    closed,
}: {
    cable: CableView;
    onChange: (row: ConductorRow) => void;
    onRemove: (row: ConductorRow) => void;
    closed: boolean;
}) {
    const [at, setAt] = useState(-1);
    const rows = cable.conductors;
    const go = (by: number) => setAt((now) => Math.max(0, Math.min(rows.length - 1, now + by)));
    const act = (what: (row: ConductorRow) => void) => () => {
        const row = rows[at];
        if (row && !closed) what(row);
    };
    useKeys({ j: () => go(1), k: () => go(-1), c: act(onChange), Delete: act(onRemove) });
    if (cable.conductors.length === 0) {
        return (
            <p className="px-5 py-6 text-muted">
                {say('survey.no-conductors-yet-type-the-first')}{' '}
                <span className="mono text-ink">
                    {cable.from === 'wall' ? say('survey.red-r-r') : say('survey.red-y-y-seen')}
                </span>
                .
            </p>
        );
    }
    return (
        <table>
            <thead>
                <tr className="lab [&>th]:border-b [&>th]:border-hair [&>th]:py-2 [&>th]:font-semibold">
                    <th className="w-12 pl-5">{say('survey.no')}</th>
                    <th>{say('survey.conductor')}</th>
                    <th className="first-letter:uppercase">
                        {cable.from === 'wall' ? say('survey.wall') : cable.fromLabel}
                    </th>
                    <th className="pr-3 first-letter:uppercase">{cable.toLabel}</th>
                    <th>
                        <span className="max-sm:sr-only">{say('survey.how-we-know')}</span>
                    </th>
                    <th>
                        <span className="vh">{say('survey.change')}</span>
                    </th>
                </tr>
            </thead>
            <tbody>
                {rows.map((row, index) => (
                    <tr
                        key={row.number}
                        data-conductor={row.number}
                        aria-selected={index === at}
                        className={clsx(
                            'h-12 border-b border-hair aria-selected:picked',
                            row.evidence.proof || row.spare
                                ? ''
                                : 'bg-caution-wash shadow-[inset_5px_0_0_var(--caution)]',
                        )}
                    >
                        <td className="pl-5 font-lab text-head font-bold">{row.number}</td>
                        <td>
                            <span className="flex items-center gap-2">
                                <span className="max-sm:hidden">
                                    <Swatch colour={row.colour} stripe={row.stripe} width={60} />
                                </span>
                                <span className="sm:hidden">
                                    <Swatch colour={row.colour} stripe={row.stripe} width={34} />
                                </span>{' '}
                                {row.colourWord}
                                {row.stripeWord && `/${row.stripeWord}`}
                            </span>
                        </td>
                        <td>
                            <EndTag end={row.near} side={cable.from === 'wall' ? 'wall' : 'equipment'} />
                        </td>
                        <td>
                            <EndTag end={row.far} side="equipment" />
                        </td>
                        <td>
                            <State
                                glyph={row.evidence.proof ? 'traced' : 'guess'}
                                tone={row.evidence.proof ? 'verd' : row.spare ? 'muted' : 'caution'}
                            >
                                <span className="max-sm:sr-only">{row.evidence.label}</span>
                            </State>
                            {(row.condition.length > 0 || row.splice || row.loopOhms !== null) && (
                                <span className="block text-note text-caution-ink">
                                    {[
                                        row.splice && say('survey.goes-on', { splice: row.splice }),
                                        ...row.condition,
                                        row.loopOhms !== null &&
                                            say('survey.ohms-out-and-back', { loopOhms: row.loopOhms }),
                                    ]
                                        .filter(Boolean)
                                        .join(', ')}
                                </span>
                            )}
                        </td>
                        <td className="whitespace-nowrap pr-3 text-right">
                            {!closed && (
                                <>
                                    <button
                                        className="link px-1.5"
                                        onClick={() => onChange(row)}
                                        aria-label={say('survey.change-conductor', { number: row.number })}
                                    >
                                        {say('survey.change')}
                                    </button>
                                    <button
                                        className="link px-1.5"
                                        onClick={() => onRemove(row)}
                                        aria-label={say('survey.remove-conductor', { number: row.number })}
                                    >
                                        {say('survey.remove')}
                                    </button>
                                </>
                            )}
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
