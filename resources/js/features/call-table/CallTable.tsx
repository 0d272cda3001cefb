import type { CallTableView } from '@/types';
import { say } from '@/words';

/**
 * Calls by terminals: a filled cut square is closed to R, a dot is open, an orange bar the source, a dash the return.
 */
export function CallTable({ table }: { table: CallTableView }) {
    return (
        <table className="text-body" aria-label={say('calls.call-table')}>
            <thead>
                <tr className="border-b-2 border-ink">
                    <th className="lab py-1.5">{say('calls.call')}</th>
                    {table.columns.map((column) => (
                        <th key={column.printed} className="px-0.5 text-center font-lab text-small font-bold">
                            {column.printed}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {table.rows.map((row) => (
                    <tr key={row.call} className="h-11 border-b border-hair" data-call={row.call}>
                        <th className="whitespace-nowrap pr-2 font-lab font-semibold">
                            {row.label}
                            {!row.brought && (
                                <span className="block text-tiny font-semibold text-muted">
                                    {say('calls.given-up')}
                                </span>
                            )}
                        </th>
                        {row.cells.map((cell, index) => {
                            const column = table.columns[index];
                            const differs = cell.closed !== cell.needed;
                            return (
                                <td
                                    key={column?.printed ?? index}
                                    className={`text-center ${differs ? 'bg-fault-wash' : ''}`}
                                >
                                    <Cell role={column?.role ?? 'call'} closed={cell.closed} />
                                    {differs && (
                                        <span className="block font-lab text-tiny font-semibold text-fault-ink">
                                            {cell.needed ? say('calls.needed') : say('calls.not-needed')}
                                        </span>
                                    )}
                                </td>
                            );
                        })}
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

function Cell({ role, closed }: { role: string; closed: boolean }) {
    const word =
        role === 'hot'
            ? say('calls.24-v-source')
            : role === 'common'
              ? say('calls.return')
              : closed
                ? say('calls.closed')
                : say('calls.open');
    return (
        <svg width="20" height="20" viewBox="0 0 20 20" className="inline-block" role="img" aria-label={word}>
            {role === 'hot' && <rect x="7.5" y="1" width="5" height="18" fill="var(--live)" />}
            {role === 'common' && <path d="M4 10H16" stroke="var(--muted)" strokeWidth="2.4" />}
            {role === 'call' && closed && <path d="M1 1H13.5L19 6.5V19H1Z" fill="var(--ink)" />}
            {role === 'call' && !closed && <circle cx="10" cy="10" r="1.8" fill="var(--rule)" />}
        </svg>
    );
}
