import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, asForm, stationFile, unwrap, type ReadingChoices, type Schema, type Zone } from '../../api/client';
import { whenStale } from '../../api/stale';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';
import { makeStale, zoneKey } from '../../api/stale';

/** The climate a zone's windows are based on, or that of a period of cold seasons. */
export function useYearCourse(zone: string, year: number) {
    return useQuery({
        queryKey: zoneKey(zone, 'climate', year),
        enabled: year > 0,
        placeholderData: keepPreviousData,
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/climate/years/{year}', { params: { path: { zone, year } } })),
    });
}

export function useRecordImports(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'imports'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/record-imports', { params: { path: { zone } } })),
    });
}

export function useQuality(zone: string, station?: number) {
    return useQuery({
        queryKey: zoneKey(zone, 'quality', station),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/quality', { params: { path: { zone }, query: { station } } })),
    });
}

/** A file is the same as long as these are; a query's key cannot contain the file itself. */
const sameFile = (file: File | null) => file && [file.name, file.size, file.lastModified];

/** How a file was read is valid until the file or a choice changes, and is not kept for later. */
const OF_A_FILE = { staleTime: Infinity, gcTime: 0, retry: false } as const;

/** How a station's file is read with these choices; nothing is saved. */
export function useRecordPreview(zone: string, file: File | null, choices: ReadingChoices) {
    return useQuery({
        ...OF_A_FILE,
        // A new station's name and elevation do not change how its file is read.
        queryKey: [
            'preview',
            zone,
            sameFile(file),
            { ...choices, station_name: undefined, station_height_m: undefined },
        ],
        enabled: file !== null,
        queryFn: () => {
            const body = stationFile(file as File, choices);
            return unwrap(
                api.POST('/api/zones/{zone}/record-previews', {
                    params: { path: { zone } },
                    ...asForm(body),
                }),
            );
        },
    });
}

/** Saves a station's file and has the zone computed with it. */
export function useImportRecord(zone: string, onComputing: (computation: number) => void) {
    return useMutation({
        mutationFn: ({ file, choices }: { file: File; choices: ReadingChoices }) => {
            const body = stationFile(file, choices);
            return unwrap(
                api.POST('/api/zones/{zone}/record-imports', {
                    params: { path: { zone } },
                    ...asForm(body),
                }),
            );
        },
        onSuccess: (computation) => onComputing(computation.id),
    });
}

/** Goes back to the record as an earlier upload left it. */
export function useImportAgain(onComputing: (computation: number) => void) {
    return useMutation({
        mutationFn: (id: number) =>
            unwrap(api.POST('/api/record-imports/{import}/use', { params: { path: { import: id } } })),
        onSuccess: (computation) => onComputing(computation.id),
    });
}

/** Probe readings compared with the model at a site. */
export function useCalibration(zone: string, file: File | null, site: number | undefined, depth: number | undefined) {
    return useQuery({
        ...OF_A_FILE,
        queryKey: ['calibration', zone, sameFile(file), site, depth],
        enabled: file !== null && site !== undefined,
        queryFn: () => {
            const body = new FormData();
            body.set('file', file as File);
            body.set('site', String(site));
            if (depth !== undefined) body.set('depth', String(depth));
            return unwrap(
                api.POST('/api/zones/{zone}/calibrations', {
                    params: { path: { zone } },
                    ...asForm(body),
                }),
            );
        },
    });
}

type Decision =
    | {
          date: string;
          element: Schema['DoubtedValue']['element'];
          accepted: boolean;
          note: string;
          replaces: number | null;
          station?: number;
      }
    | { undo: number };

/** Decides about a value, or undoes a decision; returns the computation that follows. */
export function useDecision(zone: string, onComputing: (computation: number) => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (decision: Decision) =>
            unwrap(
                'undo' in decision
                    ? api.DELETE('/api/zones/{zone}/quality/{decision}', {
                          params: { path: { zone, decision: decision.undo } },
                      })
                    : api.POST('/api/zones/{zone}/quality', { params: { path: { zone } }, body: decision }),
            ),
        onSuccess: async (computation) => {
            await makeStale(queries, zone, 'decided');
            onComputing(computation.id);
        },
        onError: (error) => whenStale(error, () => makeStale(queries, zone, 'decided')),
    });
}

export function useSaveStations(zone: string, onComputing: (computation: number) => void) {
    const queries = useQueryClient();
    return useUndoable({
        send: (body: { stations: Schema['Station'][]; version: number }) =>
            unwrap(api.PUT('/api/zones/{zone}/stations', { params: { path: { zone } }, body })),
        saved: async (computation) => {
            await makeStale(queries, zone, 'stations-changed');
            onComputing(computation.id);
        },
        refused: (error) => whenStale(error, () => makeStale(queries, zone, 'stations-changed')),
        before: () => queries.getQueryData<Schema['Stations']>(zoneKey(zone, 'stations')),
        done: () => say('notice.stations'),
        // The answer is about the computation that follows; the edit increased the version by one.
        undo: ({ sent, before }, again) =>
            before ? () => again({ stations: before.stations, version: sent.version + 1 }) : null,
    });
}

export function useChooseYears(zone: string, onComputing: (computation: number) => void) {
    const queries = useQueryClient();
    return useUndoable({
        send: ({ years, version }: { years: number | null; version: number }) =>
            unwrap(
                api.PUT('/api/zones/{zone}/years', {
                    params: { path: { zone } },
                    body: { years: years as 30 | 20 | 15 | null, version },
                }),
            ),
        saved: async (computation) => {
            await makeStale(queries, zone, 'stations-changed');
            onComputing(computation.id);
        },
        refused: (error) => whenStale(error, () => makeStale(queries, zone, 'settings')),
        before: () => queries.getQueryData<Zone>(zoneKey(zone, 'itself')),
        done: () => say('notice.years'),
        // The answer is about the computation that follows; the edit increased the version by one.
        undo: ({ sent, before }, again) =>
            before ? () => again({ years: before.years ?? null, version: sent.version + 1 }) : null,
    });
}

/** Devices that report for the stations of a zone. */
export function useDevices(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'station-devices'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/station-devices', { params: { path: { zone } } })),
    });
}

export function useAddDevice(zone: string) {
    const queries = useQueryClient();
    const saved = () => makeStale(queries, zone, 'devices-changed');
    return useUndoable({
        send: (body: { station: number; name: string }) =>
            unwrap(api.POST('/api/zones/{zone}/station-devices', { params: { path: { zone } }, body })),
        saved,
        done: ({ name }) => say('notice.connected', { what: name }),
        undo:
            ({ saved: { device } }) =>
            () =>
                endDevice(device.id).then(saved),
    });
}

const endDevice = (device: number) =>
    unwrap(api.DELETE('/api/station-devices/{device}', { params: { path: { device } } }));

/** Disconnects a device; undo reconnects it, with the token it had. */
export function useEndDevice(zone: string) {
    const queries = useQueryClient();
    const saved = () => makeStale(queries, zone, 'devices-changed');
    return useUndoable({
        send: ({ id }: Schema['StationDevice']) => endDevice(id),
        saved,
        done: ({ name }) => say('notice.disconnected', { what: name }),
        undo:
            ({ sent: { id } }) =>
            () =>
                unwrap(
                    api.POST('/api/station-devices/{device}/restoration', { params: { path: { device: id } } }),
                ).then(saved),
    });
}

/** Values that devices report differently from the record, until somebody decides about them. */
export function useCorrections(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'reported-corrections'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/reported-corrections', { params: { path: { zone } } })),
    });
}

export function useDecideOnCorrections(zone: string, onComputing: (id: number) => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: { ids: number[]; use: boolean }) =>
            unwrap(api.POST('/api/zones/{zone}/reported-corrections', { params: { path: { zone } }, body })),
        onSuccess: async (left) => {
            queries.setQueryData(zoneKey(zone, 'reported-corrections'), left);
            await makeStale(queries, zone, 'corrected');
            if (left.computation) onComputing(left.computation.id);
        },
    });
}
