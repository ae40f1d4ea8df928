import { say } from '../../words/words';
import { FileInput, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useCrops } from '../../api/crops';
import { useImportCrops } from './queries';
import { useCan } from '../../access/session';
import { CropForm } from './CropForm';
import { ShippedCrops } from './ShippedCrops';
import { Problem } from '../../ui/Problem';
import { isCalled } from '../../words/search';

/** The crop book: every crop's numbers, what they mean, and what they were. */
export function Crops() {
    const { crop } = useParams();
    const { data: crops } = useCrops();
    const mayEdit = useCan('edit-crops');
    const [asked, setAsked] = useState('');
    const bring = useImportCrops();
    if (!crops) return null;
    const found = crops.filter((c) => isCalled([...c.names, c.family], asked));
    const families = [...new Set(found.map((c) => c.family))];
    return (
        <main className="page book">
            <nav aria-label={say('common.crops')}>
                <h2 className="sr-only">{say('common.find-a-crop')}</h2>
                <TextInput
                    size="xs"
                    aria-label={say('common.find-a-crop')}
                    placeholder={say('crops.find-a-crop-or-family')}
                    value={asked}
                    onChange={(event) => setAsked(event.currentTarget.value)}
                />
                {families.map((family) => (
                    <section key={family}>
                        <h3>{family}</h3>
                        <ul>
                            {found
                                .filter((c) => c.family === family)
                                .map((c) => (
                                    <li key={c.slug}>
                                        <Link
                                            to={`/desk/settings/crops/${c.slug}`}
                                            aria-current={c.slug === crop ? 'page' : undefined}
                                        >
                                            {c.name}
                                        </Link>
                                    </li>
                                ))}
                        </ul>
                    </section>
                ))}
            </nav>
            <div>
                {crop ? (
                    <CropForm key={crop} slug={crop} mayEdit={mayEdit} />
                ) : (
                    <>
                        <h2>{say('crops.crops', { crops: crops.length })}</h2>
                        <p>{say('crops.choose-a-crop-to-read')}</p>
                        <Group align="end">
                            <a href="/desk-files/crops.csv" download>
                                {say('crops.the-whole-table-csv')}
                            </a>
                            {mayEdit && (
                                <FileInput
                                    label={say('crops.bring-a-crop-table')}
                                    placeholder={say('common.choose-a-file')}
                                    miw={240}
                                    accept=".csv,text/csv"
                                    value={null}
                                    onChange={(file) => file && bring.mutate(file)}
                                />
                            )}
                        </Group>
                        <ShippedCrops mayEdit={mayEdit} />
                        <Problem error={bring.error} />
                        {bring.data && (
                            <p role="status">
                                {say('crops.crops-new-changed-the-same', {
                                    new: bring.data.new,
                                    changed: bring.data.changed,
                                    unchanged: bring.data.unchanged,
                                })}
                            </p>
                        )}
                    </>
                )}
            </div>
        </main>
    );
}
