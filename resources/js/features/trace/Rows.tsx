import { clsx } from 'clsx';
import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { useProbes } from '@/shell/Shell';
import { useDraft } from '@/lib/drafts';
import type { TraceProps, TraceRowView } from '@/types';
import { Glyph } from '@/ui/Glyph';
import { modeOf } from './parts/modeOf';
import { say } from '@/words';
import { Problem } from './parts/Problem';
import { RowCells, RowHead } from './RowCells';
import { useTrace } from './parts/useTrace';

/** Every row, the latest first: what was done, what it showed, what it moved. Taken back, it stays and says so. */
export function Rows({ rows }: { rows: TraceRowView[] }) {
    const { row: write, closed } = useTrace();
    const probes = useProbes();
    if (rows.length === 0) return null;
    return (
        <div className="flex-none overflow-x-auto">
            <table className="trace__rows">
                <RowHead>
                    <th scope="col">{say('trace.moved')}</th>
                    <th scope="col">
                        <span className="vh">{say('trace.what-to-do')}</span>
                    </th>
                </RowHead>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.id} className={clsx(row.withdrawn && 'trace__gone', row.odd && 'trace__odd')}>
                            <RowCells row={row} />
                            <td>
                                {row.withdrawn
                                    ? say('trace.taken-back')
                                    : row.odd
                                      ? say('trace.nobody-explains')
                                      : row.moved &&
                                        say('trace.from-to', {
                                            what: row.moved.title,
                                            from: row.moved.from,
                                            to: row.moved.to,
                                        })}
                            </td>
                            <td className="whitespace-nowrap">
                                {row.odd && row.again && !row.withdrawn && (
                                    <button
                                        className="trace__more"
                                        onClick={() => {
                                            if (!row.again) return;
                                            probes.setMode(modeOf(row.again.mode));
                                            probes.set(row.again.a, row.again.b);
                                        }}
                                    >
                                        {say('trace.again-better-contact')}
                                    </button>
                                )}
                                {row.again?.mode === 'O' && !row.withdrawn && <Beside row={row} />}
                                {!row.withdrawn && row.kind !== 'found' && row.kind !== 'unusable' && (
                                    <button
                                        className="trace__more"
                                        disabled={closed}
                                        aria-label={say('trace.take-back-row', { row: row.number })}
                                        onClick={() => write('withdraw', { row: row.id })}
                                    >
                                        <Glyph name="back" /> {say('trace.take-back')}
                                    </button>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}

/** A good part of the same kind, read beside the suspect one, is kept as its comparison. */
function Beside({ row }: { row: TraceRowView }) {
    const { row: write, problem, closed } = useTrace();
    const [open, setOpen] = useState(false);
    const { job } = usePage<TraceProps>().props;
    const [typed, setTyped] = useDraft(`${job.id}/beside/${row.id}`, '');
    const [missing, setMissing] = useState<string | null>(null);
    const ohms = Number(typed.replace(',', '.'));
    const send = async () => {
        const event = { kind: 'compared', row: row.number, ohms };
        const answer = await write('event', { event, record: row.id });
        if (answer.kind !== 'ok') return;
        setTyped('');
        setOpen(false);
    };
    if (!open) {
        return (
            <button className="trace__more" disabled={closed} onClick={() => setOpen(true)}>
                {say('trace.good-part-beside')}
            </button>
        );
    }
    return (
        <form
            className="flex items-end gap-1.5"
            onSubmit={(event) => {
                event.preventDefault();
                const good = typed.trim() !== '' && Number.isFinite(ohms) && ohms > 0;
                setMissing(good ? null : say('trace.no-ohms', { typed }));
                if (good) void send();
            }}
        >
            <label className="field">
                <span className="lab">{say('trace.good-part-ohms')}</span>
                <input
                    className="w-[110px]"
                    inputMode="decimal"
                    autoFocus
                    value={typed}
                    onChange={(event) => setTyped(event.target.value)}
                    aria-invalid={missing !== null}
                />
            </label>
            <button className="btn btn--small" type="submit">
                {say('trace.take')}
            </button>
            <Problem of={missing ?? problem} />
        </form>
    );
}
