import { dateAfter } from '../../time/days';
import { say } from '../../words/words';
import { familiesIn } from './lanes';
import type { GroundBed, Span } from './queries';

/** Which families each bed had, year by year, so you can see at a glance what follows its own. */
export function Families({ beds, year }: { beds: GroundBed[]; year: Span }) {
    const begins = Number(year.from.slice(0, 4));
    const years = [-2, -1, 0, 1].map((by) => ({
        name: String(begins + by),
        from: `${begins + by}${year.from.slice(4)}`,
        to: dateAfter(`${begins + by + 1}${year.from.slice(4)}`, -1),
    }));
    if (beds.every((bed) => bed.stays.length === 0)) return null;
    return (
        <section>
            <h3>{say('ground.families')}</h3>
            <table className="ruled dense families">
                <thead>
                    <tr>
                        <th scope="col">{say('ground.bed')}</th>
                        {years.map((one) => (
                            <th key={one.name} scope="col">
                                {one.name}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {beds.map((bed) => (
                        <tr key={bed.id}>
                            <th scope="row">{bed.name}</th>
                            {years.map((one) => (
                                <td key={one.name}>{familiesIn(bed, one.from, one.to).join(', ')}</td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}
