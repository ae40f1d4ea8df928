import { useInfiniteQuery } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';

export type Change = Schema['TrailChange'];

/** The filters for changes; what is left out is not filtered. */
export type Asked = { zone?: string; crop?: string; person?: number; from?: string; until?: string };

/** The matching changes, latest first, page by page. */
export function useChanges(asked: Asked) {
    return useInfiniteQuery({
        queryKey: ['changes', asked],
        initialPageParam: undefined as number | undefined,
        queryFn: ({ pageParam }) =>
            unwrap(api.GET('/api/changes', { params: { query: { ...asked, before: pageParam } } })),
        getNextPageParam: (page) => (page.more ? page.changes.at(-1)?.id : undefined),
    });
}
