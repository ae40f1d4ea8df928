import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, asForm, unwrap, type Schema } from '../../api/client';
import { makeStale, zoneKey } from '../../api/stale';

export type Line = Schema['LogEntry'];

/** The filters for entries; left out: all. */
export type Asked = {
    crop?: string;
    garden?: string;
    bed?: string;
    act?: Schema['LoggedAct'];
    from?: string;
    to?: string;
};

export function useLines(zone: string, asked: Asked) {
    return useInfiniteQuery({
        queryKey: zoneKey(zone, 'log', 'lines', asked),
        initialPageParam: undefined as string | undefined,
        queryFn: ({ pageParam }) =>
            unwrap(
                api.GET('/api/zones/{zone}/log', {
                    params: { path: { zone }, query: { ...asked, after: pageParam } },
                }),
            ),
        getNextPageParam: ({ lines, more }) => (more ? lines.at(-1)?.cursor : undefined),
    });
}

export function useBringTable(zone: string) {
    return useMutation({
        mutationFn: (file: File) => {
            const form = new FormData();
            form.set('file', file);
            return unwrap(api.POST('/api/zones/{zone}/log-files', { params: { path: { zone } }, ...asForm(form) }));
        },
    });
}

export type LogImport = Schema['LogImport'];

export function isOver({ state }: LogImport): boolean {
    return state === 'done' || state === 'failed';
}

/** How far along an import is, until it is done; then the log is loaded again. */
export function useLogImport(zone: string, id: number | null) {
    const queries = useQueryClient();
    return useQuery({
        queryKey: ['log-import', id],
        enabled: id !== null,
        queryFn: async () => {
            const read = await unwrap(
                api.GET('/api/log-imports/{logImport}', { params: { path: { logImport: id ?? 0 } } }),
            );
            if (isOver(read)) await makeStale(queries, zone, 'logged');
            return read;
        },
        refetchInterval: (query) => (query.state.data && isOver(query.state.data) ? false : 400),
    });
}
