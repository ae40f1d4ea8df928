import { inShort } from '../../time/days';
import { ofRow } from '../../words/units';
import { DataTable } from '../../charts/DataTable';
import { say } from '../../words/words';
import { shown } from './lanes';
import type { GroundBed, Span, Occupancy } from './queries';

/** What is planned in a year by the week it goes in, and the seed it takes: a list for the shed door and the seed order. */
export function SeasonList({ zone, beds, year }: { zone: string; beds: GroundBed[]; year: Span }) {
    const planned = beds
        .flatMap((bed) =>
            shown(bed.stays, year.from, year.to)
                .filter((stay) => stay.kind === 'planned' && stay.from >= year.from)
                .map((stay) => ({ bed, stay })),
        )
        .sort((a, b) => a.stay.from.localeCompare(b.stay.from));
    if (planned.length === 0) return null;
    return (
        <section>
            <h3>{say('ground.season-list')}</h3>
            <table className="ruled dense">
                <thead>
                    <tr>
                        {['when', 'crop', 'where', 'plants', 'seed'].map((column) => (
                            <th key={column} scope="col">
                                {say(`ground.list-${column}`)}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {planned.map(({ bed, stay }) => (
                        <tr key={stay.key}>
                            <td className="nowrap">
                                {say('ground.act-on', {
                                    act: say(`act.${stay.act}`),
                                    day: inShort(stay.from.slice(5)),
                                })}
                            </td>
                            <th scope="row">{nameOf(stay)}</th>
                            <td>
                                {say('ground.where', {
                                    bed: bed.name,
                                    length: ofRow(stay.metres),
                                    rows: stay.need?.rows ?? 1,
                                })}
                            </td>
                            <td className="number">{plants(stay)}</td>
                            <td className="number">{seed(stay.need?.seeds ?? null, stay.need?.grams ?? null)}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <DataTable
                name={say('ground.seed-order')}
                file={`${zone}-seed-${year.from.slice(0, 4)}`}
                columns={['crop', 'plants', 'seeds', 'grams'].map((column) => say(`ground.order-${column}`))}
                rows={() => order(planned.map(({ stay }) => stay))}
            />
        </section>
    );
}

/** The seed for all plantings together, one crop per row. */
export function order(stays: Occupancy[]): (string | number | null)[][] {
    const rows = new Map<string, { plants: number; seeds: number | null; grams: number | null }>();
    for (const stay of stays) {
        const row = rows.get(nameOf(stay)) ?? { plants: 0, seeds: null, grams: null };
        const more = (so: number | null, own: number | null | undefined) => (own == null ? so : (so ?? 0) + own);
        rows.set(nameOf(stay), {
            plants: row.plants + (stay.need?.plants ?? 0),
            seeds: more(row.seeds, stay.need?.seeds),
            grams: more(row.grams, stay.need?.grams),
        });
    }
    return [...rows]
        .sort(([a], [b]) => a.localeCompare(b))
        .map(([name, { plants, seeds, grams }]) => [
            name,
            plants,
            seeds,
            grams === null ? null : Math.round(10 * grams) / 10,
        ]);
}

function nameOf(stay: Occupancy): string {
    return [stay.name, stay.variety].filter(Boolean).join(' ');
}

function plants({ need }: Occupancy): string {
    return need === null ? '' : say('ground.plants', { plants: need.plants, spares: need.spares ?? 0 });
}

function seed(seeds: number | null, grams: number | null): string {
    if (seeds === null) return '';
    return say('ground.seed', { seeds, grams: grams ?? 'none' });
}
