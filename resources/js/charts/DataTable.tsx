import { Action } from '../ui/Action';
import { say } from '../words/words';
type Cell = string | number | null;

/** A table to be taken away. */
export function TakeCsv({ file, columns, rows }: { file: string; columns: string[]; rows: Cell[][] }) {
    const save = () => {
        const url = URL.createObjectURL(new Blob([csv(columns, rows)], { type: 'text/csv;charset=utf-8' }));
        const link = document.createElement('a');
        link.href = url;
        link.download = `${file}.csv`;
        link.click();
        URL.revokeObjectURL(url);
    };
    return <Action onClick={save}>{say('behind.take-them-as-csv')}</Action>;
}

/** The numbers behind a chart: as a table for readers who need it, as CSV for those who want it. */
export function DataTable({
    name,
    file,
    columns,
    rows,
}: {
    name: string;
    file: string;
    columns: string[];
    rows: Cell[][];
}) {
    return (
        <details className="behind">
            <summary>{say('behind.the-numbers', { name })}</summary>
            <p>
                <TakeCsv file={file} columns={columns} rows={rows} />
            </p>
            <div className="scroll" tabIndex={0}>
                <table className="ruled">
                    <thead>
                        <tr>
                            {columns.map((column) => (
                                <th key={column} scope="col">
                                    {column}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {rows.map((row, i) => (
                            <tr key={i}>
                                {row.map((cell, j) => (
                                    <td key={j}>{cell}</td>
                                ))}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </details>
    );
}

/** Rows as RFC 4180 has them; a cell that a spreadsheet would take for a formula is disarmed. */
export function csv(columns: string[], rows: Cell[][]): string {
    const cell = (value: Cell) => {
        if (typeof value === 'number') return String(value);
        const text = (value ?? '').replace(/^([=+@-])(?=\D)/, "'$1");
        return /[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
    };
    return [columns, ...rows].map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n';
}
