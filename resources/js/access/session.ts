import { useQuery } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../api/client';
import { readAsChosen } from '../words/remembered';

/** Who is logged in, which day it is for the server. */

export function useSession() {
    return useQuery({
        queryKey: ['session'],
        queryFn: async () => {
            const session = await unwrap(api.GET('/api/session'));
            // Before anything of the desk is drawn.
            if (session.user) readAsChosen(session.user);
            return session;
        },
    });
}

/** Whether the one who is logged in may do something; the server decides, and refuses what it does not allow. */
export function useCan(ability: Schema['Ability']): boolean {
    return useSession().data?.user?.can.includes(ability) ?? false;
}
