import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, Refusal, unwrap, type Schema } from './client';
import { useUndoable } from './undoable';
import { say } from '../words/words';
import { makeStale, zoneKey } from './stale';

/** Queries about the log, and about what grows, that several screens use. */

/** Every task there is, so the compiler asks for the place of a new one. */
const ORDER = {
    sown: true,
    up: true,
    'set-out': true,
    thinned: true,
    'first-picked': true,
    picked: true,
    'last-picked': true,
    lost: true,
    covered: true,
    uncovered: true,
    amended: true,
    watered: true,
    gauge: true,
    reading: true,
    seen: true,
    note: true,
} satisfies Record<Schema['LoggedAct'], true>;

/** Tasks to log, in the order of a year. */
export const ACTS = Object.keys(ORDER) as Schema['LoggedAct'][];

type Written = Omit<Schema['LoggedEntry'], 'written_at' | 'key'>;

/** Saves one entry from the desk; a refusal is thrown with its reason. A correction is undone where it is shown. */
export function useWriteLine(zone: string) {
    const queries = useQueryClient();
    return useUndoable({
        send: async (entry: Written) => {
            const now = Date.now();
            const line = { ...entry, key: crypto.randomUUID(), written_at: now };
            const body = { sent_at: now, by: 'desk' as const, entries: [line] };
            const answer = await unwrap(
                api.POST('/api/zones/{zone}/log-entries', { params: { path: { zone } }, body }),
            );
            const [refused] = answer.refused;
            if (refused) throw new Refusal(refused.message, 422, { [refused.field]: [refused.message] });
            return line.key;
        },
        saved: () => makeStale(queries, zone, 'logged'),
        done: ({ taken_back }) => say(taken_back ? 'notice.taken-back' : 'notice.logged'),
        undo: ({ sent: { act, on, corrects }, saved: key }, again) =>
            corrects ? null : () => again({ act, on, corrects: key, taken_back: true }),
    });
}

export function useUnderWay(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'log', 'under-way'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/under-way', { params: { path: { zone } } })),
    });
}

/** Which beds need water; empty without recent rain on record. */
export function useWaterDue(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'log', 'water-due'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/water-due', { params: { path: { zone } } })),
    });
}

export function useTrials(zone: string, crop?: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'log', 'trials', crop),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/trials', { params: { path: { zone }, query: { crop } } })),
    });
}

export function useLocalDays(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'log', 'local-days'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/local-days', { params: { path: { zone } } })),
    });
}

export function useCues(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'log', 'cues'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/cues', { params: { path: { zone } } })),
    });
}

/** Beds, crops, and what is due: what an entry of the log may name. */
export function useLogBook(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'log', 'book'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/log-book', { params: { path: { zone } } })),
    });
}

/** Tasks for what is planned in the beds. */
export function useGroundTasks(zone: string, span: { from: string; to: string }) {
    return useQuery({
        queryKey: zoneKey(zone, 'ground', 'tasks', span),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/ground-tasks', { params: { path: { zone }, query: span } })),
    });
}
