import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import { zoneKey } from '../../api/stale';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';

export type SoilData = Schema['Soil'];
export type Spot = Schema['SoilSpot'];
export type Reading = Schema['SoilReading'];
export type Figure = [seconds: number, celsius: number];

/** Changes to the spots or their readings return all of them. */
function useChanged(zone: string) {
    const queries = useQueryClient();
    return (soil: SoilData) => queries.setQueryData(zoneKey(zone, 'soil'), soil);
}

export function useAddSpot(zone: string) {
    return useMutation({
        mutationFn: (body: { name: string; site: number }) =>
            unwrap(api.POST('/api/zones/{zone}/soil-spots', { params: { path: { zone } }, body })),
        onSuccess: useChanged(zone),
    });
}

export function useKeepReading(zone: string) {
    const queries = useQueryClient();
    const changed = useChanged(zone);
    return useUndoable({
        send: (body: {
            key: string;
            spot: number;
            on: string;
            hour: number;
            depth: number;
            figures?: Figure[];
            celsius?: number;
            simulated?: boolean;
        }) => unwrap(api.POST('/api/zones/{zone}/soil-readings', { params: { path: { zone } }, body })),
        saved: changed,
        before: () => queries.getQueryData<SoilData>(zoneKey(zone, 'soil')),
        done: () => say('soil.kept'),
        undo: ({ sent, saved, before }) => {
            // Somebody else may have saved one meanwhile: only one that is as it was sent is taken back.
            const known = new Set(readingsAt(before, sent.spot).map(({ id }) => id));
            const kept = readingsAt(saved, sent.spot).find(
                ({ id, on, hour, depth }) =>
                    !known.has(id) && on === sent.on && near(hour, sent.hour) && near(depth, sent.depth),
            );
            return before && kept ? () => withdraw(kept.id).then(changed) : null;
        },
    });
}

/** The server keeps hours and meters to two or three decimals. */
const near = (a: number, b: number) => Math.abs(a - b) < 0.006;

const readingsAt = (soil: SoilData | undefined, spot: number) =>
    soil?.spots.find(({ id }) => id === spot)?.readings ?? [];

const withdraw = (reading: number) =>
    unwrap(api.DELETE('/api/soil-readings/{reading}', { params: { path: { reading } } }));

export function useWithdrawReading(zone: string) {
    return useMutation({
        mutationFn: withdraw,
        onSuccess: useChanged(zone),
    });
}

/** Where the figures so far settle, as soon as there are enough. */
export function useFit(zone: string, figures: Figure[]) {
    return useQuery({
        queryKey: ['soil-fit', zone, figures],
        enabled: figures.length >= 4,
        retry: false,
        queryFn: () =>
            unwrap(api.POST('/api/zones/{zone}/soil-fits', { params: { path: { zone } }, body: { figures } })),
    });
}

/** What the connected probe shows this many seconds after it was inserted. */
export function probeFigure(spot: number, seconds: number) {
    return unwrap(api.GET('/api/soil-spots/{spot}/probe', { params: { path: { spot }, query: { seconds } } }));
}

export function useSpotCalibration(spot: number, asked: boolean) {
    return useQuery({
        queryKey: ['soil-calibration', spot],
        enabled: asked,
        retry: false,
        queryFn: () => unwrap(api.GET('/api/soil-spots/{spot}/calibration', { params: { path: { spot } } })),
    });
}
