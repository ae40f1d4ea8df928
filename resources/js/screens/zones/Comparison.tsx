import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema, Zone } from '../../api/client';
import { useZoneComparison } from './queries';
import { inShort, type MonthDay } from '../../time/days';

type Row = Schema['ComparedZone'];

/** Nothing known sorts last. */
const ORDERS: { name: string; of: (row: Row) => number | string }[] = [
    { name: 'longest season', of: (row) => -(row.free_days ?? 365) },
    { name: 'earliest last freeze', of: (row) => row.last[0] ?? '00-00' },
    { name: 'hottest', of: (row) => -(row.hot_days ?? 0) },
    { name: 'earliest warm soil', of: (row) => row.soil_10 ?? '99-99' },
    { name: 'hardiness', of: (row) => (row.hardiness ?? '').padStart(3, '0') },
];

/** Zones side by side, the longest season first; and which of them the record cannot tell apart. */
export function Comparison({ zones }: { zones: Zone[] }) {
    const { data } = useZoneComparison();
    const [order, setOrder] = useState(0);
    if (!data || data.rows.length < 2) return null;
    const settlements = (slug: string) =>
        zones
            .find((zone) => zone.slug === slug)
            ?.settlements.map((s) => s.name)
            .join(', ');
    const name = (slug: string) => zones.find((zone) => zone.slug === slug)?.name ?? slug;
    const by = ORDERS[order]?.of ?? (() => 0);
    const rows = [...data.rows].sort((a, b) => (by(a) < by(b) ? -1 : by(a) > by(b) ? 1 : 0));
    return (
        <section>
            <h2>Side by side</h2>
            <NativeSelect
                size="xs"
                label="Sorted by"
                w={200}
                value={String(order)}
                onChange={(event) => setOrder(Number(event.currentTarget.value))}
                data={ORDERS.map((o, i) => ({ value: String(i), label: o.name }))}
            />
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
                            No clear difference from
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
                    {rows.map((row) => (
                        <tr key={row.zone}>
                            <td>
                                <Link to={`/desk/zones/${row.zone}/record`}>{name(row.zone)}</Link>
                                <br />
                                <small className="hint">{settlements(row.zone)}</small>
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
                Freezes at 0 °C. Zones show no clear difference where the 90 % intervals of both average dates overlap:
                their gardeners may share a calendar, or need a longer record.
            </p>
        </section>
    );
}

function shown(date: MonthDay | null | undefined): string {
    return date ? inShort(date) : 'none';
}
