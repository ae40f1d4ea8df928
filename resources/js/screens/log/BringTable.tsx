import { Refusal } from '../../api/client';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { useBringTable } from './queries';

/** A table of lines, of another year or another notebook: all of it or none, with what is wrong said row by row. */
export function BringTable({ zone }: { zone: string }) {
    const bring = useBringTable(zone);
    const rows = bring.error instanceof Refusal ? (bring.error.errors.file ?? []) : [];
    return (
        <section>
            <h3>{say('log-screen.bring')}</h3>
            <p className="hint">{say('log-screen.bring-columns')}</p>
            <input
                type="file"
                accept=".csv,text/csv"
                aria-label={say('log-screen.bring')}
                onChange={(event) => {
                    const file = event.currentTarget.files?.[0];
                    if (file) bring.mutate(file);
                    // The same file, put right, can be brought again.
                    event.currentTarget.value = '';
                }}
            />
            {bring.isPending && <p role="status">{say('log-screen.reading-table')}</p>}
            {bring.isSuccess && <p role="status">{say('log-screen.brought', { lines: bring.data.kept })}</p>}
            {rows.length > 0 ? (
                <div role="alert" className="warning">
                    <p>{say('log-screen.rows-wrong')}</p>
                    <ul>
                        {rows.map((row) => (
                            <li key={row}>{row}</li>
                        ))}
                    </ul>
                </div>
            ) : (
                <Problem error={bring.error} />
            )}
        </section>
    );
}
