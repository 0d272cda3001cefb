import { clsx } from 'clsx';
import { RowCells, RowHead } from '@/features/trace/RowCells';
import { clock, day } from '@/lib/format';
import type { SharedProps } from '@/types';
import { say } from '@/words';

/** The fault that is being traced: what was told, every row in order, and what it can be now. */
export function Traced({ fault }: { fault: NonNullable<SharedProps['traced']> | null }) {
    if (fault === null)
        return (
            <section>
                <h3 className="h-sec mb-1 mt-5">{say('share.fault')}</h3>
                <p className="text-muted">{say('share.no-fault')}</p>
            </section>
        );
    const title = say('share.fault-since', { day: day(fault.at), time: clock(fault.at) });
    return (
        <section>
            <h3 className="h-sec mb-1 mt-5">{title}</h3>
            {fault.told.map((told) => (
                <p key={`${told.call}${told.when}`}>
                    <b className="font-semibold">{told.call}:</b> {told.sees.join(', ')}{' '}
                    {told.when && <span className="text-muted">({told.when})</span>}
                </p>
            ))}
            {fault.history.length > 0 && <p className="text-muted">{fault.history.join(' · ')}</p>}
            {fault.finished && <p>{say('share.works-again')}</p>}
            {fault.rows.length > 0 && (
                <div tabIndex={0} role="group" aria-label={title} className="mt-2 overflow-x-auto">
                    <table className="trace__rows min-w-[560px]">
                        <RowHead />
                        <tbody>
                            {[...fault.rows].reverse().map((row) => (
                                <tr key={row.number} className={clsx(row.withdrawn && 'trace__gone')}>
                                    <RowCells row={row}>
                                        {(row.withdrawn || row.odd) && (
                                            <small className="block text-note text-caution-ink">
                                                {row.withdrawn ? say('trace.taken-back') : say('trace.nobody-explains')}
                                            </small>
                                        )}
                                    </RowCells>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
            )}
            {fault.suspects.length > 0 && (
                <>
                    <h4 className="lab mt-3">{say('share.suspected')}</h4>
                    <ul>
                        {fault.suspects.map((suspect) => (
                            <li
                                key={`${suspect.title}${suspect.detail}`}
                                className="flex min-h-9 items-center justify-between gap-4 border-b border-hair"
                            >
                                <span>
                                    <b className="font-semibold">{suspect.title}</b>{' '}
                                    <span className="text-small text-muted">{suspect.detail}</span>
                                </span>
                                <span className="mono whitespace-nowrap">
                                    {say('share.percent', { percent: suspect.percent })}
                                </span>
                            </li>
                        ))}
                    </ul>
                </>
            )}
        </section>
    );
}
