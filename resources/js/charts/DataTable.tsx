import { useState } from 'react';
import { Action } from '../ui/Action';
import { toUnits, type Measure, type Units } from '../words/units';
import { say, units } from '../words/words';

type Cell = string | number | null;

/** A column by name and, if its numbers have a unit, what they measure; they come in the metric one. */
export type Column = string | { name: string; measure: Measure };

/** A table to download: metric, with each unit in its column's name; and as the reader sees it, if that is in another unit. */
export function TakeCsv({ file, columns, rows }: { file: string; columns: Column[]; rows: () => Cell[][] }) {
    const save = (of: Units) => {
        const text = csv(named(columns, of), inUnits(columns, rows(), of));
        const url = URL.createObjectURL(new Blob([text], { type: 'text/csv;charset=utf-8' }));
        const link = document.createElement('a');
        link.href = url;
        link.download = `${file}.csv`;
        link.click();
        URL.revokeObjectURL(url);
    };
    const isMeasured = columns.some((column) => typeof column !== 'string');
    return (
        <>
            <Action onClick={() => save('metric')}>{say('behind.take-them-as-csv')}</Action>
            {isMeasured && units() !== 'metric' && (
                <>
                    {' · '}
                    <Action onClick={() => save(units())}>{say('behind.take-as-read')}</Action>
                </>
            )}
        </>
    );
}

function named(columns: Column[], of: Units): string[] {
    return columns.map((column) =>
        typeof column === 'string'
            ? column
            : say('measure.labeled', { label: column.name, unit: say(`unit.${column.measure}`, { units: of }) }),
    );
}

function inUnits(columns: Column[], rows: Cell[][], of: Units): Cell[][] {
    return rows.map((row) =>
        row.map((cell, i) => {
            const column = columns[i];
            return typeof cell === 'number' && column && typeof column !== 'string'
                ? toUnits(column.measure, cell, of)
                : cell;
        }),
    );
}

/** The numbers behind a chart: as a table for readers who need it, and as CSV. */
export function DataTable({
    name,
    file,
    columns,
    rows,
}: {
    name: string;
    file: string;
    columns: Column[];
    /** asked for once somebody opens the table or downloads it */
    rows: () => Cell[][];
}) {
    const names = named(columns, units());
    const [isOpen, setOpen] = useState(false);
    return (
        <details className="behind" onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary>{say('behind.the-numbers', { name })}</summary>
            <p>
                <TakeCsv file={file} columns={columns} rows={rows} />
            </p>
            {isOpen && (
                <div className="scroll" tabIndex={0}>
                    <table className="ruled">
                        <thead>
                            <tr>
                                {names.map((column) => (
                                    <th key={column} scope="col">
                                        {column}
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {inUnits(columns, rows(), units()).map((row, i) => (
                                <tr key={i}>
                                    {row.map((cell, j) => (
                                        <td key={j}>{cell}</td>
                                    ))}
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
            )}
        </details>
    );
}

/** Rows as in RFC 4180; a cell that a spreadsheet would treat as a formula is disarmed. */
export function csv(columns: string[], rows: Cell[][]): string {
    const cell = (value: Cell) => {
        if (typeof value === 'number') return String(value);
        const text = (value ?? '').replace(/^([=+@-])(?=\D)/, "'$1");
        return /[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
    };
    return [columns, ...rows].map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n';
}
