import { inWords, type MonthDay } from './days';

export type Line = { key: string; label: string; date: MonthDay | null; days: number | null; source: string };

/** The lines a date was reached by, as a person would write them on paper. */
export function DerivationTable({ lines }: { lines: Line[] }) {
    return (
        <table className="ruled derivation">
            <thead>
                <tr>
                    <th scope="col">Step</th>
                    <th scope="col" className="number">
                        Days
                    </th>
                    <th scope="col">Date</th>
                </tr>
            </thead>
            <tbody>
                {lines.map((line, i) => (
                    <tr
                        key={line.key + i}
                        className={line.key === 'first' || line.key === 'last' ? 'result' : undefined}
                    >
                        <td>
                            {line.label}
                            <small>{line.source}</small>
                        </td>
                        <td className="number">{line.days === null || line.days === 0 ? '' : signed(line.days)}</td>
                        <td className="date">{line.date === null ? '' : inWords(line.date)}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

function signed(days: number): string {
    return days > 0 ? `+${days}` : String(days).replace('-', '−');
}
