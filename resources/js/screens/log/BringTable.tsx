import { Refusal } from '../../api/client';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { isOver, useBringTable, useLogImport, type LogImport } from './queries';

/** A table of entries, from another year or another notebook: all of it or none, with errors listed row by row. */
export function BringTable({ zone }: { zone: string }) {
    const bring = useBringTable(zone);
    const { data: progress } = useLogImport(zone, bring.data?.id ?? null);
    const refused = bring.error instanceof Refusal ? (bring.error.errors.file ?? []) : [];
    const rows = refused.length > 0 ? refused : (progress?.faults ?? []);
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
                    // The same file, corrected, can be uploaded again.
                    event.currentTarget.value = '';
                }}
            />
            {bring.isPending && <p role="status">{say('log-screen.reading-table')}</p>}
            {progress && <Progress progress={progress} />}
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

function Progress({ progress }: { progress: LogImport }) {
    if (progress.state === 'failed') return null;
    if (isOver(progress)) return <p role="status">{say('log-screen.brought', { lines: progress.saved ?? 0 })}</p>;
    const { done, total } = progress;
    return (
        <p role="status">
            {say('log-screen.rows-checked', { done, total })} <progress max={total} value={done} />
        </p>
    );
}
