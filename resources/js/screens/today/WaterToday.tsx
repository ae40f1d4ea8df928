import type { Schema } from '../../api/client';
import { useWaterDue, useWriteLine } from '../../api/log';
import { daysBetween, inShort, monthDayOf } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { WaterCaution } from '../../ui/WaterCaution';
import { inLitres, ofRain } from '../../words/units';
import { say } from '../../words/words';

type Bed = Schema['BedWater'];
type Sowing = Bed['sowings'][number];

/** Which beds need water, today and in the next days; one click logs a bed as watered. */
export function WaterToday({ zone, today }: { zone: string; today: string }) {
    const { data } = useWaterDue(zone);
    const write = useWriteLine(zone);
    if (!data || data.length === 0) return null;
    const watered = ({ garden, name }: Schema['Bed']) => {
        if (!write.isPending) write.mutate({ act: 'watered', on: today, garden, bed: name });
    };
    return (
        <section className="water-today">
            <h3>{say('water-today.heading')}</h3>
            <p className="hint">{say('water-today.hint')}</p>
            <Problem error={write.error} />
            <table className="ruled dense">
                <thead>
                    <tr>
                        {['bed', 'crop', 'when', 'amount', 'logged'].map((column) => (
                            <th key={column} scope="col">
                                {say(`water-today.column-${column}`)}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {data.map(({ bed, last, sowings }) =>
                        sowings.map((sowing, i) => (
                            <tr key={sowing.key}>
                                <td>{i === 0 && (bed ? bed.name : say('water-today.no-bed'))}</td>
                                <th scope="row">{[sowing.name, sowing.variety].filter(Boolean).join(' ')}</th>
                                <td>{when(sowing, today)}</td>
                                <td>{amount(sowing)}</td>
                                <td>
                                    {i === 0 && (last ? inShort(monthDayOf(last)) : say('water-today.never'))}{' '}
                                    {i === 0 && bed && last !== today && (
                                        <Action
                                            name={say('water-today.watered-bed', { bed: bed.name })}
                                            onClick={() => watered(bed)}
                                        >
                                            {say('water-today.watered')}
                                        </Action>
                                    )}
                                </td>
                            </tr>
                        )),
                    )}
                </tbody>
            </table>
            <WaterCaution today={today} />
        </section>
    );
}

function when({ water }: Sowing, today: string): string {
    const rained = water.rained && say('water-today.rained', { day: inShort(monthDayOf(water.rained)) });
    const split = water.now > 0 && water.now < water.of && say('water-today.split', { now: water.now, of: water.of });
    const seedbed = !water.up && say('water-today.seedbed');
    return [due(water, today), split, rained, seedbed].filter(Boolean).join('. ');
}

function due({ day, since }: Sowing['water'], today: string): string {
    if (day === null) return say('water-today.not-soon');
    if (day > today) {
        return say('water-today.due-in', { days: daysBetween(today, day), day: inShort(monthDayOf(day)) });
    }
    return since ? say('water-today.due-since', { since: inShort(monthDayOf(since)) }) : say('water-today.due');
}

function amount({ water, litres }: Sowing): string {
    if (water.day === null) return '';
    return litres === null
        ? say(ofRain(water.mm))
        : say('water-today.amount-row', { rain: ofRain(water.mm), volume: inLitres(litres) });
}
