import { say } from '../../words/words';
import type { Schema } from '../../api/client';
import { DataTable } from '../../charts/DataTable';
import { inWords, monthDay } from '../../time/days';
import type { runsOn } from '../../charts/RunLines';

/** The numbers behind the chart: the years of the day under the cursor, and every sow day. */
export function DossierTables({
    name,
    route,
    day,
    runs,
}: {
    name: string;
    route: Schema['Dossier']['replay'][number];
    day: number;
    runs: ReturnType<typeof runsOn>;
}) {
    return (
        <>
            <DataTable
                name={say('dossier-tables.what-came-to-year-by', { day: inWords(monthDay(day)) })}
                file={`${name}-${route.route}-${monthDay(day)}`}
                columns={[
                    'year',
                    'outcome',
                    say('dossier-tables.days-to-come-up'),
                    say('dossier-tables.days-to-first-harvest'),
                    say('dossier-tables.days-to-the-end'),
                ]}
                rows={() => runs.map((run) => [run.year, say(`outcome.${run.outcome}`), run.up, run.harvest, run.end])}
            />
            <DataTable
                name={say('dossier-tables.every-sow-day')}
                file={`${name}-${route.route}`}
                columns={['day', 'reliability', ...Object.keys(route.ribbon.outcomes)]}
                rows={() =>
                    route.ribbon.reliability.map((share, i) => [
                        monthDay(i + 1),
                        share,
                        ...Object.values(route.ribbon.outcomes).map((counts) => counts[i] ?? 0),
                    ])
                }
            />
        </>
    );
}
