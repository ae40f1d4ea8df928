import { type Phrase, say, withMinus } from '../words/words';
import { inWords, type MonthDay } from '../time/days';

export type Line = { key: string; label: Phrase; date: MonthDay | null; days: number | null; source: Phrase };

/** The lines by which a date was reached, as a person would write them on paper. */
export function DerivationTable({ lines }: { lines: Line[] }) {
    return (
        <table className="ruled derivation">
            <thead>
                <tr>
                    <th scope="col">{say('derivation-table.step')}</th>
                    <th scope="col" className="number">
                        {say('derivation-table.days')}
                    </th>
                    <th scope="col">{say('derivation-table.date')}</th>
                </tr>
            </thead>
            <tbody>
                {lines.map((line, i) => (
                    <tr
                        key={line.key + i}
                        className={line.key === 'first' || line.key === 'last' ? 'result' : undefined}
                    >
                        <td>
                            {say(line.label)}
                            <small>{say(line.source)}</small>
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
    return days > 0 ? `+${days}` : withMinus(String(days));
}
