import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
    api,
    asForm,
    Refusal,
    stationFile,
    taken,
    type Computation,
    type ReadingChoices,
    type Schema,
} from '../api/client';
import type { paths } from '../api/schema';

/** What the screens ask the server for. Each fact has one key, so that a change is seen everywhere. */

export function useSession() {
    return useQuery({ queryKey: ['session'], queryFn: () => taken(api.GET('/api/session')) });
}

export function useLogIn() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (who: { email: string; password: string }) => taken(api.POST('/api/session', { body: who })),
        onSuccess: (session) => {
            // What somebody else saw is not shown to the one who logs in.
            queries.getQueryCache().clear();
            queries.setQueryData(['session'], session);
        },
    });
}

export function useZones() {
    return useQuery({ queryKey: ['zones'], queryFn: () => taken(api.GET('/api/zones')) });
}

export function useZoneComparison() {
    return useQuery({ queryKey: ['zones', 'comparison'], queryFn: () => taken(api.GET('/api/zone-comparison')) });
}

export function useZone(zone: string | undefined) {
    return useQuery({
        queryKey: ['zone', zone],
        enabled: zone !== undefined,
        // While it is being computed, by whomever, it is looked at again.
        refetchInterval: (query) =>
            ['queued', 'running'].includes(query.state.data?.computation?.state ?? '') ? 2000 : false,
        queryFn: () => taken(api.GET('/api/zones/{zone}', { params: { path: { zone: zone ?? '' } } })),
    });
}

/** After a refusal of a stale edit, what others made of it is fetched, so that the form can go on from there. */
function whenStale(error: Error, refetch: () => unknown) {
    if (error instanceof Refusal && error.status === 409) void refetch();
}

type ZoneValues = NonNullable<paths['/api/zones']['post']['requestBody']>['content']['application/json'];

/** Creates a zone, or saves a changed one. */
export function useSaveZone(slug: string | undefined) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: ZoneValues) =>
            taken(
                slug === undefined
                    ? api.POST('/api/zones', { body })
                    : api.PATCH('/api/zones/{zone}', { params: { path: { zone: slug } }, body }),
            ),
        onSuccess: (saved) => {
            queries.setQueryData(['zone', saved.slug], saved);
            // A zone that was moved has other windows and another climate.
            return Promise.all([
                queries.invalidateQueries({ queryKey: ['zones'] }),
                queries.invalidateQueries({ queryKey: ['windows', saved.slug] }),
                queries.invalidateQueries({ queryKey: ['climate', saved.slug] }),
            ]);
        },
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['zone', slug] })),
    });
}

/** How a zone's windows are looked at: at which site (left out: open ground) and by which standard (left out: the zone's). */
export type View = { site?: number; standard?: Schema['Standard'] };

export function useWindows(zone: string, view: View = {}) {
    return useQuery({
        queryKey: ['windows', zone, view],
        placeholderData: keepPreviousData,
        retry: false,
        queryFn: () => taken(api.GET('/api/zones/{zone}/windows', { params: { path: { zone }, query: view } })),
    });
}

/** The climate a zone's windows lean on, or that of a period of cold seasons. */
export function useClimate(zone: string, period?: { from: number; to: number }, enabled = true) {
    return useQuery({
        enabled,
        queryKey: ['climate', zone, period ?? 'used'],
        queryFn: () => taken(api.GET('/api/zones/{zone}/climate', { params: { path: { zone }, query: period } })),
    });
}

export function useYearCourse(zone: string, year: number) {
    return useQuery({
        queryKey: ['climate', zone, year],
        enabled: year > 0,
        placeholderData: keepPreviousData,
        queryFn: () => taken(api.GET('/api/zones/{zone}/climate/years/{year}', { params: { path: { zone, year } } })),
    });
}

export function useStations(zone: string) {
    return useQuery({
        queryKey: ['stations', zone],
        queryFn: () => taken(api.GET('/api/zones/{zone}/stations', { params: { path: { zone } } })),
    });
}

export function useSites() {
    return useQuery({ queryKey: ['sites'], queryFn: () => taken(api.GET('/api/sites')) });
}

export function useDossier(zone: string, crop: string, view: View = {}) {
    return useQuery({
        queryKey: ['windows', zone, crop, view],
        placeholderData: keepPreviousData,
        queryFn: () =>
            taken(api.GET('/api/zones/{zone}/windows/{crop}', { params: { path: { zone, crop }, query: view } })),
    });
}

export function useRuns(zone: string, crop: string, route: 'direct' | 'transplant', site?: number, variety?: number) {
    return useQuery({
        queryKey: ['windows', zone, crop, 'runs', route, site, variety],
        placeholderData: keepPreviousData,
        queryFn: () =>
            taken(
                api.GET('/api/zones/{zone}/windows/{crop}/runs', {
                    params: { path: { zone, crop }, query: { route, site, variety } },
                }),
            ),
    });
}

export function useCropComparison(zone: string, crop: string, standard?: Schema['Standard']) {
    return useQuery({
        queryKey: ['windows', zone, crop, 'compared', standard],
        queryFn: () =>
            taken(
                api.GET('/api/zones/{zone}/windows/{crop}/compared', {
                    params: { path: { zone, crop }, query: { standard } },
                }),
            ),
    });
}

type Choice = Schema['School'] extends infer School
    ? | {
            school: School;
            reason: string;
            replaces: number | null;
            windows?: { route: 'direct' | 'transplant'; first: string; last: string }[];
        }
      | { undo: number }
    : never;

/** Follows a school for a crop, or one's own dates; or undoes that. */
export function useChoice(zone: string, crop: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (choice: Choice) =>
            taken(
                'undo' in choice
                    ? api.DELETE('/api/zones/{zone}/choices/{choice}', {
                          params: { path: { zone, choice: choice.undo } },
                      })
                    : api.POST('/api/zones/{zone}/windows/{crop}/choices', {
                          params: { path: { zone, crop } },
                          body: choice,
                      }),
            ),
        onSuccess: () => queries.invalidateQueries({ queryKey: ['windows', zone] }),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['windows', zone] })),
    });
}

/** Has a zone computed at a site. */
export function useCompute(zone: string, onComputing: (computation: number) => void) {
    return useMutation({
        mutationFn: (site: number) =>
            taken(api.POST('/api/zones/{zone}/computations', { params: { path: { zone } }, body: { site } })),
        onSuccess: (computation) => onComputing(computation.id),
    });
}

export function useCancel() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (computation: number) =>
            taken(api.DELETE('/api/computations/{computation}', { params: { path: { computation } } })),
        onSuccess: (computation) => queries.invalidateQueries({ queryKey: ['computation', computation.id] }),
    });
}

export function useChooseMethod(zone: string, onComputing: (computation: number) => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (method: { standard: Schema['Standard']; light: Schema['Light']; version: number }) =>
            taken(api.PUT('/api/zones/{zone}/method', { params: { path: { zone } }, body: method })),
        onSuccess: async (computation) => {
            await queries.invalidateQueries({ queryKey: ['zone', zone] });
            onComputing(computation.id);
        },
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['zone', zone] })),
    });
}

export function useCrops() {
    return useQuery({ queryKey: ['crops'], queryFn: () => taken(api.GET('/api/crops')) });
}

/** What may stand in a crop's cells; it changes with the application alone. */
export function useCropColumns() {
    return useQuery({
        queryKey: ['crop-columns'],
        staleTime: Infinity,
        queryFn: () => taken(api.GET('/api/crop-columns')),
    });
}

export function useCrop(crop: string | undefined) {
    return useQuery({
        queryKey: ['crops', crop],
        enabled: crop !== undefined,
        queryFn: () => taken(api.GET('/api/crops/{crop}', { params: { path: { crop: crop ?? '' } } })),
    });
}

type Cells = Record<string, string>;

/** A crop in a zone as it is, and as it would be with some cells changed. */
export function useCropTrial(crop: string, zone: string, cells: Cells) {
    return useQuery({
        queryKey: ['crops', crop, 'trial', zone, cells],
        enabled: zone !== '',
        retry: false,
        placeholderData: keepPreviousData,
        queryFn: () =>
            taken(api.POST('/api/crops/{crop}/trials', { params: { path: { crop } }, body: { zone, cells } })),
    });
}

/** What follows from a changed crop: the book, and the windows of every zone once they are computed anew. */
function forgetCrops(queries: ReturnType<typeof useQueryClient>) {
    return Promise.all([
        queries.invalidateQueries({ queryKey: ['crops'] }),
        queries.invalidateQueries({ queryKey: ['windows'] }),
        queries.invalidateQueries({ queryKey: ['climate'] }),
    ]);
}

export function useSaveCrop(crop: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: { cells: Cells; note: string; version: number }) =>
            taken(api.PATCH('/api/crops/{crop}', { params: { path: { crop } }, body })),
        onSuccess: () => forgetCrops(queries),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
    });
}

export function useRevertCrop(crop: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: ({ revision, version }: { revision: number; version: number }) =>
            taken(
                api.POST('/api/crops/{crop}/revisions/{revision}', {
                    params: { path: { crop, revision } },
                    body: { version },
                }),
            ),
        onSuccess: () => forgetCrops(queries),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
    });
}

export function useImportCrops() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (file: File) => {
            const body = new FormData();
            body.set('file', file);
            return taken(api.POST('/api/crops', asForm(body)));
        },
        onSuccess: () => forgetCrops(queries),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
    });
}

type VarietyValues = { id?: number; version?: number; name: string; cells: Cells; tags: string[] };

export function useSaveVariety(crop: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: ({ id, ...body }: VarietyValues) =>
            taken(
                id === undefined
                    ? api.POST('/api/crops/{crop}/varieties', { params: { path: { crop } }, body })
                    : api.PUT('/api/crops/{crop}/varieties/{variety}', {
                          params: { path: { crop, variety: id } },
                          body,
                      }),
            ),
        onSuccess: () => forgetCrops(queries),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
    });
}

export function useTakeOutVariety(crop: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (variety: number) =>
            taken(api.DELETE('/api/crops/{crop}/varieties/{variety}', { params: { path: { crop, variety } } })),
        onSuccess: () => forgetCrops(queries),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
    });
}

export function useEditions(zone: string) {
    return useQuery({
        queryKey: ['editions', zone],
        queryFn: () => taken(api.GET('/api/zones/{zone}/editions', { params: { path: { zone } } })),
    });
}

export function useRecordImports(zone: string) {
    return useQuery({
        queryKey: ['imports', zone],
        queryFn: () => taken(api.GET('/api/zones/{zone}/record-imports', { params: { path: { zone } } })),
    });
}

export function isOver(computation: Computation | undefined): boolean {
    return computation !== undefined && ['done', 'failed', 'cancelled'].includes(computation.state);
}

/** Follows a computation until it is over, then lets everything of its zone be fetched anew. */
export function useComputation(zone: string, id: number | null) {
    const queries = useQueryClient();
    return useQuery({
        queryKey: ['computation', id],
        enabled: id !== null,
        refetchInterval: (query) => (isOver(query.state.data) ? false : 300),
        queryFn: async () => {
            const computation = await taken(
                api.GET('/api/computations/{computation}', { params: { path: { computation: id ?? 0 } } }),
            );
            if (isOver(computation)) await forgetZone(queries, zone);
            return computation;
        },
    });
}

export function useQuality(zone: string, station?: number) {
    return useQuery({
        queryKey: ['quality', zone, station],
        queryFn: () => taken(api.GET('/api/zones/{zone}/quality', { params: { path: { zone }, query: { station } } })),
    });
}

/** A file is one and the same as long as these are; a query's key cannot hold the file itself. */
const sameFile = (file: File | null) => file && [file.name, file.size, file.lastModified];

/** What is understood of a file stands until the file or a choice changes, and is not kept for later. */
const OF_A_FILE = { staleTime: Infinity, gcTime: 0, retry: false } as const;

/** What is understood of a station's file, read as chosen; nothing is saved by it. */
export function useRecordPreview(zone: string, file: File | null, choices: ReadingChoices) {
    return useQuery({
        ...OF_A_FILE,
        // A new station's name and height change nothing of how its file is read.
        queryKey: [
            'preview',
            zone,
            sameFile(file),
            { ...choices, station_name: undefined, station_height_m: undefined },
        ],
        enabled: file !== null,
        queryFn: () => {
            const body = stationFile(file as File, choices);
            return taken(
                api.POST('/api/zones/{zone}/record-previews', {
                    params: { path: { zone } },
                    ...asForm(body),
                }),
            );
        },
    });
}

/** Keeps a station's file and has the zone computed with it. */
export function useImportRecord(zone: string, onComputing: (computation: number) => void) {
    return useMutation({
        mutationFn: ({ file, choices }: { file: File; choices: ReadingChoices }) => {
            const body = stationFile(file, choices);
            return taken(
                api.POST('/api/zones/{zone}/record-imports', {
                    params: { path: { zone } },
                    ...asForm(body),
                }),
            );
        },
        onSuccess: (computation) => onComputing(computation.id),
    });
}

/** Goes back to the record as a file brought earlier left it. */
export function useImportAgain(onComputing: (computation: number) => void) {
    return useMutation({
        mutationFn: (id: number) =>
            taken(api.POST('/api/record-imports/{import}/use', { params: { path: { import: id } } })),
        onSuccess: (computation) => onComputing(computation.id),
    });
}

/** Probe readings held against the model at a site. */
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
            return taken(
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
          element: 'minimum' | 'maximum';
          accepted: boolean;
          note: string;
          replaces: number | null;
          station?: number;
      }
    | { undo: number };

/** Decides on a value, or undoes a decision; tells which computation follows. */
export function useDecision(zone: string, onComputing: (computation: number) => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (decision: Decision) =>
            taken(
                'undo' in decision
                    ? api.DELETE('/api/zones/{zone}/quality/{decision}', {
                          params: { path: { zone, decision: decision.undo } },
                      })
                    : api.POST('/api/zones/{zone}/quality', { params: { path: { zone } }, body: decision }),
            ),
        onSuccess: async (computation) => {
            await queries.invalidateQueries({ queryKey: ['quality', zone] });
            onComputing(computation.id);
        },
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['quality', zone] })),
    });
}

export function useSaveStations(zone: string, onComputing: (computation: number) => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: { stations: Schema['Station'][]; version: number }) =>
            taken(api.PUT('/api/zones/{zone}/stations', { params: { path: { zone } }, body })),
        onSuccess: async (computation) => {
            await Promise.all([
                queries.invalidateQueries({ queryKey: ['stations', zone] }),
                queries.invalidateQueries({ queryKey: ['zone', zone] }),
            ]);
            onComputing(computation.id);
        },
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['stations', zone] })),
    });
}

export function useChooseYears(zone: string, onComputing: (computation: number) => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: ({ years, version }: { years: number | null; version: number }) =>
            taken(
                api.PUT('/api/zones/{zone}/years', {
                    params: { path: { zone } },
                    body: { years: years as 30 | 20 | 15 | null, version },
                }),
            ),
        onSuccess: async (computation) => {
            await Promise.all([
                queries.invalidateQueries({ queryKey: ['stations', zone] }),
                queries.invalidateQueries({ queryKey: ['zone', zone] }),
            ]);
            onComputing(computation.id);
        },
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['zone', zone] })),
    });
}

type SiteValues = Schema['SiteNumbers'] & {
    id?: number;
    version?: number;
    name: string;
    zone: string | null;
    note: string;
};

/** Adds a site, or saves a changed one; every zone may be computed anew for it. */
export function useSaveSite() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: ({ id, ...body }: SiteValues) =>
            taken(
                id === undefined
                    ? api.POST('/api/sites', { body })
                    : api.PATCH('/api/sites/{site}', { params: { path: { site: id } }, body }),
            ),
        onSuccess: () => queries.invalidateQueries(),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['sites'] })),
    });
}

export function useTakeOutSite() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: async (site: number) => {
            const { error, response } = await api.DELETE('/api/sites/{site}', { params: { path: { site } } });
            if (!response.ok) throw new Refusal(error?.message ?? 'The site could not be taken out.', response.status);
        },
        onSuccess: () => queries.invalidateQueries(),
    });
}

/** Publishes; tells which publication to follow. */
export function usePublish(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: { note: string; key: string; even_unchanged: boolean }) =>
            taken(api.POST('/api/zones/{zone}/editions', { params: { path: { zone } }, body })),
        onSuccess: (publication) => queries.setQueryData(['publication', publication.id], publication),
    });
}

/** Follows the making of an edition's pages until it is in force, then lets everything of its zone be fetched anew. */
export function usePublication(zone: string, id: number | null) {
    const queries = useQueryClient();
    return useQuery({
        queryKey: ['publication', id],
        enabled: id !== null,
        refetchInterval: (query) => (['done', 'failed'].includes(query.state.data?.state ?? '') ? false : 400),
        queryFn: async () => {
            const publication = await taken(
                api.GET('/api/publications/{publication}', { params: { path: { publication: id ?? 0 } } }),
            );
            if (publication.state === 'done') await forgetZone(queries, zone);
            return publication;
        },
    });
}

async function forgetZone(queries: ReturnType<typeof useQueryClient>, zone: string) {
    await Promise.all([
        queries.invalidateQueries({ queryKey: ['zones'] }),
        queries.invalidateQueries({ queryKey: ['zone', zone] }),
        queries.invalidateQueries({ queryKey: ['windows', zone] }),
        queries.invalidateQueries({ queryKey: ['climate', zone] }),
        queries.invalidateQueries({ queryKey: ['quality', zone] }),
        queries.invalidateQueries({ queryKey: ['stations', zone] }),
        queries.invalidateQueries({ queryKey: ['editions', zone] }),
        queries.invalidateQueries({ queryKey: ['imports', zone] }),
    ]);
}
