import { useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import { api, asForm, taken, type Schema } from '../../api/client';

export type Line = Schema['LogEntry'];

/** Which lines are looked at; left out: all. */
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
        queryKey: ['log', zone, 'lines', asked],
        initialPageParam: undefined as string | undefined,
        queryFn: ({ pageParam }) =>
            taken(
                api.GET('/api/zones/{zone}/log', {
                    params: { path: { zone }, query: { ...asked, after: pageParam } },
                }),
            ),
        getNextPageParam: ({ lines, more }) => (more ? lines.at(-1)?.cursor : undefined),
    });
}

export function useBringTable(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (file: File) => {
            const form = new FormData();
            form.set('file', file);
            return taken(api.POST('/api/zones/{zone}/log-files', { params: { path: { zone } }, ...asForm(form) }));
        },
        onSuccess: () => queries.invalidateQueries({ queryKey: ['log', zone] }),
    });
}
