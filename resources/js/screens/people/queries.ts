import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, done, unwrap, type Schema } from '../../api/client';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';

export type Person = Schema['People']['people'][number];
export type Role = Schema['Role'];

const PEOPLE = ['people'];

export function usePeople() {
    return useQuery({ queryKey: PEOPLE, retry: false, queryFn: () => unwrap(api.GET('/api/people')) });
}

/** A change to people; the list is loaded again afterward, whether it was made or refused. */
function usePeopleAct<T>(act: (with_: T) => Promise<unknown>) {
    const queries = useQueryClient();
    return useMutation({ mutationFn: act, onSettled: () => queries.invalidateQueries({ queryKey: PEOPLE }) });
}

export const useInvite = () =>
    usePeopleAct((body: { name: string; email: string; role: Role }) => unwrap(api.POST('/api/invitations', { body })));

export const useWithdrawInvitation = () =>
    usePeopleAct((invitation: number) =>
        done(api.DELETE('/api/invitations/{invitation}', { params: { path: { invitation } } })),
    );

type PersonChange = { id: number; role?: Role; active?: boolean; second_factor?: false };

/** Once a second step is turned off, only the person can set it up again. */
export function useChangePerson() {
    const queries = useQueryClient();
    const stale = () => queries.invalidateQueries({ queryKey: PEOPLE });
    return useUndoable({
        send: ({ id, ...body }: PersonChange) =>
            unwrap(api.PATCH('/api/people/{person}', { params: { path: { person: id } }, body })),
        saved: stale,
        refused: stale,
        before: ({ id }) => queries.getQueryData<Schema['People']>(PEOPLE)?.people.find((one) => one.id === id),
        done: ({ id }) =>
            say('notice.saved', {
                what: queries.getQueryData<Schema['People']>(PEOPLE)?.people.find((one) => one.id === id)?.name ?? '',
            }),
        undo: ({ sent: { id, role, active, second_factor }, before }, again) => {
            if (!before || second_factor === false) return null;
            return () =>
                again({
                    id,
                    ...(role ? { role: before.role } : {}),
                    ...(active === undefined ? {} : { active: before.active }),
                });
        },
    });
}

export const useRemovePerson = () =>
    usePeopleAct(({ id, keep_name }: { id: number; keep_name: boolean }) =>
        done(api.DELETE('/api/people/{person}', { params: { path: { person: id } }, body: { keep_name } })),
    );
