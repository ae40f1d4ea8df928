import { withMinus } from '../../words/words';
import { Button, Checkbox, Group, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Schema, Zone } from '../../api/client';
import { useSaveStations } from './queries';
import { datesInShort } from '../../time/days';
import { Problem } from '../../ui/Problem';

type Station = Schema['Station'];

/** The stations of a zone: the primary one, those that fill in after it, what each is corrected by and gives. */
export function Stations({
    zone,
    data,
    mayEdit,
    onComputing,
}: {
    zone: Zone;
    data: Schema['Stations'];
    mayEdit: boolean;
    onComputing: (computation: number) => void;
}) {
    const [edited, setEdited] = useState<Station[] | null>(null);
    const save = useSaveStations(zone.slug, onComputing);
    const stations = edited ?? data.stations;
    const change = (i: number, values: Partial<Station>) =>
        setEdited(stations.map((station, j) => (i === j ? { ...station, ...values } : station)));
    const move = (i: number, by: number) => {
        const next = [...stations];
        const [taken] = next.splice(i, 1);
        if (taken) next.splice(i + by, 0, taken);
        setEdited(next);
    };
    const alone = stations.length === 1 && data.set_aside.length === 0;
    return (
        <section>
            <h2>Stations, in the order they are asked</h2>
            <p className="hint">
                Where the first has no value the next gives one, brought to the zone’s height ({zone.height_m} m) and,
                from the days they share, to the level of the stations before it.
            </p>
            <table className="ruled dense">
                <thead>
                    <tr>
                        <th scope="col">Station</th>
                        <th scope="col">Height, m</th>
                        <th scope="col">°C per 100 m</th>
                        <th scope="col">Matched</th>
                        <th scope="col">Record</th>
                        <th scope="col">Corrected by, °C</th>
                        <th scope="col" className="number">
                            Minima, maxima given
                        </th>
                        <th scope="col">
                            <span className="sr-only">Order</span>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {stations.map((station, i) => (
                        <tr key={station.id}>
                            <td>
                                {mayEdit ? (
                                    <TextInput
                                        size="xs"
                                        aria-label={`Name of station ${i + 1}`}
                                        value={station.name}
                                        onChange={(event) => change(i, { name: event.currentTarget.value })}
                                    />
                                ) : (
                                    station.name
                                )}
                            </td>
                            <td>
                                {mayEdit ? (
                                    <NumberInput
                                        size="xs"
                                        w={84}
                                        aria-label={`Height of station ${i + 1}`}
                                        placeholder="as zone"
                                        allowDecimal={false}
                                        value={station.height_m ?? ''}
                                        onChange={(height) =>
                                            change(i, { height_m: typeof height === 'number' ? height : null })
                                        }
                                    />
                                ) : (
                                    (station.height_m ?? 'as zone')
                                )}
                            </td>
                            <td>
                                {mayEdit ? (
                                    <NumberInput
                                        size="xs"
                                        w={84}
                                        aria-label={`Temperature per 100 m of station ${i + 1}`}
                                        step={0.05}
                                        decimalScale={2}
                                        value={Math.round(station.lapse * 10000) / 100}
                                        onChange={(lapse) =>
                                            typeof lapse === 'number' && change(i, { lapse: lapse / 100 })
                                        }
                                    />
                                ) : (
                                    withMinus(String(Math.round(station.lapse * 10000) / 100))
                                )}
                            </td>
                            <td>
                                {i === 0 ? (
                                    'primary'
                                ) : !mayEdit ? (
                                    station.matched ? (
                                        'yes'
                                    ) : (
                                        'no'
                                    )
                                ) : (
                                    <Checkbox
                                        size="xs"
                                        aria-label={`Match station ${i + 1} to those before it`}
                                        checked={station.matched}
                                        onChange={(event) => change(i, { matched: event.currentTarget.checked })}
                                    />
                                )}
                            </td>
                            <td>
                                {station.first && station.last ? datesInShort(station.first, station.last) : 'none yet'}
                            </td>
                            <td>{station.fit && corrections(station.fit, i)}</td>
                            <td className="number">{station.fit && `${station.fit.minima}, ${station.fit.maxima}`}</td>
                            <td>
                                {mayEdit && !alone && (
                                    <Group gap={10} wrap="nowrap">
                                        {i > 0 && (
                                            <button type="button" className="plain" onClick={() => move(i, -1)}>
                                                up
                                            </button>
                                        )}
                                        {stations.length > 1 && (
                                            <button
                                                type="button"
                                                className="plain"
                                                onClick={() => setEdited(stations.filter((_, j) => j !== i))}
                                            >
                                                set aside
                                            </button>
                                        )}
                                    </Group>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {data.set_aside.length > 0 && edited === null && (
                <p>
                    Set aside:{' '}
                    {data.set_aside.map((station) => (
                        <span key={station.id}>
                            {station.name}
                            {mayEdit && (
                                <>
                                    {' '}
                                    <button
                                        type="button"
                                        className="plain"
                                        onClick={() => setEdited([...stations, station])}
                                    >
                                        use again
                                    </button>
                                </>
                            )}{' '}
                        </span>
                    ))}
                </p>
            )}
            {edited && (
                <Group mt="sm">
                    <Button
                        size="xs"
                        loading={save.isPending}
                        onClick={() =>
                            save.mutate(
                                { stations: edited, version: data.version },
                                { onSuccess: () => setEdited(null) },
                            )
                        }
                    >
                        Save and compute
                    </Button>
                    <Button size="xs" variant="subtle" color="gray" onClick={() => setEdited(null)}>
                        Cancel
                    </Button>
                </Group>
            )}
            <Problem error={save.error} />
            <p>
                {data.filled_in.length > 0 && (
                    <>
                        Filled in: {fillings(data.filled_in.slice(0, 6))}
                        {data.filled_in_count > 6 && `; and ${data.filled_in_count - 6} more spans`}.{' '}
                    </>
                )}
                <a href={`/desk-files/zones/${zone.slug}/record.csv`} download>
                    Every day with the station it came from (CSV)
                </a>
            </p>
        </section>
    );
}

/** "from Packing Shed 13 Sep 2004 to 20 Sep 2004, 9 Oct 2008; from Ferry Landing 2 Jan 2011". */
function fillings(spans: Schema['Stations']['filled_in']): string {
    const by = new Map<string, string[]>();
    for (const span of spans) by.set(span.station, [...(by.get(span.station) ?? []), datesInShort(span.from, span.to)]);
    return [...by].map(([station, dates]) => `from ${station} ${dates.join(', ')}`).join('; ');
}

function corrections(fit: NonNullable<Station['fit']>, i: number): string {
    const signed = (value: number) => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`;
    const height = fit.height === 0 ? 'nothing for height' : `${signed(fit.height)} for height`;
    if (i === 0) return height;
    if (fit.minimum_bias === null || fit.maximum_bias === null) return `${height}; ${fit.overlap} days shared, no bias`;
    return `${height}; ${signed(fit.minimum_bias)} and ${signed(fit.maximum_bias)} from ${fit.overlap} days shared`;
}
