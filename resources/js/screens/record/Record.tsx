import { Action } from '../../ui/Action';
import { say } from '../../words/words';
import { NativeSelect, Progress } from '@mantine/core';
import { useState } from 'react';
import { Link, Navigate, NavLink, useParams, useSearchParams } from 'react-router';
import type { Computation } from '../../api/client';
import { useCancel, useClimate, useComputation, useZone } from '../../api/zones';
import { useChooseYears } from './queries';
import { useCan } from '../../access/session';
import { dateInWords } from '../../time/days';
import { Compare } from './Compare';
import { Course } from './Course';
import { Doubts } from './Doubts';
import { Files } from './Files';
import { Freezes } from './Freezes';
import { Readings } from './Readings';
import { Rain } from './Rain';
import { Problem } from '../../ui/Problem';

const PARTS = [
    { path: 'freezes', name: say('record.freezes') },
    { path: 'course', name: say('record.soil-air-and-light') },
    { path: 'rain', name: say('rain.title') },
    { path: 'doubts', name: say('common.doubted-values') },
    { path: 'readings', name: say('record.probe-readings') },
    { path: 'files', name: say('record.stations-and-files') },
];

/** The address of the choice of years: …/record/freezes#years-used. */
const YEARS_USED = 'years-used';

/** Moves keyboard focus there if the address names it: the browser looked before the choice was on the screen. */
function focusIfNamed(field: HTMLElement | null) {
    if (field && window.location.hash === `#${YEARS_USED}`) field.focus();
}

/** A zone's record: what it says about the place, how far to trust it, and where it comes from. */
export function Record() {
    const { zone: slug = '', part } = useParams();
    const mayEdit = useCan('edit-zones');
    const { data: zone } = useZone(slug);
    const { data: climate } = useClimate(slug, undefined, zone?.record != null);
    const [params] = useSearchParams();
    const [computation, setComputation] = useState<number | null>(null);
    const { data: progress } = useComputation(slug, computation);
    const years = useChooseYears(slug, setComputation);
    if (!zone) return null;
    const known = PARTS.some((p) => p.path === part);
    if (!known || (!zone.record && part !== 'files')) {
        const to = `/desk/zones/${slug}/climate/${zone.record ? 'freezes' : 'files'}`;
        return <Navigate to={{ pathname: to, search: params.toString() }} replace />;
    }
    const seasons = climate?.climate.thresholds[1]?.seasons.map((season) => season.season) ?? [];
    const charts = part === 'freezes' || part === 'course' || part === 'rain';
    return (
        <main className="page record">
            {zone.record && (
                <div className="record-head">
                    <nav aria-label={say('record.parts-of-the-record')} className="parts">
                        {PARTS.map((p) => (
                            <NavLink
                                key={p.path}
                                to={{ pathname: `/desk/zones/${slug}/climate/${p.path}`, search: params.toString() }}
                                className={({ isActive }) => (isActive ? 'active' : '')}
                            >
                                {p.name}
                            </NavLink>
                        ))}
                    </nav>
                    {charts && (
                        <>
                            {mayEdit ? (
                                <NativeSelect
                                    id={YEARS_USED}
                                    ref={focusIfNamed}
                                    size="xs"
                                    label={say('record.years-used')}
                                    disabled={years.isPending}
                                    value={String(zone.years ?? '')}
                                    onChange={(event) =>
                                        years.mutate({
                                            years: Number(event.currentTarget.value) || null,
                                            version: zone.version,
                                        })
                                    }
                                    data={[
                                        { value: '', label: 'all' },
                                        { value: '30', label: say('record.latest-30') },
                                        { value: '20', label: say('record.latest-20') },
                                        { value: '15', label: say('record.latest-15') },
                                    ]}
                                />
                            ) : (
                                <span className="hint">
                                    {say('record.years-used-2', {
                                        value:
                                            zone.years === null
                                                ? say('common.all')
                                                : say('record.latest', { years: zone.years }),
                                    })}
                                </span>
                            )}
                            {charts && <Compare zone={slug} seasons={seasons} />}
                        </>
                    )}
                </div>
            )}
            {zone.record && (
                <p className="hint source">
                    {say('record.to', {
                        station: zone.record.station,
                        first: dateInWords(zone.record.first),
                        last: dateInWords(zone.record.last),
                        seasons: seasons.length > 0 && say('record.cold-seasons-count', { seasons: seasons.length }),
                    })}
                </p>
            )}
            <Problem error={years.error} />
            {computation !== null && progress && <Progressing zone={slug} progress={progress} mayEdit={mayEdit} />}
            {charts && <h2 className="sr-only">{PARTS.find((p) => p.path === part)?.name}</h2>}
            {part === 'freezes' && climate && <Freezes zone={slug} data={climate} />}
            {part === 'course' && climate && <Course zone={slug} data={climate} />}
            {part === 'rain' && climate && <Rain zone={slug} ruler={climate.ruler} />}
            {charts && !climate && <p>{say('record.the-zone-is-being-computed')}</p>}
            {part === 'doubts' && <Doubts zone={slug} onComputing={setComputation} />}
            {part === 'readings' && <Readings zone={slug} />}
            {part === 'files' && <Files zone={zone} onComputing={setComputation} />}
        </main>
    );
}

function Progressing({ zone, progress, mayEdit }: { zone: string; progress: Computation; mayEdit: boolean }) {
    const cancel = useCancel();
    return (
        <div role="status" aria-live="polite" style={{ margin: '0.8rem 0' }}>
            {progress.state === 'cancelled' ? (
                <p>{say('record.cancelled-what-was-there-before')}</p>
            ) : progress.state === 'failed' ? (
                <p className="warning">{progress.error}</p>
            ) : progress.state === 'done' ? (
                <p>
                    {say('record.computed')}{' '}
                    <Link to={`/desk/zones/${zone}/planting-windows`}>{say('record.see-the-windows')}</Link>
                </p>
            ) : (
                <>
                    <p>
                        {say('record.you-can-leave-this-page', { step: { key: `step.${progress.step}` } })}{' '}
                        {mayEdit && <Action onClick={() => cancel.mutate(progress.id)}>{say('common.cancel')}</Action>}
                    </p>
                    <Progress
                        value={progress.total === 0 ? 5 : (100 * progress.done) / progress.total}
                        aria-label={say('common.progress')}
                    />
                </>
            )}
        </div>
    );
}
