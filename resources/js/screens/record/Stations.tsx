import { Action } from '../../ui/Action';
import { inMetres, toUnits } from '../../words/units';
import { MeasureInput } from '../../ui/MeasureInput';
import { labeled } from '../../ui/measure';
import { say, units } from '../../words/words';
import { Button, Checkbox, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Schema, Zone } from '../../api/client';
import { useSaveStations } from './queries';
import { datesInShort } from '../../time/days';
import { Problem } from '../../ui/Problem';

type Station = Schema['Station'];

/** The stations of a zone: the primary one, those that fill gaps after it, how each is adjusted, and what it supplies. */
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
            <h2>{say('stations.stations-in-the-order-they')}</h2>
            <p className="hint">{say('stations.where-the-first-has-no', { height: inMetres(zone.height_m) })}</p>
            <table className="ruled dense">
                <thead>
                    <tr>
                        <th scope="col">{say('common.station')}</th>
                        <th scope="col">{labeled(say('common.elevation'), 'elevation')}</th>
                        <th scope="col">{labeled(say('stations.lapse'), 'lapse')}</th>
                        <th scope="col">{say('stations.matched')}</th>
                        <th scope="col">{say('common.record')}</th>
                        <th scope="col">{labeled(say('stations.corrected-by'), 'celsius_more')}</th>
                        <th scope="col" className="number">
                            {say('stations.minima-maxima-given')}
                        </th>
                        <th scope="col">
                            <span className="sr-only">{say('stations.order')}</span>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {stations.map((station, i) => (
                        <Row
                            key={station.id}
                            {...{ station, i, mayEdit, alone }}
                            stationCount={stations.length}
                            onChange={(values) => change(i, values)}
                            onUp={() => move(i, -1)}
                            onSetAside={() => setEdited(stations.filter((_, j) => j !== i))}
                        />
                    ))}
                </tbody>
            </table>
            {data.set_aside.length > 0 && edited === null && (
                <p>
                    {say('stations.set-aside-2')}{' '}
                    {data.set_aside.map((station) => (
                        <span key={station.id}>
                            {station.name}
                            {mayEdit && (
                                <>
                                    {' '}
                                    <Action onClick={() => setEdited([...stations, station])}>
                                        {say('stations.use-again')}
                                    </Action>
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
                        {say('common.save-and-compute')}
                    </Button>
                    <Button size="xs" variant="subtle" color="gray" onClick={() => setEdited(null)}>
                        {say('common.cancel')}
                    </Button>
                </Group>
            )}
            <Problem error={save.error} />
            <p>
                {data.filled_in.length > 0 && (
                    <>
                        {say('stations.filled-in', {
                            filled_in: fillings(data.filled_in.slice(0, 6)),
                            filled_in_count:
                                data.filled_in_count > 6 &&
                                say('stations.and-more-spans', { filled_in_count: data.filled_in_count - 6 }),
                        })}{' '}
                    </>
                )}
                <a href={`/desk-files/zones/${zone.slug}/record.csv`} download>
                    {say('stations.every-day-with-the-station')}
                </a>
            </p>
        </section>
    );
}

/** A station, edited in place by those who may. */
function Row({
    station,
    i,
    mayEdit,
    alone,
    stationCount,
    onChange,
    onUp,
    onSetAside,
}: {
    station: Station;
    i: number;
    mayEdit: boolean;
    alone: boolean;
    stationCount: number;
    onChange: (values: Partial<Station>) => void;
    onUp: () => void;
    onSetAside: () => void;
}) {
    return (
        <tr>
            <td>
                {mayEdit ? (
                    <TextInput
                        size="xs"
                        aria-label={say('stations.name-of-station', { i: i + 1 })}
                        value={station.name}
                        onChange={(event) => onChange({ name: event.currentTarget.value })}
                    />
                ) : (
                    station.name
                )}
            </td>
            <td>
                {mayEdit ? (
                    <MeasureInput
                        measure="elevation"
                        size="xs"
                        w={84}
                        aria-label={say('stations.height-of-station', { i: i + 1 })}
                        placeholder={say('stations.as-zone')}
                        allowDecimal={false}
                        value={station.height_m ?? ''}
                        onChange={(height) => onChange({ height_m: height === '' ? null : Math.round(height) })}
                    />
                ) : station.height_m === null ? (
                    say('stations.as-zone')
                ) : (
                    say(inMetres(station.height_m))
                )}
            </td>
            <td>
                {mayEdit ? (
                    <MeasureInput
                        measure="lapse"
                        size="xs"
                        w={84}
                        aria-label={say('stations.lapse-of', { i: i + 1 })}
                        step={0.05}
                        decimalScale={2}
                        value={Math.round(station.lapse * 1e6) / 1e4}
                        onChange={(lapse) => lapse !== '' && onChange({ lapse: lapse / 100 })}
                    />
                ) : (
                    say('measure.lapse', { lapse: Math.round(station.lapse * 10000) / 100 })
                )}
            </td>
            <td>
                {i === 0 ? (
                    say('stations.primary')
                ) : !mayEdit ? (
                    station.matched ? (
                        say('stations.yes')
                    ) : (
                        say('stations.no')
                    )
                ) : (
                    <Checkbox
                        size="xs"
                        aria-label={say('stations.match', { i: i + 1 })}
                        checked={station.matched}
                        onChange={(event) => onChange({ matched: event.currentTarget.checked })}
                    />
                )}
            </td>
            <td>
                {station.first && station.last ? datesInShort(station.first, station.last) : say('stations.none-yet')}
            </td>
            <td>{station.fit && corrections(station.fit, i)}</td>
            <td className="number">{station.fit && `${station.fit.minima}, ${station.fit.maxima}`}</td>
            <td>
                {mayEdit && !alone && (
                    <Group gap={10} wrap="nowrap">
                        {i > 0 && <Action onClick={() => onUp()}>{say('stations.up')}</Action>}
                        {stationCount > 1 && <Action onClick={() => onSetAside()}>{say('stations.set-aside')}</Action>}
                    </Group>
                )}
            </td>
        </tr>
    );
}

/** "from Packing Shed Sep 13, 2004 to Sep 20, 2004, Oct 9, 2008; from Ferry Landing Jan 2, 2011". */
function fillings(spans: Schema['Stations']['filled_in']): string {
    const by = new Map<string, string[]>();
    for (const span of spans) by.set(span.station, [...(by.get(span.station) ?? []), datesInShort(span.from, span.to)]);
    return [...by].map(([station, dates]) => say('stations.from', { station, dates: dates.join(', ') })).join('; ');
}

function corrections(fit: NonNullable<Station['fit']>, i: number): string {
    const signed = (value: number) =>
        `${value < 0 ? '−' : '+'}${Math.abs(toUnits('celsius_more', value, units())).toFixed(1)}`;
    const height =
        fit.height === 0
            ? say('stations.nothing-for-height')
            : say('stations.for-height', { height: signed(fit.height) });
    if (i === 0) return height;
    if (fit.minimum_bias === null || fit.maximum_bias === null)
        return say('stations.days-shared-no-bias', { height, overlap: fit.overlap });
    return say('stations.and-from-days-shared', {
        height,
        minimum_bias: signed(fit.minimum_bias),
        maximum_bias: signed(fit.maximum_bias),
        overlap: fit.overlap,
    });
}
