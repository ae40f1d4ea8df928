import { say } from '../../words/words';
import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useZoneToBegin } from '../../access/session';
import type { Schema, Zone } from '../../api/client';
import { useZoneComparison } from './queries';
import { inShort, type MonthDay } from '../../time/days';

type Row = Schema['ComparedZone'];

/** What is not known sorts last. */
const ORDERS: { name: string; of: (row: Row) => number | string }[] = [
    { name: say('comparison.longest-season'), of: (row) => -(row.free_days ?? 365) },
    { name: say('comparison.earliest-last-freeze'), of: (row) => row.last[0] ?? '00-00' },
    { name: say('comparison.most-hot-days'), of: (row) => -(row.hot_days ?? 0) },
    { name: say('comparison.earliest-warm-soil'), of: (row) => row.soil_10 ?? '99-99' },
    { name: say('comparison.hardiness'), of: (row) => (row.hardiness ?? '').padStart(3, '0') },
];

/** Zones side by side, longest season first; and which of them the record cannot tell apart. */
export function Comparison({ zones }: { zones: Zone[] }) {
    const { data } = useZoneComparison();
    const own = useZoneToBegin(zones);
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
            <h2>{say('comparison.side-by-side')}</h2>
            <NativeSelect
                size="xs"
                label={say('comparison.sorted-by')}
                w={200}
                value={String(order)}
                onChange={(event) => setOrder(Number(event.currentTarget.value))}
                data={ORDERS.map((o, i) => ({ value: String(i), label: o.name }))}
            />
            <table className="ruled">
                <thead>
                    <tr>
                        <th rowSpan={2} scope="col">
                            {say('common.zone')}
                        </th>
                        <th colSpan={2} scope="colgroup">
                            {say('common.last-freeze-later-in')}
                        </th>
                        <th colSpan={2} scope="colgroup">
                            {say('common.first-freeze-earlier-in')}
                        </th>
                        <th rowSpan={2} scope="col" className="number">
                            {say('comparison.days-between')}
                        </th>
                        <th rowSpan={2} scope="col" className="number">
                            {say('comparison.days-of-30-c')}
                        </th>
                        <th rowSpan={2} scope="col">
                            {say('comparison.soil-holds-10-c')}
                        </th>
                        <th rowSpan={2} scope="col">
                            {say('comparison.hardiness')}
                        </th>
                        <th rowSpan={2} scope="col">
                            {say('comparison.no-clear-difference-from')}
                        </th>
                    </tr>
                    <tr>
                        {[
                            say('comparison.1-in-2'),
                            say('comparison.1-in-5'),
                            say('comparison.1-in-2'),
                            say('comparison.1-in-5'),
                        ].map((risk, i) => (
                            <th scope="col" key={i}>
                                {risk}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.zone} aria-current={row.zone === own ? 'true' : undefined}>
                            <td>
                                <Link to={`/desk/zones/${row.zone}/climate`}>{name(row.zone)}</Link>
                                <br />
                                <small className="hint">{settlements(row.zone)}</small>
                            </td>
                            {[row.last[0], row.last[1], row.first[0], row.first[1]].map((date, i) => (
                                <td key={i}>{shown(date)}</td>
                            ))}
                            <td className="number">{row.free_days ?? say('common.all')}</td>
                            <td className="number">{row.hot_days ?? ''}</td>
                            <td>{row.soil_10 === null ? say('common.not-reached') : inShort(row.soil_10)}</td>
                            <td>{row.hardiness}</td>
                            <td>{row.like.map(name).join(', ')}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="hint">{say('comparison.freezes-at-0-c-zones')}</p>
        </section>
    );
}

function shown(date: MonthDay | null | undefined): string {
    return date ? inShort(date) : say('common.none');
}
