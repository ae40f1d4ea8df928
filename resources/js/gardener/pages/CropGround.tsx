import { inShort } from '../../time/days';
import { cutInWords } from '../../words/cut';
import { inCentimetres } from '../../words/units';
import { listed, say } from '../../words/words';
import { seedNeed, unitOfRow } from '../seedNeed';
import type { CropProps, Route } from './props';
import { useUnits } from './reading';

/** cm; the side of the square that plants are counted in */
const SQUARE = 30;

/** Lengths of row that are shown without typing. */
const LENGTHS = { metric: [1, 3, 5, 10], us: [5, 10, 25, 50] };

/** Longer rows are for fields. */
const LONGEST = 1000;

/** The days to sow on so that one harvest follows another. */
export function SowAgain({ routes }: { routes: Route[] }) {
    const again = routes.filter((route) => route.again?.length);
    if (again.length === 0) return null;
    return (
        <section className="sown-again">
            <h2>{say('page.crop.again')}</h2>
            <p>{say('page.crop.again-how')}</p>
            {again.map((route) => (
                <div key={route.route}>
                    {again.length > 1 && <h3>{say(`act.${route.act}.lead`)}</h3>}
                    <ol className="again">
                        {route.again?.map(({ on, first, last }) => (
                            <li key={on}>
                                <strong>{inShort(on)}</strong>{' '}
                                <span>
                                    {say('page.crop.again-picked', { first: inShort(first), last: inShort(last) })}
                                </span>
                            </li>
                        ))}
                    </ol>
                </div>
            ))}
        </section>
    );
}

/** The same in a sentence, for paper. */
export function SowAgainInWords({ routes }: { routes: Route[] }) {
    return routes
        .filter((route) => route.again?.length)
        .map((route) => (
            <p key={route.route}>
                {say('page.crop.again-in-words', {
                    act: say(`act.${route.act}`),
                    days: listed((route.again ?? []).map((sowing) => inShort(sowing.on))),
                })}
            </p>
        ));
}

/** How many fit in a square, and how many stems to cut. */
export function RoomAndStems({ crop }: Pick<CropProps, 'crop'>) {
    const { per_square_foot: each, cut } = crop;
    return [
        each != null &&
            each > 0 &&
            say('page.crop.square', {
                plants: Math.max(1, Math.round(each)),
                squares: each < 1 ? Math.round(1 / each) : 1,
                side: inCentimetres(SQUARE),
            }),
        cut && cutInWords(cut),
    ]
        .filter(Boolean)
        .join(' ');
}

/** Plants and seed for a row: for some lengths, and for one the reader types. */
export function SeedTable({ crop }: Pick<CropProps, 'crop'>) {
    const units = useUnits();
    if (crop.seed === undefined) return null;
    const of = { spacing_cm: crop.spacing_cm, seed: crop.seed };
    const columns = [
        'plants' as const,
        ...(of.seed ? (['seeds'] as const) : []),
        ...(of.seed?.per_gram ? (['weight'] as const) : []),
    ];
    return (
        <section>
            <h2>{say(of.seed ? 'page.crop.seed' : 'page.crop.plants')}</h2>
            {of.seed && (
                <p>
                    {say('page.crop.seed-how', {
                        station: of.seed.per_station,
                        thinned: crop.seed?.thinned_to ?? 1,
                        share: of.seed.germination,
                    })}
                </p>
            )}
            <table className="ruled seed" data-of={JSON.stringify({ ...of, units })}>
                <thead>
                    <tr>
                        <th scope="col">{say('page.crop.row')}</th>
                        {columns.map((column) => (
                            <th key={column} scope="col" className="number">
                                {say(`page.crop.row-${column}`)}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {LENGTHS[units].map((length) => {
                        const need = seedNeed(of, length * unitOfRow(units), units);
                        return (
                            <tr key={length}>
                                <th scope="row">{say('page.crop.row-length', { length })}</th>
                                {columns.map((column) => (
                                    <td key={column} className="number">
                                        {say('number', { number: need[column] ?? 0 })}
                                    </td>
                                ))}
                            </tr>
                        );
                    })}
                    <tr className="typed" hidden>
                        <th scope="row">
                            <label>
                                {say('page.crop.row-typed')}{' '}
                                <input type="number" min="0.1" max={LONGEST} step="any" inputMode="decimal" />
                            </label>
                        </th>
                        {columns.map((column) => (
                            <td key={column} className="number" data-is={column} aria-live="polite" />
                        ))}
                    </tr>
                </tbody>
            </table>
        </section>
    );
}
