import type { Schema } from '../../api/client';
import { inShort } from '../../time/days';
import { ofRain } from '../../words/units';
import { say } from '../../words/words';
import type { Route } from './props';

type Water = Schema['SowingWater'];

/** Kinds of ground in a calendar. */
const GROUNDS = ['sand', 'loam', 'clay'];

/** How often a crop had to be watered in each of its windows, how much, and how to keep seedbeds moist. */
export function CropWater({ routes }: { routes: Route[] }) {
    const planted = routes.flatMap((route) =>
        (route.evidence ?? []).flatMap(({ best, water }) => (water ? { route, best, water } : [])),
    );
    const [first] = planted;
    if (!first) return null;
    return (
        <section className="crop-water">
            <h2>{say('page.crop.water')}</h2>
            <p>{say('page.crop.water-how')}</p>
            <table className="ruled">
                <thead>
                    <tr>
                        <th scope="col">{say('page.crop.water-column')}</th>
                        {GROUNDS.map((ground) => (
                            <th key={ground} scope="col" className="number">
                                {say(`page.crop.water-${ground}`)}
                            </th>
                        ))}
                        <th scope="col" className="number">
                            {say('page.crop.water-in-all')}
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {planted.map(({ route, best, water }) => (
                        <tr key={`${route.route} ${best}`}>
                            <th scope="row">
                                {say('page.crop.water-planted', {
                                    act: say(`act.${route.act}.lead`),
                                    day: inShort(best),
                                })}
                            </th>
                            {GROUNDS.map((ground) => (
                                <td key={ground} className="number">
                                    {times(water, ground)}
                                </td>
                            ))}
                            <td className="number">{say(ofRain(on(water, 'loam')?.mm[1] ?? 0))}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p>
                {say('page.crop.water-week', {
                    week: ofRain(on(first.water, 'loam')?.week[1] ?? 0),
                    enough: first.water.enough,
                    years: first.water.years,
                })}{' '}
                {first.route.route === 'direct' && sprinkled(first.water)}
            </p>
            <p>{say('page.crop.water-care')}</p>
        </section>
    );
}

const on = (water: Water, ground: string) => water.grounds.find((one) => one.ground === ground);

function times(water: Water, ground: string): string {
    const [low = 0, , high = 0] = (on(water, ground)?.waterings ?? []).map(Math.round);
    return low === high ? say('number', { number: low }) : say('page.crop.water-between', { low, high });
}

function sprinkled(water: Water): string {
    const times = Math.round(on(water, 'loam')?.sprinklings[1] ?? 0);
    return times === 0 ? say('page.crop.water-no-sprinkle') : say('page.crop.water-sprinkle', { times });
}
