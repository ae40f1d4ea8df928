import type { ReactNode } from 'react';

/** A small table to read: the first column heads the rows, and others hold numbers if they are marked so. */
export function RuledTable({
    columns,
    rows,
}: {
    columns: (string | { number: string })[];
    /** by key; the first cell is the row's head */
    rows: [key: string | number, ...cells: ReactNode[]][];
}) {
    const isNumber = (i: number) => typeof columns[i] === 'object';
    return (
        <table className="ruled">
            <thead>
                <tr>
                    {columns.map((column, i) => (
                        <th key={i} scope="col" className={isNumber(i) ? 'number' : undefined}>
                            {typeof column === 'string' ? column : column.number}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {rows.map(([key, head, ...cells]) => (
                    <tr key={key}>
                        <th scope="row">{head}</th>
                        {cells.map((cell, i) => (
                            <td key={i} className={isNumber(i + 1) ? 'number nowrap' : undefined}>
                                {cell}
                            </td>
                        ))}
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
