import { DataTable } from '../../charts/DataTable';
import { toUnits, type Measure } from '../../words/units';
import { perLength, say, units } from '../../words/words';
import type { Trial } from './queries';

const MEASURES: Record<string, Measure> = { metres: 'm', kilograms: 'kg' };

/** The yield, in kg or stems, of a plot or a meter of row, in the reader's units. */
function inReaders(value: number, unit: string, byMetre: boolean): number {
    if (unit === 'stems') return byMetre ? perLength(value) : value;
    return toUnits(byMetre ? 'kg_per_m' : 'kg', value, units());
}

/** Which wave did best, with what was expected of it; and how much that result is worth. */
export function Verdict({ trial }: { trial: Trial }) {
    const { verdict } = trial;
    const amount = (value: number) =>
        say('trials.yield', {
            value: inReaders(value, verdict.measured_in, verdict.by_metre),
            unit: verdict.measured_in,
            by: verdict.by_metre ? 'metre' : 'plot',
        });
    return (
        <>
            {verdict.waves.length === 0 ? (
                <p>{say('trials.nothing-done', { open: verdict.open })}</p>
            ) : (
                <>
                    <table className="ruled dense">
                        <thead>
                            <tr>
                                {['wave', 'variety', 'yield', 'quality', 'lost', 'expected'].map((column) => (
                                    <th key={column} scope="col">
                                        {say(`trials.column-${column}`)}
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {verdict.waves.map((wave) => (
                                <tr key={`${wave.wave} ${wave.variety}`}>
                                    <th scope="row">{wave.wave}</th>
                                    <td>{wave.variety}</td>
                                    <td className="number nowrap">{amount(wave.yield)}</td>
                                    <td>{wave.quality !== null && say(`log.quality-${Math.round(wave.quality)}`)}</td>
                                    <td className="nowrap">
                                        {say('trials.lost-of', { lost: wave.lost, of: wave.repeats })}
                                    </td>
                                    <td className="nowrap">
                                        {wave.expected !== null && say('trials.of-ten', { share: wave.expected })}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                    <p className="hint">
                        {verdict.open > 0 && say('trials.still-open', { open: verdict.open })}{' '}
                        {say(verdict.one_seasons_word ? 'trials.one-seasons-word' : 'trials.one-season')}
                    </p>
                </>
            )}
            <DataTable
                name={say('trials.all-plots')}
                file={`trial-${trial.id}`}
                columns={[
                    'wave',
                    'variety',
                    'repeat',
                    'bed',
                    'planned',
                    'first-expected',
                    'sown',
                    'up',
                    'first-picked',
                    'last-picked',
                    'lost',
                    'metres',
                    'kilograms',
                    'stems',
                ].map((column) => {
                    const name = say(`trials.behind-${column}`);
                    const measure = MEASURES[column];
                    return measure ? { name, measure } : name;
                })}
                rows={() =>
                    trial.plots.map(({ wave, variety, repeat, bed, on, expected, sowing }) => [
                        wave,
                        variety,
                        repeat,
                        bed && `${bed.garden}, ${bed.name}`,
                        on,
                        expected?.first?.[1] ?? null,
                        sowing?.days.set_out ?? sowing?.days.sown ?? null,
                        sowing?.days.up ?? null,
                        sowing?.days.first_picked ?? null,
                        sowing?.days.last_picked ?? null,
                        sowing?.days.lost ?? null,
                        sowing?.metres ?? null,
                        sowing?.kilograms ?? null,
                        sowing?.stems ?? null,
                    ])
                }
            />
        </>
    );
}
