import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';

export type Said = { language: string; text: string; translation: string; before: string | null };

export function useTranslate() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: Said) => unwrap(api.PUT('/api/translations', { body })),
        onSuccess: () => queries.invalidateQueries({ queryKey: ['translations'] }),
    });
}
