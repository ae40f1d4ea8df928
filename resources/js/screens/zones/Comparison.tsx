import { Link } from 'react-router';
import type { Zone } from '../../api/client';
import { useZoneComparison } from '../../app/data';
import { inShort, type MonthDay } from '../../charts/days';

/** Zones side by side, the longest season first; and which of them the record cannot tell apart. */
export function Comparison({ zones }: { zones: Zone[] }) {
    const { data } = useZoneComparison();
    if (!data || data.rows.length < 2) return null;
    const name = (slug: string) => zones.find((zone) => zone.slug === slug)?.name ?? slug;
    return (
        <section>
            <h2>Side by side</h2>
            <table className="ruled">
                <thead>
                    <tr>
                        <th rowSpan={2} scope="col">
                            Zone
                        </th>
                        <th colSpan={2} scope="colgroup">
                            Last freeze, later in
                        </th>
                        <th colSpan={2} scope="colgroup">
                            First freeze, earlier in
                        </th>
                        <th rowSpan={2} scope="col" className="number">
                            Days between
                        </th>
                        <th rowSpan={2} scope="col" className="number">
                            Days of 30 °C
                        </th>
                        <th rowSpan={2} scope="col">
                            Soil holds 10 °C
                        </th>
                        <th rowSpan={2} scope="col">
                            Hardiness
                        </th>
                        <th rowSpan={2} scope="col">
                            Not told apart from
                        </th>
                    </tr>
                    <tr>
                        {['1 in 2', '1 in 5', '1 in 2', '1 in 5'].map((risk, i) => (
                            <th scope="col" key={i}>
                                {risk}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {data.rows.map((row) => (
                        <tr key={row.zone}>
                            <td>
                                <Link to={`/desk/zones/${row.zone}/record`}>{name(row.zone)}</Link>
                            </td>
                            {[row.last[0], row.last[1], row.first[0], row.first[1]].map((date, i) => (
                                <td key={i}>{shown(date)}</td>
                            ))}
                            <td className="number">{row.free_days ?? 'all'}</td>
                            <td className="number">{row.hot_days ?? ''}</td>
                            <td>{row.soil_10 === null ? 'not reached' : inShort(row.soil_10)}</td>
                            <td>{row.hardiness}</td>
                            <td>{row.like.map(name).join(', ')}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="hint">
                Freezes at 0 °C. Zones are not told apart where the 90 % intervals of both average dates overlap: their
                gardeners may share a calendar, or need a longer record.
            </p>
        </section>
    );
}

function shown(date: MonthDay | null | undefined): string {
    return date ? inShort(date) : 'none';
}
