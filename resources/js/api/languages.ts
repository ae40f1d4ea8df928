import { useQuery } from '@tanstack/react-query';
import { api, unwrap } from './client';

/** What people wrote that gardeners read, with its translations. */
export function useTranslations() {
    return useQuery({ queryKey: ['translations'], queryFn: () => unwrap(api.GET('/api/translations')) });
}

/** Languages that what people write is translated into: "es". */
export function useLanguages() {
    return useQuery({
        queryKey: ['translations'],
        queryFn: () => unwrap(api.GET('/api/translations')),
        select: (data) => data.languages,
    });
}
