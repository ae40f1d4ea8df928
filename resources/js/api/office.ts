import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useUndoable } from './undoable';
import { say } from '../words/words';
import { api, unwrap, type Schema } from './client';

export type Office = Schema['Office'];

export function useOffice() {
    return useQuery({ queryKey: ['office'], queryFn: () => unwrap(api.GET('/api/office')) });
}

/** A draft of an older version must not be saved over a newer one. */
export const officeDraft = (version: number) => `office-${version}`;

export function useSaveOffice(version: number) {
    const queries = useQueryClient();
    const stale = () => queries.invalidateQueries({ queryKey: ['office'] });
    return useUndoable({
        meta: { draft: officeDraft(version) },
        send: (body: Office) => unwrap(api.PUT('/api/office', { body })),
        saved: stale,
        refused: stale,
        before: () => queries.getQueryData<Office>(['office']),
        done: ({ name }) => say('notice.saved', { what: name }),
        undo: ({ saved, before }, again) => (before ? () => again({ ...before, version: saved.version }) : null),
    });
}

/** Mail that would have been sent. */
export function useOutbox(may: boolean) {
    return useQuery({
        queryKey: ['outbox'],
        enabled: may,
        queryFn: () => unwrap(api.GET('/api/outbox')),
    });
}
