import { useQuery } from '@tanstack/react-query';
import { api, taken } from './client';

/** What several screens ask of the log and of what the ground answers. */

export function useUnderWay(zone: string) {
    return useQuery({
        queryKey: ['log', zone, 'under-way'],
        queryFn: () => taken(api.GET('/api/zones/{zone}/under-way', { params: { path: { zone } } })),
    });
}

export function useTrials(zone: string, crop?: string) {
    return useQuery({
        queryKey: ['log', zone, 'trials', crop],
        queryFn: () => taken(api.GET('/api/zones/{zone}/trials', { params: { path: { zone }, query: { crop } } })),
    });
}

export function useLocalDays(zone: string) {
    return useQuery({
        queryKey: ['log', zone, 'local-days'],
        queryFn: () => taken(api.GET('/api/zones/{zone}/local-days', { params: { path: { zone } } })),
    });
}

export function useCues(zone: string) {
    return useQuery({
        queryKey: ['log', zone, 'cues'],
        queryFn: () => taken(api.GET('/api/zones/{zone}/cues', { params: { path: { zone } } })),
    });
}

/** Beds, crops and what is due: what a line of the log may name. */
export function useLogBook(zone: string) {
    return useQuery({
        queryKey: ['log', zone, 'book'],
        queryFn: () => taken(api.GET('/api/zones/{zone}/log-book', { params: { path: { zone } } })),
    });
}

/** What is to be done for what is planned on the beds. */
export function useGroundTasks(zone: string, span: { from: string; to: string }) {
    return useQuery({
        queryKey: ['ground', zone, 'tasks', span],
        queryFn: () => taken(api.GET('/api/zones/{zone}/ground-tasks', { params: { path: { zone }, query: span } })),
    });
}
