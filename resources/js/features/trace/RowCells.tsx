import type { ReactNode } from 'react';
import { clock } from '@/lib/format';
import type { TraceRowView } from '@/types';
import { say } from '@/words';

/** The head of a table of rows: what each was, then what more the table has of it. */
export function RowHead({ children }: { children?: ReactNode }) {
    return (
        <thead>
            <tr>
                <th scope="col">{say('trace.number')}</th>
                <th scope="col">{say('trace.time')}</th>
                <th scope="col">{say('trace.where')}</th>
                <th scope="col">{say('trace.test')}</th>
                <th scope="col" className="!text-right">
                    {say('trace.showed')}
                </th>
                {children}
            </tr>
        </thead>
    );
}

/** What a row was: when, where, what was done under which set-up, and what it showed. */
export function RowCells({
    row,
    children,
}: {
    row: Pick<TraceRowView, 'number' | 'at' | 'place' | 'test' | 'setup' | 'result'>;
    children?: ReactNode;
}) {
    return (
        <>
            <td className="mono">{row.number}</td>
            <td className="mono">{clock(row.at)}</td>
            <td>{row.place}</td>
            <td>
                {row.test}
                {row.setup.length > 0 && <small className="block text-note text-muted">{row.setup.join(' ')}</small>}
            </td>
            <td className="mono text-right">
                {row.result}
                {children}
            </td>
        </>
    );
}
