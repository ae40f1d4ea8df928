import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { asMeasured, useSaveSite, useSites } from '../../api/sites';
import { useCan, useSession } from '../../access/session';
import { dateInShort, dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { CollapsedList } from '../../ui/CollapsedList';
import { Problem } from '../../ui/Problem';
import { asRead, inCelsius, inCentimetres, moreCelsius } from '../../words/units';
import { say } from '../../words/words';
import { useSpotCalibration, useWithdrawReading, type Spot } from './queries';

/** Readings listed before the full table. */
const LISTED = 4;

/**
 * One spot: its latest reading compared with the model and with normal, what you can sow, and what all its readings say about the model.
 */
export function SpotCard({
    zone,
    spot,
    mark,
    today,
    chosen,
    onChoose,
}: {
    zone: string;
    spot: Spot;
    mark: string;
    today: string;
    chosen: boolean;
    onChoose: () => void;
}) {
    const [asked, setAsked] = useState(false);
    const counted = spot.readings.filter((reading) => !reading.withdrawn).length;
    return (
        <section className={chosen ? 'spot chosen' : 'spot'}>
            <h3>
                <span className="spot-mark">{mark}</span>{' '}
                <button type="button" className="plain" aria-pressed={chosen} onClick={onChoose}>
                    {spot.name}
                </button>{' '}
                <small>{spot.site?.name ?? say('soil.open-ground')}</small>
            </h3>
            <Now spot={spot} today={today} />
            <List zone={zone} spot={spot} />
            {counted > 0 &&
                (asked ? (
                    <Calibrated zone={zone} spot={spot} />
                ) : (
                    <p>
                        <Action onClick={() => setAsked(true)}>{say('soil.calibrate', { readings: counted })}</Action>
                    </p>
                ))}
        </section>
    );
}

function Now({ spot, today }: { spot: Spot; today: string }) {
    const { now } = spot;
    if (!now) return <p>{say(spot.readings.length === 0 ? 'soil.nothing-read-yet' : 'soil.day-not-on-record')}</p>;
    const words = (warm: boolean) => [
        ...new Set(
            spot.open
                .filter((crop) => crop.warm_enough === warm)
                .map((crop) => say('soil.crop-asks', { crop: crop.name, soil: inCelsius(crop.soil_min) })),
        ),
    ];
    const [opens, closes] = [words(true), words(false)];
    return (
        <>
            <p>
                {say('soil.now', {
                    celsius: inCelsius(now.celsius),
                    day: now.on === today ? say('soil.today') : dateInWords(now.on),
                    mean: inCelsius(now.reading),
                    model: inCelsius(now.model),
                    usual: inCelsius(now.usual),
                })}
            </p>
            {opens.length > 0 && (
                <p>
                    {say('soil.opens')} <CollapsedList items={opens} />
                </p>
            )}
            {closes.length > 0 && (
                <p>
                    {say('soil.closes')} <CollapsedList items={closes} />
                </p>
            )}
        </>
    );
}

function List({ zone, spot }: { zone: string; spot: Spot }) {
    const withdraw = useWithdrawReading(zone);
    const mayEdit = useCan('edit-sites');
    const me = useSession().data?.user?.name;
    if (spot.readings.length === 0) return null;
    return (
        <>
            <table className="ruled dense">
                <tbody>
                    {spot.readings.slice(0, LISTED).map((reading) => (
                        <tr key={reading.id} className={reading.withdrawn ? 'withdrawn' : undefined}>
                            <td className="nowrap">{dateInShort(reading.on)}</td>
                            <td className="number nowrap">{clock(reading.hour)}</td>
                            <td className="number nowrap">{say(inCentimetres(Math.round(reading.depth * 100)))}</td>
                            <td className="number nowrap">
                                {reading.within === null
                                    ? say(asRead(reading.celsius))
                                    : say('soil.within', {
                                          celsius: asRead(reading.celsius),
                                          within: moreCelsius(Math.max(0.1, Math.round(10 * reading.within) / 10)),
                                      })}
                            </td>
                            <td>{say(`soil.source-${reading.source}`)}</td>
                            <td>
                                {reading.withdrawn
                                    ? say('soil.withdrawn')
                                    : (mayEdit || reading.author === me) && (
                                          <Action onClick={() => withdraw.mutate(reading.id)}>
                                              {say('soil.withdraw')}
                                          </Action>
                                      )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <Problem error={withdraw.error} />
        </>
    );
}

/** "9:30" */
function clock(hour: number): string {
    const minutes = Math.round(hour * 60);
    return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}

/** What the readings of a spot say about the model; it can be saved as a site of the zone. */
function Calibrated({ zone, spot }: { zone: string; spot: Spot }) {
    const { data: found, error } = useSpotCalibration(spot.id, true);
    const { data: sites } = useSites();
    const mayEdit = useCan('edit-sites');
    const [name, setName] = useState(spot.name);
    const save = useSaveSite();
    if (!found) return error ? <Problem error={error} /> : <p>{say('soil.looking')}</p>;
    const there = (sites ?? []).find((site) => site.name === name && (site.zone === null || site.zone === zone));
    const keep = () =>
        save.mutate(
            asMeasured(found, zone, name, say('soil.from-readings-here', { used: found.used, spot: spot.name })),
        );
    return (
        <>
            <p>
                {say('soil.calibrated', {
                    used: found.used,
                    offset: moreCelsius(Math.round(10 * found.offset) / 10),
                    before: moreCelsius(Math.round(10 * found.error_before) / 10),
                    after: moreCelsius(Math.round(10 * found.error_after) / 10),
                })}
            </p>
            {save.isSuccess ? (
                <p role="status">{say('readings.kept-as-the-zone-is', { name: save.data.name })}</p>
            ) : (
                mayEdit && (
                    <form
                        className="inline"
                        onSubmit={(event) => {
                            event.preventDefault();
                            keep();
                        }}
                    >
                        <TextInput
                            size="xs"
                            label={say('soil.keep-as-site')}
                            value={name}
                            onChange={(event) => setName(event.currentTarget.value)}
                            error={there && say('soil.site-there-already')}
                        />
                        <Button size="xs" type="submit" disabled={!name.trim() || !!there} loading={save.isPending}>
                            {say('soil.keep')}
                        </Button>
                    </form>
                )
            )}
            <Problem error={save.error} />
        </>
    );
}
