import { useQuery } from '@tanstack/react-query';
import { api, unwrap } from './client';

/** Queries about crops that several screens use. */

export function useCrops() {
    return useQuery({ queryKey: ['crops'], queryFn: () => unwrap(api.GET('/api/crops')) });
}
