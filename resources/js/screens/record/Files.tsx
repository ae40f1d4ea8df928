import { Action } from '../../ui/Action';
import { say } from '../../words/words';
import type { Zone } from '../../api/client';
import { useImportAgain, useRecordImports } from './queries';
import { useCan } from '../../access/session';
import { useStations } from '../../api/zones';
import { dateInShort, datesInShort } from '../../time/days';
import { BringFile } from './BringFile';
import { updateInWords } from './Preview';
import { Corrections } from './Corrections';
import { Devices } from './Devices';
import { Stations } from './Stations';
import { Problem } from '../../ui/Problem';

/** Where the record comes from: stations in order, the uploaded files, and uploading another. */
export function Files({ zone, onComputing }: { zone: Zone; onComputing: (computation: number) => void }) {
    const mayEdit = useCan('edit-zones');
    const { data: imports } = useRecordImports(zone.slug);
    const { data: stations } = useStations(zone.slug);
    const use = useImportAgain(onComputing);
    return (
        <>
            {!zone.record && (
                <>
                    <h2>{say('files.no-record-yet')}</h2>
                    <p>{say('files.bring-the-stations-daily-minima')}</p>
                </>
            )}
            {stations && stations.stations.length > 0 && (
                <>
                    <Stations zone={zone} data={stations} mayEdit={mayEdit} onComputing={onComputing} />
                    <Devices zone={zone.slug} stations={stations.stations} mayEdit={mayEdit} />
                    <Corrections
                        zone={zone.slug}
                        stations={stations.stations}
                        mayEdit={mayEdit}
                        onComputing={onComputing}
                    />
                </>
            )}
            {mayEdit && <BringFile zone={zone} stations={stations?.stations ?? []} onComputing={onComputing} />}
            <Problem error={use.error} />
            <section>
                <h2>{say('files.files-brought')}</h2>
                {imports?.length === 0 && <p>{say('common.none-yet')}</p>}
                {imports && imports.length > 0 && (
                    <table className="ruled dense">
                        <thead>
                            <tr>
                                <th scope="col">{say('files.file')}</th>
                                <th scope="col">{say('common.station')}</th>
                                <th scope="col">{say('common.days')}</th>
                                <th scope="col" className="number">
                                    {say('files.rows')}
                                </th>
                                <th scope="col" className="number">
                                    {say('files.refused')}
                                </th>
                                <th scope="col" className="number">
                                    {say('files.marked')}
                                </th>
                                <th scope="col">{say('files.against-the-record-before')}</th>
                                <th scope="col">{say('files.brought-by')}</th>
                                <th scope="col">{say('files.state')}</th>
                                <th scope="col">{say('common.checksum')}</th>
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
                                        {say(`import.${item.in_use ? 'in-use' : item.state}`)}
                                        {mayEdit && !item.in_use && item.state === 'imported' && (
                                            <>
                                                {', '}
                                                <Action onClick={() => use.mutate(item.id)}>
                                                    {say('files.use-this-one')}
                                                </Action>
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
