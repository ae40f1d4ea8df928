import { useQueries } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import { zoneKey } from '../../api/stale';

export type Succession = Schema['Succession'];
export type Plan = Schema['SuccessionPlan'];
export type Sowing = Plan['sowings'][number];

/** What a crop is counted in. */
export type Unit = 'kg' | 'stems';

/** A crop and how much of it is wanted a week, in its own unit. */
export type Want = { crop: string; amount: number };

export type Supplied = { want: Want; data: Succession | undefined; error: Error | null };

export function unitOf({ data }: Supplied): Unit {
    return data?.unit ?? 'kg';
}

/** Sowings of each crop that give what is wanted, from a day of the year on. */
export function useSupply(zone: string, wants: Want[], on: string, days: number): Supplied[] {
    const found = useQueries({
        queries: wants.map(({ crop, amount }) => ({
            queryKey: zoneKey(zone, 'windows', crop, 'succession', { on, days, amount }),
            retry: false,
            queryFn: () =>
                unwrap(
                    api.GET('/api/zones/{zone}/windows/{crop}/succession', {
                        params: { path: { zone, crop }, query: { on, days, amount } },
                    }),
                ),
        })),
    });
    return wants.map((want, i) => ({ want, data: found[i]?.data, error: found[i]?.error ?? null }));
}
