import { say } from '../../words/words';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, Refusal } from '../../api/client';

export function useTakeOutSite() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: async (site: number) => {
            const { error, response } = await api.DELETE('/api/sites/{site}', { params: { path: { site } } });
            if (!response.ok) throw new Refusal(error?.message ?? say('sites.not-taken-out'), response.status);
        },
        onSuccess: () => queries.invalidateQueries(),
    });
}
