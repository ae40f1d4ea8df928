const WIDTH = 560;
const MARGIN = 14;

export type OutlinedZone = {
    key: string;
    name: string;
    longitude: number;
    latitude: number;
    /** corners, longitude and latitude in degrees */
    rings: [number, number][][];
    href: string;
    /** whether a frost is expected there */
    frost?: boolean;
};

/** Zones as plain outlines, north up, with their names as links; those without a boundary are left out. */
export function ZoneOutlines({ zones, label }: { zones: OutlinedZone[]; label: string }) {
    const drawn = zones.filter((zone) => zone.rings.length > 0);
    // A single one has no neighbors to tell it from.
    if (drawn.length < 2) return null;
    const corners = drawn.flatMap((zone) => zone.rings.flat());
    const [west, east] = ends(corners.map(([longitude]) => longitude));
    const [south, north] = ends(corners.map(([, latitude]) => latitude));
    // A degree of longitude is shorter the farther from the equator.
    const squeeze = Math.cos((((south + north) / 2) * Math.PI) / 180);
    const scale = (WIDTH - 2 * MARGIN) / ((east - west) * squeeze || 1);
    const height = (north - south) * scale + 2 * MARGIN;
    const x = (longitude: number) => MARGIN + (longitude - west) * squeeze * scale;
    const y = (latitude: number) => MARGIN + (north - latitude) * scale;
    const corner = ([longitude, latitude]: [number, number]) => `${x(longitude).toFixed(1)} ${y(latitude).toFixed(1)}`;
    return (
        <svg className="chart outline" viewBox={`0 0 ${WIDTH} ${height.toFixed(0)}`} role="group" aria-label={label}>
            {drawn.map((zone) => (
                <path
                    key={zone.key}
                    className="ink"
                    d={zone.rings.map((ring) => `M${ring.map(corner).join('L')}Z`).join('')}
                />
            ))}
            {drawn.map((zone) => (
                <a key={zone.key} href={zone.href}>
                    <circle cx={x(zone.longitude)} cy={y(zone.latitude)} r="2.5" fill="var(--ink)" />
                    <text x={x(zone.longitude)} y={y(zone.latitude) - 7} textAnchor="middle">
                        {zone.name}
                    </text>
                    {zone.frost && (
                        <line
                            className="frost"
                            x1={x(zone.longitude) - 30}
                            x2={x(zone.longitude) + 30}
                            y1={y(zone.latitude) + 8}
                            y2={y(zone.latitude) + 8}
                        />
                    )}
                </a>
            ))}
        </svg>
    );
}

function ends(values: number[]): [number, number] {
    return [Math.min(...values), Math.max(...values)];
}
