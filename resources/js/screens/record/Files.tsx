import type { Zone } from '../../api/client';
import { useImportAgain, useRecordImports } from './queries';
import { useMay } from '../../access/session';
import { useStations } from '../../api/zones';
import { dateInShort, datesInShort } from '../../time/days';
import { BringFile } from './BringFile';
import { updateInWords } from './Preview';
import { Stations } from './Stations';
import { Problem } from '../../ui/Problem';

/** Where the record comes from: stations in order, the files brought, and bringing another. */
export function Files({ zone, onComputing }: { zone: Zone; onComputing: (computation: number) => void }) {
    const mayEdit = useMay('edit-zones');
    const { data: imports } = useRecordImports(zone.slug);
    const { data: stations } = useStations(zone.slug);
    const use = useImportAgain(onComputing);
    return (
        <>
            {!zone.record && (
                <>
                    <h2>No record yet</h2>
                    <p>Bring the station’s daily minima and maxima. Thirty years make dates to rely on; ten will do.</p>
                </>
            )}
            {stations && stations.stations.length > 0 && (
                <Stations zone={zone} data={stations} mayEdit={mayEdit} onComputing={onComputing} />
            )}
            {mayEdit && <BringFile zone={zone} stations={stations?.stations ?? []} onComputing={onComputing} />}
            <Problem error={use.error} />
            <section>
                <h2>Files brought</h2>
                {imports?.length === 0 && <p>None yet.</p>}
                {imports && imports.length > 0 && (
                    <table className="ruled dense">
                        <thead>
                            <tr>
                                <th scope="col">File</th>
                                <th scope="col">Station</th>
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
                                    <td>{item.station}</td>
                                    <td>{item.first && item.last ? datesInShort(item.first, item.last) : ''}</td>
                                    <td className="number">{item.rows}</td>
                                    <td className="number">{item.refused_count}</td>
                                    <td className="number">{item.marks_count}</td>
                                    <td>{item.update && updateInWords(item.update)}</td>
                                    <td>
                                        {item.imported_by}, {dateInShort(item.imported_at)}
                                    </td>
                                    <td>
                                        {item.in_use ? 'in use' : item.state}
                                        {mayEdit && !item.in_use && item.state === 'imported' && (
                                            <>
                                                {', '}
                                                <button
                                                    type="button"
                                                    className="plain"
                                                    onClick={() => use.mutate(item.id)}
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
        </>
    );
}
