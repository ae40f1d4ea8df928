import { say } from '../../words/words';
import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { coordinates } from '../../words/place';
import { inMetres } from '../../words/units';
import { useCan } from '../../access/session';
import { useZones } from '../../api/zones';
import { dateInWords } from '../../time/days';
import { Boundaries, BringBoundaries } from './Boundaries';
import { Comparison } from './Comparison';

export function Zones() {
    const mayEdit = useCan('edit-zones');
    const { data: zones } = useZones();
    if (!zones) return null;
    const districts = [...new Set(zones.map((zone) => zone.district))].sort();
    return (
        <main className="page">
            {zones.length === 0 && <p>{say('zones.there-is-no-zone-yet')}</p>}
            {districts.map((district) => (
                <section key={district}>
                    <h2>{district}</h2>
                    <table className="ruled">
                        <colgroup>
                            <col style={{ width: '17%' }} />
                            <col style={{ width: '15%' }} />
                            <col style={{ width: '24%' }} />
                            <col style={{ width: '22%' }} />
                            <col style={{ width: '16%' }} />
                            <col />
                        </colgroup>
                        <thead>
                            <tr>
                                <th scope="col">{say('common.zone')}</th>
                                <th scope="col">{say('zones.place')}</th>
                                <th scope="col">{say('zones.settlements')}</th>
                                <th scope="col">{say('common.record')}</th>
                                <th scope="col">{say('zones.current-edition')}</th>
                                <th scope="col">
                                    <span className="sr-only">{say('common.edit')}</span>
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {zones
                                .filter((zone) => zone.district === district)
                                .map((zone) => (
                                    <tr key={zone.slug}>
                                        <td>
                                            <Link
                                                to={`/desk/zones/${zone.slug}/${zone.record ? 'planting-windows' : 'climate'}`}
                                            >
                                                {zone.name}
                                            </Link>
                                        </td>
                                        <td>
                                            {coordinates(zone.latitude, zone.longitude)}, {say(inMetres(zone.height_m))}
                                        </td>
                                        <td>{zone.settlements.map((s) => s.name).join(', ')}</td>
                                        <td>
                                            {zone.record
                                                ? say('common.to', {
                                                      first: zone.record.first.slice(0, 4),
                                                      last: dateInWords(zone.record.last),
                                                  })
                                                : say('zones.none-yet-bring-a-station')}
                                        </td>
                                        <td>
                                            {zone.edition
                                                ? `${zone.edition.number}, ${dateInWords(zone.edition.published_on)}`
                                                : say('common.none')}
                                        </td>
                                        <td>
                                            {mayEdit && (
                                                <Link to={`/desk/zones/${zone.slug}/edit`}>{say('common.edit')}</Link>
                                            )}
                                        </td>
                                    </tr>
                                ))}
                        </tbody>
                    </table>
                    <Boundaries
                        district={district}
                        zones={zones.filter((zone) => zone.district === district).map((zone) => zone.slug)}
                    />
                </section>
            ))}
            <BringBoundaries />
            {mayEdit && (
                <Button component={Link} to="/desk/zones/new" mt="lg">
                    {say('common.add-a-zone')}
                </Button>
            )}
            <Comparison zones={zones} />
        </main>
    );
}
