import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { useCan } from '../../access/session';
import type { Zone } from '../../api/client';
import { useZones } from '../../api/zones';
import { dateInShort } from '../../time/days';
import { coordinates } from '../../words/place';
import { inMetres } from '../../words/units';
import { say } from '../../words/words';
import { Boundaries, BringBoundaries } from './Boundaries';
import { Comparison } from './Comparison';

const COLUMNS = 7;

/** All zones by district with the map beside them, and how they compare. */
export function Zones() {
    const mayEdit = useCan('edit-zones');
    const { data: zones } = useZones();
    if (!zones) return null;
    const districts = [...new Set(zones.map((zone) => zone.district))].sort();
    const of = (district: string) => zones.filter((zone) => zone.district === district);
    return (
        <main className="page zones">
            {zones.length === 0 && <p>{say('zones.there-is-no-zone-yet')}</p>}
            {zones.length > 0 && (
                <div className="beside-map">
                    <table className="ruled">
                        <thead>
                            <tr>
                                <th scope="col">{say('common.zone')}</th>
                                <th scope="col">{say('zones.place')}</th>
                                <th scope="col">{say('common.elevation')}</th>
                                <th scope="col">{say('zones.settlements')}</th>
                                <th scope="col">{say('common.record')}</th>
                                <th scope="col">{say('zones.current-edition')}</th>
                                <th scope="col">
                                    <span className="sr-only">{say('common.edit')}</span>
                                </th>
                            </tr>
                        </thead>
                        {districts.map((district) => (
                            <tbody key={district}>
                                <tr>
                                    <th scope="colgroup" colSpan={COLUMNS} className="district">
                                        {district}
                                    </th>
                                </tr>
                                {of(district).map((zone) => (
                                    <Row key={zone.slug} zone={zone} mayEdit={mayEdit} />
                                ))}
                            </tbody>
                        ))}
                    </table>
                    <aside>
                        {districts.map((district) => (
                            <Boundaries
                                key={district}
                                district={district}
                                zones={of(district).map((zone) => zone.slug)}
                            />
                        ))}
                        <BringBoundaries />
                    </aside>
                </div>
            )}
            {mayEdit && (
                <Button component={Link} to="/desk/zones/new">
                    {say('common.add-a-zone')}
                </Button>
            )}
            <Comparison zones={zones} />
        </main>
    );
}

function Row({ zone, mayEdit }: { zone: Zone; mayEdit: boolean }) {
    const { record, edition } = zone;
    return (
        <tr>
            <td>
                <Link to={`/desk/zones/${zone.slug}/${record ? 'planting-windows' : 'climate'}`}>{zone.name}</Link>
            </td>
            <td className="nowrap">{coordinates(zone.latitude, zone.longitude)}</td>
            <td className="nowrap">{say(inMetres(zone.height_m))}</td>
            <td>{zone.settlements.map((town) => town.name).join(', ')}</td>
            <td>
                {record
                    ? say('common.to', { first: record.first.slice(0, 4), last: dateInShort(record.last) })
                    : say('zones.none-yet-bring-a-station')}
            </td>
            <td>{edition ? `${edition.number}, ${dateInShort(edition.published_on)}` : say('common.none')}</td>
            <td>{mayEdit && <Link to={`/desk/zones/${zone.slug}/edit`}>{say('common.edit')}</Link>}</td>
        </tr>
    );
}
