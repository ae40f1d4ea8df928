import { useSoil } from '../../api/soil';
import { dateInWords } from '../../time/days';
import { inCelsius } from '../../words/units';
import { say } from '../../words/words';
import type { SeasonAct, TodayData } from './queries';

/** Recent readings compared with the soil a task needs: soil decides, not the calendar. */
export function Measured({ zone, data, act }: { zone: string; data: TodayData; act: SeasonAct }) {
    const { data: soil } = useSoil(zone);
    const asked = act.soil_min;
    // Starting indoors has its own soil.
    if (data.by !== 'season' || asked === null || act.set_out_after > 0 || !soil) return null;
    const spots = soil.spots.filter((spot) => spot.now);
    return (
        <>
            <h3>{say('today.soil-measured')}</h3>
            <p>{say('today.asks-for-soil', { soil: inCelsius(asked) })}</p>
            {spots.length === 0 && <p className="hint">{say('today.nothing-measured')}</p>}
            {spots.map(
                ({ id, name, now }) =>
                    now && (
                        <p key={id}>
                            {say(now.reading >= asked ? 'today.warm-enough-at' : 'today.too-cold-at', {
                                spot: name,
                                soil: inCelsius(now.reading),
                                day: dateInWords(now.on),
                            })}
                        </p>
                    ),
            )}
        </>
    );
}
