import { say } from '../../words/words';
import { useAddress } from './reading';
import type { HomeProps } from './props';

const WIDTH = 560;
const MARGIN = 14;

type Zone = HomeProps['zones'][number];

/** Zones of a district as plain lines, north up, with their names as links. */
export function Outline({ zones, district }: { zones: Zone[]; district: string }) {
    const address = useAddress();
    const drawn = zones.filter((zone) => zone.rings.length > 0);
    if (drawn.length === 0) return null;
    const corners = drawn.flatMap((zone) => zone.rings.flat());
    const [west, east] = ends(corners.map(([longitude]) => longitude));
    const [south, north] = ends(corners.map(([, latitude]) => latitude));
    // A degree of longitude is shorter the farther from the equator.
    const squeeze = Math.cos((((south + north) / 2) * Math.PI) / 180);
    const scale = (WIDTH - 2 * MARGIN) / ((east - west) * squeeze || 1);
    const height = (north - south) * scale + 2 * MARGIN;
    const x = (longitude: number) => MARGIN + (longitude - west) * squeeze * scale;
    const y = (latitude: number) => MARGIN + (north - latitude) * scale;
    return (
        <svg className="chart outline" viewBox={`0 0 ${WIDTH} ${height}`} role="group" aria-label={say('page.home.map', { district })}>
            {drawn.map((zone) => (
                <path
                    key={zone.slug}
                    className="ink"
                    d={zone.rings
                        .map((ring) => `M${ring.map(([lon, lat]) => `${x(lon).toFixed(1)} ${y(lat).toFixed(1)}`).join('L')}Z`)
                        .join('')}
                />
            ))}
            {drawn.map((zone) => (
                <a key={zone.slug} href={address(`/zones/${zone.slug}/this-week`)}>
                    <circle cx={x(zone.longitude)} cy={y(zone.latitude)} r="2.5" fill="var(--ink)" />
                    <text x={x(zone.longitude)} y={y(zone.latitude) - 7} textAnchor="middle" fontSize="14">
                        {zone.name}
                    </text>
                </a>
            ))}
        </svg>
    );
}

function ends(values: number[]): [number, number] {
    return [Math.min(...values), Math.max(...values)];
}
