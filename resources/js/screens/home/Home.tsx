import { Link } from 'react-router';
import { useCan, useSession } from '../../access/session';
import type { Zone } from '../../api/client';
import { useRefusedEntries } from '../../api/device';
import { useZones } from '../../api/zones';
import { dateOfWeek } from '../../time/days';
import { listed, say } from '../../words/words';
import { Welcome } from './Welcome';
import { ZoneMap } from './ZoneMap';
import { useAttention, type Attention, type Matter } from './queries';

/** How many items a sentence lists; the others are counted. */
const LISTED = 3;

/** The screen on which each kind of matter is handled. */
const SCREEN: Record<string, string> = {
    'frost-tonight': 'today',
    frost: 'today',
    'last-chance': 'today',
    opening: 'today',
    plots: 'trials',
    'no-record': 'climate/files',
    'record-ends': 'climate/files',
    quiet: 'climate/files',
    doubts: 'climate/doubts',
    corrections: 'climate/files',
    failed: 'planting-windows',
    canceled: 'planting-windows',
    signature: 'calendars',
    'signature-of-another': 'calendars',
    comments: 'calendars',
    unpublished: 'calendars',
    conflicts: 'beds',
    table: 'log',
};

const URGENCIES = ['tonight', 'week', 'decide'] as const;

/** What needs attention, and by when, with the zones beside it. */
export function Home() {
    const { data: session } = useSession();
    const { data: zones } = useZones();
    const { data: attention, figuring } = useAttention();
    const unsent = useUnsent();
    if (!session || !zones || !attention) return null;
    const matters = [...unsent, ...attention.matters];
    if (zones.length === 0) {
        return (
            <main className="page">
                <Welcome />
            </main>
        );
    }
    return (
        <main className="home">
            <section aria-labelledby="home-day">
                <h2 id="home-day">{dateOfWeek(session.today)}</h2>
                <p className="hint">
                    {say('home.summary', {
                        matters: matters.length,
                        frost: attention.zones.filter((zone) => zone.frost).length,
                        zones: zones.length,
                    })}{' '}
                    {figuring > 0 && <span role="status">{say('home.figuring', { zones: figuring })}</span>}
                </p>
                {URGENCIES.map((urgency) => (
                    <Matters
                        key={urgency}
                        urgency={urgency}
                        matters={matters.filter((matter) => matter.urgency === urgency)}
                        zones={zones}
                    />
                ))}
            </section>
            <Zones zones={zones} attention={attention} />
        </main>
    );
}

function Matters({ urgency, matters, zones }: { urgency: string; matters: Matter[]; zones: Zone[] }) {
    if (matters.length === 0) return null;
    const name = (slug: string | null) => zones.find((zone) => zone.slug === slug)?.name ?? '';
    const sorted = [...matters].sort(
        (a, b) => (b.since ?? '').localeCompare(a.since ?? '') || name(a.zone).localeCompare(name(b.zone)),
    );
    return (
        <section className={urgency}>
            <h3>{say(`home.${urgency}`)}</h3>
            <table>
                <tbody>
                    {sorted.map((matter) => (
                        <tr key={`${matter.kind} ${matter.zone}`}>
                            <th scope="row">{matter.zone === null ? say('home.every-zone') : name(matter.zone)}</th>
                            <td>
                                {say(matter.says)} <Parts parts={matter.parts} />
                            </td>
                            <td>
                                <Act matter={matter} />
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

function Parts({ parts }: { parts: Matter['parts'] }) {
    if (parts.length === 0) return null;
    const told = parts.slice(0, LISTED).map((part) => say(part));
    const more = parts.length - told.length;
    return <>{listed(more > 0 ? [...told, say('home.more', { more })] : told)}.</>;
}

function Act({ matter }: { matter: Matter }) {
    const says = say(`home.act.${matter.kind}`);
    // This device's log has its own page.
    if (matter.kind === 'unsent') return <a href="/log">{says}</a>;
    if (matter.zone === null) return <Link to="/desk/settings/office">{says}</Link>;
    return <Link to={`/desk/zones/${matter.zone}/${SCREEN[matter.kind] ?? 'today'}`}>{says}</Link>;
}

function useUnsent(): Matter[] {
    const { data } = useRefusedEntries();
    if (!data) return [];
    const says = { key: 'attention.unsent', with: { entries: data } };
    return [{ kind: 'unsent', urgency: 'decide', zone: null, says, parts: [], since: null }];
}

function Zones({ zones, attention }: { zones: Zone[]; attention: Attention }) {
    const mayEdit = useCan('edit-zones');
    const of = (slug: string) => attention.zones.find((zone) => zone.zone === slug);
    return (
        <aside>
            <h2>{say('screen.zones')}</h2>
            <ZoneMap zones={zones} frost={attention.zones.filter((zone) => zone.frost).map((zone) => zone.zone)} />
            <table>
                <tbody>
                    {zones.map((zone) => (
                        <tr key={zone.slug}>
                            <th scope="row">
                                <Link to={`/desk/zones/${zone.slug}/${zone.record ? 'today' : 'climate'}`}>
                                    {zone.name}
                                </Link>
                            </th>
                            <td>{season(of(zone.slug)?.days_ahead)}</td>
                            <td>
                                {zone.edition
                                    ? say('home.edition', { number: zone.edition.number })
                                    : say('home.no-edition')}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p>
                <Link to="/desk/zones">{say('home.compare-zones')}</Link>
                {mayEdit && (
                    <>
                        {' · '}
                        <Link to="/desk/zones/new">{say('common.add-a-zone')}</Link>
                    </>
                )}
            </p>
        </aside>
    );
}

function season(daysAhead: number | null | undefined): string {
    if (daysAhead === null || daysAhead === undefined) return '';
    if (daysAhead === 0) return say('home.as-normal');
    return daysAhead > 0 ? say('home.ahead', { days: daysAhead }) : say('home.behind', { days: -daysAhead });
}
