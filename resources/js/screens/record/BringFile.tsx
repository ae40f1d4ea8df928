import { say } from '../../words/words';
import { MeasureInput } from '../../ui/MeasureInput';
import { FileInput, Group, NativeSelect, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Refusal, type ReadingChoices, type Schema, type Zone } from '../../api/client';
import { useImportRecord, useRecordPreview } from './queries';
import { Layout } from './Layout';
import { Preview } from './Preview';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';

const MOST_MIB = 240;

/** Uploads a station's file: asks whose it is, shows how it was read, and only then saves it. */
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
    // The same file sent again after its answer got lost is saved once.
    const [key, setKey] = useState(() => crypto.randomUUID());
    const tooLarge = file !== null && file.size > MOST_MIB * 1024 * 1024;
    const preview = useRecordPreview(zone.slug, tooLarge ? null : file, choices);
    const keep = useImportRecord(zone.slug, (computation) => {
        bring(null, {});
        onComputing(computation);
    });
    const bring = (chosen: File | null, overruled: ReadingChoices) => {
        keep.reset();
        setKey(crypto.randomUUID());
        setFile(chosen);
        setChoices(overruled);
    };
    const understood = preview.data;
    // From a file with several stations, the one shown is the one saved.
    const station = understood && understood.stations.length > 1 ? (understood.station ?? undefined) : choices.station;
    const isNew = choices.to_station === 'new';
    return (
        <section>
            <h2>{say('bring-file.bring-a-station-file')}</h2>
            <p className="hint">{say('bring-file.a-table-with-a-row', { most_mib: MOST_MIB })}</p>
            <Group align="end" gap="sm">
                <OfStation
                    {...{ stations, choices }}
                    onStation={(changed) => bring(file, changed)}
                    onChange={setChoices}
                />
                <FileInput
                    label={say('bring-file.station-file')}
                    placeholder={say('common.choose-a-file')}
                    miw={280}
                    accept=".csv,.txt,.tsv,.dly,.gz,text/csv,text/plain"
                    value={file}
                    onChange={(chosen) =>
                        bring(chosen, {
                            to_station: choices.to_station,
                            station_name: choices.station_name,
                            station_height_m: choices.station_height_m,
                        })
                    }
                    clearable
                    clearButtonProps={{ 'aria-label': say('common.remove-the-file') }}
                />
            </Group>
            {file === null && zone.record === null && (
                <SampleFile zone={zone.slug} onFile={(sample) => bring(sample, {})} />
            )}
            {file && (
                <Layout
                    names={
                        understood?.choices ??
                        (preview.error instanceof Refusal ? preview.error.columns : undefined) ??
                        []
                    }
                    stations={understood?.stations ?? []}
                    station={understood?.station ?? null}
                    depths={understood?.depths ?? {}}
                    hasRecord={zone.record !== null && !isNew}
                    choices={choices}
                    onChange={(changed) => bring(file, changed)}
                />
            )}
            {preview.isFetching && <p role="status">{say('bring-file.reading-the-file')}</p>}
            <Problem
                error={
                    tooLarge
                        ? say('bring-file.the-file-is-larger-than', { most_mib: MOST_MIB })
                        : (keep.error ?? preview.error)
                }
                unanswered={say('bring-file.the-file-did-not-reach')}
            />
            {file && understood && (
                <Preview
                    preview={understood}
                    busy={keep.isPending}
                    onKeep={(confirmed) => keep.mutate({ file, choices: { ...choices, station, confirmed, key } })}
                    onLeave={() => bring(null, {})}
                />
            )}
        </section>
    );
}

/** For people who have no file yet: made-up temperatures, as if they had been chosen from the computer, or to look at first. */
function SampleFile({ zone, onFile }: { zone: string; onFile: (file: File) => void }) {
    const address = `/desk-files/zones/${zone}/sample-climate-file.csv`;
    const fetching = useMutation({
        mutationFn: async () => {
            const answer = await fetch(address);
            if (!answer.ok) throw new Error(say('client.the-server-answered-try-again', { status: answer.status }));
            return new File([await answer.blob()], 'sample-climate-file.csv', { type: 'text/csv' });
        },
        onSuccess: onFile,
    });
    return (
        <div className="sample-file">
            <p>
                {say('sample.no-file')} <Action onClick={() => fetching.mutate()}>{say('sample.try')}</Action>{' '}
                <a href={address} download>
                    {say('sample.download')}
                </a>
            </p>
            <p className="hint">{say('sample.what')}</p>
            <Problem error={fetching.error} />
        </div>
    );
}

/** Whose file it is: a known station's, or a new one's. */
function OfStation({
    stations,
    choices,
    onStation,
    onChange,
}: {
    stations: Schema['Station'][];
    choices: ReadingChoices;
    onStation: (changed: ReadingChoices) => void;
    onChange: (changed: ReadingChoices) => void;
}) {
    return (
        <>
            {stations.length > 0 && (
                <NativeSelect
                    label={say('common.of-station')}
                    value={choices.to_station ?? ''}
                    onChange={(event) =>
                        onStation({
                            ...choices,
                            to_station: event.currentTarget.value || undefined,
                        })
                    }
                    data={[
                        ...stations.map((station, i) => ({
                            value: i === 0 ? '' : String(station.id),
                            label: i === 0 ? say('bring-file.primary', { name: station.name }) : station.name,
                        })),
                        { value: 'new', label: say('bring-file.a-new-one-to-fill') },
                    ]}
                />
            )}
            {choices.to_station === 'new' && (
                <>
                    <TextInput
                        label={say('bring-file.its-name')}
                        value={choices.station_name ?? ''}
                        onChange={(event) => onChange({ ...choices, station_name: event.currentTarget.value })}
                    />
                    <MeasureInput
                        measure="elevation"
                        label={say('bring-file.its-elevation')}
                        w={150}
                        allowDecimal={false}
                        value={choices.station_height_m ?? ''}
                        onChange={(height) =>
                            onChange({
                                ...choices,
                                station_height_m: height === '' ? undefined : Math.round(height),
                            })
                        }
                    />
                </>
            )}
        </>
    );
}
