import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';

export function useLogIn() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (who: { email: string; password: string }) => unwrap(api.POST('/api/session', { body: who })),
        onSuccess: (session) => {
            // What somebody else saw is not shown to the one who logs in.
            queries.getQueryCache().clear();
            queries.setQueryData(['session'], session);
        },
    });
}
