import { ZoneOutlines } from '../../charts/ZoneOutlines';
import { say } from '../../words/words';
import type { Zone } from '../../api/client';
import { useBoundaries } from '../../api/zones';

/** Where the zones are, and where a frost is expected tonight. */
export function ZoneMap({ zones, frost }: { zones: Zone[]; frost: string[] }) {
    const { data } = useBoundaries();
    if (!data) return null;
    const frozen = data.filter((zone) => frost.includes(zone.zone));
    // Districts may be far from each other, so each has a map; a single zone needs none.
    const maps = [...new Set(zones.map((zone) => zone.district))]
        .map((district) => ({
            district,
            of: zones.filter((zone) => zone.district === district).map((zone) => zone.slug),
        }))
        .map(({ district, of }) => ({
            district,
            drawn: data.filter((zone) => of.includes(zone.zone) && zone.rings.length > 0),
        }))
        .filter(({ drawn }) => drawn.length > 1);
    if (maps.length === 0) return null;
    return (
        <>
            {maps.map(({ district, drawn }) => (
                <ZoneOutlines
                    key={district}
                    label={say('boundaries.map', { district })}
                    zones={drawn.map((zone) => ({
                        ...zone,
                        key: zone.zone,
                        rings: zone.rings as [number, number][][],
                        href: `/desk/zones/${zone.zone}/today`,
                        frost: frost.includes(zone.zone),
                    }))}
                />
            ))}
            <p className="hint">{say(frozen.length > 0 ? 'home.map-frost' : 'home.map-click')}</p>
        </>
    );
}
