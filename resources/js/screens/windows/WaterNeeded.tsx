import { useSession } from '../../access/session';
import { useState } from 'react';
import { groundName } from '../../words/grounds';
import { useGround } from '../../api/sites';
import { inWords } from '../../time/days';
import { WaterCaution } from '../../ui/WaterCaution';
import { RuledTable } from '../../ui/RuledTable';
import { MeasureInput } from '../../ui/MeasureInput';
import { fromUnits, inCentimetres, inLitres, ofRain, ofRow } from '../../words/units';
import { say, units } from '../../words/words';
import { useRestingDate, useSowingWater } from './queries';

/** A short row: 3 m, or 10 ft. */
const SHORT_ROW = { metric: 3, us: 10 };

/** The water that what is planted on the cursor's date needs, by kind of ground. */
export function WaterNeeded({
    zone,
    crop,
    route,
    day,
}: {
    zone: string;
    crop: string;
    route: 'direct' | 'transplant';
    day: number;
}) {
    const on = useRestingDate(day);
    const kind = useGround(undefined);
    const [row, setRow] = useState<number | ''>(() => fromUnits('m', SHORT_ROW[units()], units()));
    const { data: session } = useSession();
    const { data: water } = useSowingWater(zone, crop, route, on);
    if (water === undefined) return null;
    if (water === null) return <p className="hint">{say('water.none')}</p>;
    const usual = water.grounds.find((ground) => ground.ground === kind);
    return (
        <>
            <h3>{say('water.title')}</h3>
            <p className="hint">
                {water.years === 0
                    ? say('water.no-harvest')
                    : say('water.on', { day: inWords(on), years: water.years })}
            </p>
            {water.years > 0 && (
                <RuledTable
                    columns={[
                        say('common.ground'),
                        { number: say('water.waterings') },
                        { number: say('water.in-all') },
                    ]}
                    rows={water.grounds.map(({ ground, waterings, mm }) => [
                        ground,
                        groundName(ground),
                        between(waterings),
                        say(ofRain(mm[1] ?? 0)),
                    ])}
                />
            )}
            {usual && (
                <>
                    <p>
                        {say('water.week', {
                            week: ofRain(usual.week[1] ?? 0),
                            enough: water.enough,
                            years: water.years,
                        })}{' '}
                        {route === 'direct' && say('water.sprinkle', { times: Math.round(usual.sprinklings[1] ?? 0) })}
                    </p>
                    <MeasureInput measure="m" size="xs" label={say('water.row')} value={row} onChange={setRow} />
                    {row !== '' && row > 0 && (
                        <p>
                            {say('water.amount', {
                                ground: groundName(kind).toLowerCase(),
                                length: ofRow(row),
                                volume: inLitres(usual.litres_per_m * row),
                                apart: inCentimetres(water.row_cm),
                            })}
                        </p>
                    )}
                </>
            )}
            {session && <WaterCaution today={session.today} />}
        </>
    );
}

function between([low = 0, , high = 0]: number[]): string {
    const [from, to] = [Math.round(low), Math.round(high)];
    return from === to ? String(from) : say('water.to', { low: from, high: to });
}
