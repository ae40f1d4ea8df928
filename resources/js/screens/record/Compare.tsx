import { say } from '../../words/words';
import { NativeSelect } from '@mantine/core';
import { useSearchParams } from 'react-router';
import { useClimate, useRain, useZones } from '../../api/zones';

/** What a zone is compared with, according to the address: another zone, or other years of the same; no name: nothing. */
function useAgainst(zone: string) {
    const [params] = useSearchParams();
    const { data: zones } = useZones();
    const against = params.get('against') ?? '';
    const years = /^(\d{4})-(\d{4})$/.exec(against);
    return {
        other: years || against === '' ? zone : against,
        period: years ? { from: Number(years[1]), to: Number(years[2]) } : undefined,
        name: years
            ? say('compare.to', { period: years[1], period2: years[2] })
            : against === ''
              ? null
              : (zones?.find((z) => z.slug === against)?.name ?? against),
    };
}

/** The climate that a zone's is compared with; none if it is compared with nothing. */
export function useCompared(zone: string) {
    const { other, period, name } = useAgainst(zone);
    const { data, error } = useClimate(other, period);
    return name === null ? { name, data: undefined, error: null } : { name, data, error };
}

/** The rain that a zone's is compared with, likewise. Null if nobody measured it there. */
export function useRainCompared(zone: string) {
    const { other, period, name } = useAgainst(zone);
    const { data, error } = useRain(other, period);
    return name === null ? { name, data: undefined, error: null } : { name, data, error };
}

/** Chooses it; periods are halves of the record, and its latest fifteen years. */
export function Compare({ zone, seasons }: { zone: string; seasons: number[] }) {
    const [params, setParams] = useSearchParams();
    const { data: zones } = useZones();
    const choose = (against: string) => {
        const next = new URLSearchParams(params);
        if (against === '') next.delete('against');
        else next.set('against', against);
        setParams(next, { replace: true });
    };
    const first = seasons[0];
    const last = seasons.at(-1);
    const periods =
        first === undefined || last === undefined || last - first < 9
            ? []
            : [
                  {
                      value: `${first}-${Math.floor((first + last) / 2)}`,
                      label: say('compare.to-2', { first, first2: Math.floor((first + last) / 2) }),
                  },
                  {
                      value: `${Math.floor((first + last) / 2) + 1}-${last}`,
                      label: say('common.to', { first: Math.floor((first + last) / 2) + 1, last }),
                  },
              ];
    const against = params.get('against') ?? '';
    if (/^\d{4}-\d{4}$/.test(against) && !periods.some((period) => period.value === against))
        periods.push({ value: against, label: against.replace('-', ' to ') });
    return (
        <NativeSelect
            size="xs"
            label={say('compare.compare-with')}
            value={against}
            onChange={(event) => choose(event.currentTarget.value)}
            data={[
                { value: '', label: 'nothing' },
                {
                    group: say('compare.other-zones'),
                    items: (zones ?? [])
                        .filter((z) => z.slug !== zone && z.record)
                        .map((z) => ({ value: z.slug, label: z.name })),
                },
                { group: say('compare.other-years-here'), items: periods },
            ]}
        />
    );
}
