import { NativeSelect } from '@mantine/core';
import { useSites } from '../api/sites';
import { say } from '../words/words';

/** Chooses which of a zone's sites to look at; no site means open ground. */
export function SiteChoice({
    zone,
    site,
    onSite,
}: {
    zone: string;
    site: number | undefined;
    onSite: (site: string | null) => void;
}) {
    const { data: sites } = useSites();
    const open = String(sites?.[0]?.id ?? '');
    return (
        <NativeSelect
            size="xs"
            aria-label={say('common.site')}
            value={String(site ?? open)}
            onChange={({ currentTarget: { value } }) => onSite(value === open ? null : value)}
            data={(sites ?? [])
                .filter((one) => one.zone === null || one.zone === zone)
                .map((one) => ({ value: String(one.id), label: one.name }))}
        />
    );
}
