import { FileInput, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useCrops } from '../../api/crops';
import { useImportCrops } from './queries';
import { useMay } from '../../access/session';
import { CropForm } from './CropForm';
import { Problem } from '../../ui/Problem';

/** The crop book: every crop's numbers, what they mean, what they were. */
export function Crops() {
    const { crop } = useParams();
    const { data: crops } = useCrops();
    const mayEdit = useMay('edit-crops');
    const [asked, setAsked] = useState('');
    const bring = useImportCrops();
    if (!crops) return null;
    const plain = asked.trim().toLowerCase();
    const found = crops.filter((c) => `${c.name} ${c.family}`.toLowerCase().includes(plain));
    const families = [...new Set(found.map((c) => c.family))];
    return (
        <main className="page book">
            <nav aria-label="Crops">
                <h2 className="sr-only">Find a crop</h2>
                <TextInput
                    size="xs"
                    aria-label="Find a crop"
                    placeholder="Find a crop or family"
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
                                            to={`/desk/crops/${c.slug}`}
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
                        <h2>{crops.length} crops</h2>
                        <p>
                            Choose a crop to read its numbers. A number that is changed shows what it does to the crop
                            in a zone before it is saved; what it was stays on record.
                        </p>
                        <Group align="end">
                            <a href="/desk-files/crops.csv" download>
                                The whole table (CSV)
                            </a>
                            {mayEdit && (
                                <FileInput
                                    label="Bring a crop table"
                                    placeholder="Choose a file"
                                    miw={240}
                                    accept=".csv,text/csv"
                                    value={null}
                                    onChange={(file) => file && bring.mutate(file)}
                                />
                            )}
                        </Group>
                        <Problem error={bring.error} />
                        {bring.data && (
                            <p role="status">
                                {bring.data.new} crops new, {bring.data.changed} changed, {bring.data.unchanged} the
                                same.
                            </p>
                        )}
                    </>
                )}
            </div>
        </main>
    );
}
