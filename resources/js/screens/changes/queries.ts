import { useInfiniteQuery } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';

export type Change = Schema['TrailChange'];

/** What is asked of the changes; what is left out is not asked. */
export type Asked = { zone?: string; crop?: string; person?: number; from?: string; until?: string };

/** The changes that fit, the latest first, page by page. */
export function useChanges(asked: Asked) {
    return useInfiniteQuery({
        queryKey: ['changes', asked],
        initialPageParam: undefined as number | undefined,
        queryFn: ({ pageParam }) =>
            unwrap(api.GET('/api/changes', { params: { query: { ...asked, before: pageParam } } })),
        getNextPageParam: (page) => (page.more ? page.changes.at(-1)?.id : undefined),
    });
}
