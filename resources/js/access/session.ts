import { useQuery } from '@tanstack/react-query';
import { api, taken, type Schema } from '../api/client';

/** Who is logged in, which day it is for the server. */

export function useSession() {
    return useQuery({ queryKey: ['session'], queryFn: () => taken(api.GET('/api/session')) });
}

/** Whether the one who is logged in may do something; the server decides, and refuses what it does not allow. */
export function useMay(ability: Schema['Ability']): boolean {
    return useSession().data?.user?.can.includes(ability) ?? false;
}
