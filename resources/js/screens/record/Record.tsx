import { FileInput, Progress } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, Refusal, stationFile, taken, type ReadingChoices, type RecordPreview } from '../../api/client';
import { useComputation, useRecordImports, useSession, useWindows, useZone } from '../../app/data';
import { dateInWords, inShort, inWords } from '../../charts/days';
import { Climate } from './Climate';
import { Doubts } from './Doubts';
import { Layout } from './Layout';
import { Preview, updateInWords } from './Preview';

const MOST_MIB = 64;

/** A zone's station record: bring a file, see what was understood of it, then let it count. */
export function Record() {
    const { zone: slug = '' } = useParams();
    const { data: session } = useSession();
    const { data: zone } = useZone(slug);
    const { data: imports } = useRecordImports(slug);
    const [file, setFile] = useState<File | null>(null);
    const [choices, setChoices] = useState<ReadingChoices>({});
    const [preview, setPreview] = useState<RecordPreview | null>(null);
    const [error, setError] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const [computation, setComputation] = useState<number | null>(null);
    const { data: progress } = useComputation(slug, computation);

    const send = async <T,>(
        what: (body: FormData) => Promise<T>,
        chosen: File,
        overruled: ReadingChoices,
    ): Promise<T | null> => {
        setError(null);
        if (chosen.size > MOST_MIB * 1024 * 1024) {
            setError(
                `The file is larger than ${MOST_MIB} MiB. A daily record of 150 years has about 2 MiB: bring one station’s daily table.`,
            );
            return null;
        }
        setBusy(true);
        try {
            return await what(stationFile(chosen, overruled));
        } catch (refusal) {
            setError(
                refusal instanceof Refusal
                    ? refusal.message
                    : 'The file did not reach the server. Nothing was saved; try again.',
            );
            return null;
        } finally {
            setBusy(false);
        }
    };
    const look = async (chosen: File | null, overruled: ReadingChoices) => {
        setFile(chosen);
        setPreview(null);
        setError(null);
        if (chosen) {
            setPreview(
                await send(
                    (body) =>
                        taken(
                            api.POST('/api/zones/{zone}/record-previews', {
                                params: { path: { zone: slug } },
                                body: body as never,
                                bodySerializer: () => body,
                            }),
                        ),
                    chosen,
                    overruled,
                ),
            );
        }
    };
    const keep = async () => {
        if (!file) return;
        const started = await send(
            (body) =>
                taken(
                    api.POST('/api/zones/{zone}/record-imports', {
                        params: { path: { zone: slug } },
                        body: body as never,
                        bodySerializer: () => body,
                    }),
                ),
            file,
            choices,
        );
        if (started) {
            setComputation(started.id);
            setPreview(null);
            setFile(null);
        }
    };

    const use = async (id: number) => {
        const started = await taken(
            api.POST('/api/record-imports/{import}/use', { params: { path: { import: id } } }),
        ).catch((refusal: unknown) => {
            setError(
                refusal instanceof Refusal
                    ? refusal.message
                    : 'The server does not answer. Nothing was changed; try again.',
            );
            return null;
        });
        if (started) setComputation(started.id);
    };

    const mayEdit = session?.user?.may_publish ?? false;
    return (
        <main className="page">
            <div className="columns">
                <section>
                    <h2>{zone?.record ? 'The record in use' : 'No record yet'}</h2>
                    {zone?.record ? (
                        <p>
                            {zone.record.station}, {dateInWords(zone.record.first)} to {dateInWords(zone.record.last)}.{' '}
                            <Link to={`/desk/zones/${slug}/windows`}>See the windows it gives</Link>.
                        </p>
                    ) : (
                        <p>
                            Bring the station’s daily minima and maxima. Thirty years make dates to rely on; ten will
                            do.
                        </p>
                    )}
                    <FreezeDates zone={slug} shown={zone?.record !== null} />
                </section>
                {mayEdit && (
                    <section>
                        <h2>Bring a station file</h2>
                        <p className="hint">
                            A table with a row a day (any columns, °C or °F), or a GHCN-Daily file (.dly or .csv),
                            gzipped or not, up to {MOST_MIB} MiB. Nothing is saved before you have seen what was
                            understood.
                        </p>
                        <FileInput
                            label="Station file"
                            placeholder="Choose a file"
                            accept=".csv,.txt,.tsv,.dly,.gz,text/csv,text/plain"
                            value={file}
                            onChange={(chosen) => {
                                setChoices({});
                                void look(chosen, {});
                            }}
                            clearable
                        />
                        {file && (
                            <Layout
                                names={preview?.choices ?? []}
                                hasRecord={zone?.record !== null}
                                choices={choices}
                                onChange={(changed) => {
                                    setChoices(changed);
                                    void look(file, changed);
                                }}
                            />
                        )}
                        {error && (
                            <p role="alert" className="warning" style={{ marginTop: '0.8rem' }}>
                                {error}
                            </p>
                        )}
                        {computation !== null && progress && (
                            <div role="status" aria-live="polite" style={{ marginTop: '0.8rem' }}>
                                {progress.state === 'failed' ? (
                                    <p className="warning">{progress.error}</p>
                                ) : progress.state === 'done' ? (
                                    <p>
                                        Computed. <Link to={`/desk/zones/${slug}/windows`}>See the windows</Link>
                                    </p>
                                ) : (
                                    <>
                                        <p>{progress.step} … you can leave this page.</p>
                                        <Progress
                                            value={progress.total === 0 ? 5 : (100 * progress.done) / progress.total}
                                            aria-label="Progress"
                                        />
                                    </>
                                )}
                            </div>
                        )}
                    </section>
                )}
            </div>
            {preview && (
                <Preview preview={preview} busy={busy} onKeep={() => void keep()} onLeave={() => void look(null, {})} />
            )}
            {zone?.record && !preview && <Climate zone={slug} />}
            {zone?.record && !preview && <Doubts zone={slug} onComputing={setComputation} />}
            <section>
                <h2>Files brought</h2>
                {imports?.length === 0 && <p>None yet.</p>}
                {imports && imports.length > 0 && (
                    <table className="ruled">
                        <thead>
                            <tr>
                                <th scope="col">File</th>
                                <th scope="col">Days</th>
                                <th scope="col" className="number">
                                    Rows
                                </th>
                                <th scope="col" className="number">
                                    Refused
                                </th>
                                <th scope="col" className="number">
                                    Marked
                                </th>
                                <th scope="col">Against the record before</th>
                                <th scope="col">Brought by</th>
                                <th scope="col">State</th>
                                <th scope="col">Checksum</th>
                            </tr>
                        </thead>
                        <tbody>
                            {imports.map((item) => (
                                <tr key={item.id}>
                                    <td>
                                        <a href={`/desk-files/record-imports/${item.id}`} download>
                                            {item.file}
                                        </a>
                                    </td>
                                    <td>{item.first && item.last ? `${item.first} to ${item.last}` : ''}</td>
                                    <td className="number">{item.rows}</td>
                                    <td className="number">{item.refused_count}</td>
                                    <td className="number">{item.marks_count}</td>
                                    <td>{item.update && updateInWords(item.update)}</td>
                                    <td>
                                        {item.imported_by}, {dateInWords(item.imported_at.slice(0, 10))}
                                    </td>
                                    <td>
                                        {item.in_use ? 'in use' : item.state}
                                        {mayEdit && !item.in_use && item.state === 'imported' && (
                                            <>
                                                {', '}
                                                <button
                                                    type="button"
                                                    className="plain"
                                                    onClick={() => void use(item.id)}
                                                >
                                                    use this one
                                                </button>
                                            </>
                                        )}
                                    </td>
                                    <td className="mono" title={item.checksum}>
                                        {item.checksum.slice(0, 10)}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                )}
            </section>
        </main>
    );
}

function FreezeDates({ zone, shown }: { zone: string; shown: boolean }) {
    const { data } = useWindows(zone);
    if (!shown || !data) return null;
    const { ruler } = data;
    return (
        <>
            {ruler.short_record && (
                <p className="warning">
                    Only {ruler.seasons} cold seasons are complete: the record is short, and its dates are less sure
                    than they look.
                </p>
            )}
            <table className="ruled">
                <caption className="sr-only">Freeze dates</caption>
                <thead>
                    <tr>
                        <th rowSpan={2} scope="col">
                            From {ruler.seasons} cold seasons
                        </th>
                        <th colSpan={3} scope="colgroup">
                            Last freeze, later in
                        </th>
                        <th colSpan={3} scope="colgroup">
                            First freeze, earlier in
                        </th>
                    </tr>
                    <tr>
                        {['last', 'first'].flatMap((end) =>
                            (ruler.freezes[0]?.last ?? []).map((risk) => (
                                <th scope="col" key={end + risk.risk}>
                                    {risk.in_words.replace(' year', '')}
                                </th>
                            )),
                        )}
                    </tr>
                </thead>
                <tbody>
                    {ruler.freezes.map((freeze) => (
                        <tr key={freeze.threshold}>
                            <td>
                                {String(freeze.celsius).replace('-', '−')} °C, {freeze.in_words}
                            </td>
                            {[...freeze.last, ...freeze.first].map((risk, i) => (
                                <td
                                    key={i}
                                    style={{ whiteSpace: 'nowrap' }}
                                    title={
                                        risk.earliest || risk.latest
                                            ? `90 % interval: ${risk.earliest ? inWords(risk.earliest) : 'open'} to ${risk.latest ? inWords(risk.latest) : 'open'}`
                                            : undefined
                                    }
                                >
                                    {risk.date === null ? 'none' : inShort(risk.date)}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    );
}
