import { useMutation, useQueryClient } from '@tanstack/react-query';
import { logIn } from '../../access/session';

export function useLogIn() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: async (who: { email: string; password: string }) => {
            const others = queries.getQueryCache().getAll();
            await logIn(queries, who);
            // What somebody else saw is not shown to the one who logs in.
            for (const query of others) if (query.queryKey[0] !== 'session') queries.getQueryCache().remove(query);
        },
    });
}
