import { useQuery } from '@tanstack/react-query';
import { api, taken } from './client';

/** What several screens ask of crops. */

export function useCrops() {
    return useQuery({ queryKey: ['crops'], queryFn: () => taken(api.GET('/api/crops')) });
}
