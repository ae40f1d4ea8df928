import { useRef } from 'react';
import { useCan } from '../../access/session';
import { ZoneOutlines } from '../../charts/ZoneOutlines';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { listed, say } from '../../words/words';
import { useBoundaries } from '../../api/zones';
import { useBringBoundaries } from './queries';

/** Boundaries of zones as outlines, and the file they are uploaded in. */
export function Boundaries({ district, zones }: { district: string; zones: string[] }) {
    const { data } = useBoundaries();
    if (!data) return null;
    return (
        <ZoneOutlines
            label={say('boundaries.map', { district })}
            zones={data
                .filter((zone) => zones.includes(zone.zone))
                .map((zone) => ({
                    ...zone,
                    key: zone.zone,
                    rings: zone.rings as [number, number][][],
                    href: `/desk/zones/${zone.zone}/planting-windows`,
                }))}
        />
    );
}

/** Uploads a GeoJSON file: the boundaries in it are saved, all or none. */
export function BringBoundaries() {
    const mayEdit = useCan('edit-zones');
    const { data } = useBoundaries();
    const bring = useBringBoundaries();
    const input = useRef<HTMLInputElement>(null);
    if (!mayEdit || !data) return null;
    const without = data.filter((zone) => zone.rings.length === 0).map((zone) => zone.name);
    return (
        <details>
            <summary>{say('boundaries.heading')}</summary>
            <p>
                {say('boundaries.what')} {without.length > 0 && say('boundaries.without', { zones: listed(without) })}{' '}
                <Action onClick={() => input.current?.click()}>{say('boundaries.bring')}</Action>
                <input
                    ref={input}
                    type="file"
                    accept=".geojson,.json"
                    aria-label={say('boundaries.bring')}
                    hidden
                    onChange={(event) => {
                        const file = event.currentTarget.files?.[0];
                        if (file) bring.mutate({ file, key: crypto.randomUUID() });
                        event.currentTarget.value = '';
                    }}
                />
            </p>
            <Problem error={bring.error} />
        </details>
    );
}
