import { useState } from 'react';
import { useParams } from 'react-router';
import { useSoil } from '../../api/soil';
import { DataTable } from '../../charts/DataTable';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { SpotCard } from './SpotCard';
import { letter, SpotPlot } from './SpotPlot';
import { TakeReading } from './TakeReading';

/** Measured soil: a reading with the timer, the spots side by side, and how they compare with the model and with normal. */
export function Soil() {
    const { zone = '' } = useParams();
    const { data, error } = useSoil(zone);
    const [chosen, setChosen] = useState<number>();
    if (!data) {
        return <main className="page">{error ? <Problem error={error} /> : <p>{say('soil.looking')}</p>}</main>;
    }
    const spot = data.spots.find((one) => one.id === chosen) ?? data.spots[0];
    return (
        <div className="windows soil">
            <main className="sheet">
                <h2>{say('soil.spots')}</h2>
                <p className="hint">{say('soil.how-to-measure')}</p>
                {data.spots.length === 0 ? (
                    <p>{say('soil.no-spot-yet')}</p>
                ) : (
                    <>
                        {data.days && <SpotPlot data={data} days={data.days} />}
                        <div className="spots">
                            {data.spots.map((one, i) => (
                                <SpotCard
                                    key={one.id}
                                    zone={zone}
                                    spot={one}
                                    mark={letter(i)}
                                    today={data.today}
                                    chosen={one === spot}
                                    onChoose={() => setChosen(one.id)}
                                />
                            ))}
                        </div>
                        <DataTable
                            name={say('soil.readings')}
                            file={`${zone}-soil`}
                            columns={[
                                say('soil.column-spot'),
                                say('soil.column-on'),
                                say('soil.column-hour'),
                                { name: say('soil.column-depth'), measure: 'cm' },
                                { name: say('soil.column-celsius'), measure: 'celsius' },
                                { name: say('soil.column-within'), measure: 'celsius_more' },
                                say('soil.column-by'),
                                say('soil.column-state'),
                            ]}
                            rows={() =>
                                data.spots.flatMap((one) =>
                                    one.readings.map((reading) => [
                                        one.name,
                                        reading.on,
                                        reading.hour,
                                        100 * reading.depth,
                                        reading.celsius,
                                        reading.within,
                                        reading.author,
                                        say(reading.withdrawn ? 'soil.withdrawn' : `soil.source-${reading.source}`),
                                    ]),
                                )
                            }
                        />
                    </>
                )}
            </main>
            <aside aria-label={say('soil.take-a-reading')}>
                <TakeReading key={spot?.id} zone={zone} data={data} spot={spot} onSpot={setChosen} />
            </aside>
        </div>
    );
}
