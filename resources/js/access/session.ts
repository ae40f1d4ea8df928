import { useQuery } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../api/client';

/** Who is logged in, which day it is for the server. */

export function useSession() {
    return useQuery({ queryKey: ['session'], queryFn: () => unwrap(api.GET('/api/session')) });
}

/** Whether the one who is logged in may do something; the server decides, and refuses what it does not allow. */
export function useCan(ability: Schema['Ability']): boolean {
    return useSession().data?.user?.can.includes(ability) ?? false;
}
