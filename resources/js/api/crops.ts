import { useQuery } from '@tanstack/react-query';
import { api, unwrap } from './client';

/** What several screens ask of crops. */

export function useCrops() {
    return useQuery({ queryKey: ['crops'], queryFn: () => unwrap(api.GET('/api/crops')) });
}
