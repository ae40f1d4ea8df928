import { FileInput, Group, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
    api,
    Refusal,
    stationFile,
    taken,
    type ReadingChoices,
    type RecordPreview,
    type Schema,
    type Zone,
} from '../../api/client';
import { Layout } from './Layout';
import { Preview } from './Preview';

const MOST_MIB = 240;

/** Brings a station's file: says whose it is, shows what was understood, and only then keeps it. */
export function BringFile({
    zone,
    stations,
    onComputing,
}: {
    zone: Zone;
    stations: Schema['Station'][];
    onComputing: (computation: number) => void;
}) {
    const [file, setFile] = useState<File | null>(null);
    const [choices, setChoices] = useState<ReadingChoices>({});
    const [preview, setPreview] = useState<RecordPreview | null>(null);
    const [error, setError] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);

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
    const to = { params: { path: { zone: zone.slug } } };
    const look = async (chosen: File | null, overruled: ReadingChoices) => {
        setFile(chosen);
        setChoices(overruled);
        setPreview(null);
        setError(null);
        if (!chosen) return;
        setPreview(
            await send(
                (body) =>
                    taken(
                        api.POST('/api/zones/{zone}/record-previews', {
                            ...to,
                            body: body as never,
                            bodySerializer: () => body,
                        }),
                    ),
                chosen,
                overruled,
            ),
        );
    };
    const keep = async () => {
        if (!file || !preview) return;
        // Of a file with several stations, the one shown is the one kept.
        const station = preview.stations.length > 1 ? (preview.station ?? undefined) : choices.station;
        const started = await send(
            (body) =>
                taken(
                    api.POST('/api/zones/{zone}/record-imports', {
                        ...to,
                        body: body as never,
                        bodySerializer: () => body,
                    }),
                ),
            file,
            { ...choices, station },
        );
        if (started) {
            onComputing(started.id);
            setPreview(null);
            setFile(null);
            setChoices({});
        }
    };
    const isNew = choices.to_station === 'new';
    return (
        <section>
            <h2>Bring a station file</h2>
            <p className="hint">
                A table with a row a day (any columns, °C or °F), or a GHCN-Daily file (.dly or .csv), gzipped or not,
                up to {MOST_MIB} MiB. Nothing is saved before you have seen what was understood.
            </p>
            <Group align="end" gap="sm">
                {stations.length > 0 && (
                    <NativeSelect
                        label="Of station"
                        value={choices.to_station ?? ''}
                        onChange={(event) =>
                            void look(file, {
                                ...choices,
                                to_station: event.currentTarget.value || undefined,
                            })
                        }
                        data={[
                            ...stations.map((station, i) => ({
                                value: i === 0 ? '' : String(station.id),
                                label: i === 0 ? `${station.name} (primary)` : station.name,
                            })),
                            { value: 'new', label: 'a new one, to fill in' },
                        ]}
                    />
                )}
                {isNew && (
                    <>
                        <TextInput
                            label="Its name"
                            value={choices.station_name ?? ''}
                            onChange={(event) => setChoices({ ...choices, station_name: event.currentTarget.value })}
                        />
                        <NumberInput
                            label="Its height, m"
                            w={120}
                            allowDecimal={false}
                            value={choices.station_height_m ?? ''}
                            onChange={(height) =>
                                setChoices({
                                    ...choices,
                                    station_height_m: typeof height === 'number' ? height : undefined,
                                })
                            }
                        />
                    </>
                )}
                <FileInput
                    label="Station file"
                    placeholder="Choose a file"
                    miw={280}
                    accept=".csv,.txt,.tsv,.dly,.gz,text/csv,text/plain"
                    value={file}
                    onChange={(chosen) =>
                        void look(chosen, {
                            to_station: choices.to_station,
                            station_name: choices.station_name,
                            station_height_m: choices.station_height_m,
                        })
                    }
                    clearable
                />
            </Group>
            {file && (
                <Layout
                    names={preview?.choices ?? []}
                    stations={preview?.stations ?? []}
                    station={preview?.station ?? null}
                    hasRecord={zone.record !== null && !isNew}
                    choices={choices}
                    onChange={(changed) => void look(file, changed)}
                />
            )}
            {error && (
                <p role="alert" className="warning" style={{ marginTop: '0.8rem' }}>
                    {error}
                </p>
            )}
            {preview && (
                <Preview preview={preview} busy={busy} onKeep={() => void keep()} onLeave={() => void look(null, {})} />
            )}
        </section>
    );
}
