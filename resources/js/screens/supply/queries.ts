import { useQueries } from '@tanstack/react-query';
import { api, taken, type Schema } from '../../api/client';

export type Succession = Schema['Succession'];
export type Sowing = Schema['SuccessionPlan']['sowings'][number];

/** A crop and how much of it is wanted, kilograms a week. */
export type Want = { crop: string; kg: number };

export type Supplied = { want: Want; data: Succession | undefined; error: Error | null };

/** Sowings of each crop that give what is wanted, from a day of the year on. */
export function useSupply(zone: string, wants: Want[], on: string, days: number): Supplied[] {
    const found = useQueries({
        queries: wants.map(({ crop, kg }) => ({
            queryKey: ['windows', zone, crop, 'succession', { on, days, kg }],
            retry: false,
            queryFn: () =>
                taken(
                    api.GET('/api/zones/{zone}/windows/{crop}/succession', {
                        params: { path: { zone, crop }, query: { on, days, kg } },
                    }),
                ),
        })),
    });
    return wants.map((want, i) => ({ want, data: found[i]?.data, error: found[i]?.error ?? null }));
}
