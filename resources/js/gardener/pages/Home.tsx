import { ZoneOutlines } from '../../charts/ZoneOutlines';
import { inMetres } from '../../words/units';
import { own, say } from '../../words/words';
import { Contact, OfficeLine, OfficeLinks } from './Office';
import type { HomeProps } from './props';
import { Readings, useAddress } from './reading';
import { SearchForm } from './Search';

/** Where gardeners find the zone they live in. */
export function Home({ office, asked, found, zones }: HomeProps) {
    const address = useAddress();
    const districts = [...new Set(zones.map((zone) => zone.district))];
    return (
        <main className="home">
            <OfficeLine office={office} />
            <Readings />
            <h1>{say('page.home.title')}</h1>
            <form action={address('/')} method="get" role="search" className="find" aria-label={say('page.home.place')}>
                <label htmlFor="place">{say('page.home.place')}</label>
                <div>
                    <input id="place" name="place" type="search" autoComplete="postal-code" required />
                    <button type="submit">{say('page.home.show')}</button>
                </div>
            </form>
            <p className="position" hidden>
                <button type="button" className="plain" data-find={address('/find')}>
                    {say('page.home.position')}
                </button>{' '}
                <span role="status" data-refused={say('page.home.position-refused')} />
            </p>
            <p className="last-zone" hidden>
                {say('page.home.last-zone')} <a href={address('/zones/~zone~/this-week')}>~</a>
            </p>
            {asked && !found && (
                <p role="status" className="warning">
                    {say('page.home.unknown')}
                </p>
            )}
            {asked && found && <p role="status">{say('page.home.several')}</p>}
            <SearchForm />
            {zones.length === 0 && <p>{say('page.home.none')}</p>}
            {districts.map((district) => (
                <section key={district} className="district">
                    <h2>
                        {own(district)}
                        {office === null &&
                            officesOf(zones.filter((zone) => zone.district === district)).map((one) => (
                                <OfficeLine key={one.slug} office={one} />
                            ))}
                    </h2>
                    <ul className="zones">
                        {zones
                            .filter((zone) => zone.district === district)
                            .map((zone) => (
                                <li key={zone.slug}>
                                    <a href={address(`/zones/${zone.slug}/this-week`)}>{zone.name}</a>
                                    <span>
                                        {zone.settlements.map((s) => s.name).join(', ')}
                                        {zone.settlements.length > 0 && ' · '}
                                        {say(inMetres(zone.height_m))}
                                    </span>
                                </li>
                            ))}
                    </ul>
                    <ZoneOutlines
                        label={say('page.home.map', { district })}
                        zones={zones
                            .filter((zone) => zone.district === district)
                            .map((zone) => ({
                                ...zone,
                                key: zone.slug,
                                href: address(`/zones/${zone.slug}/this-week`),
                            }))}
                    />
                </section>
            ))}
            {office && (
                <section className="district">
                    <h2>{say('office.contact.title')}</h2>
                    <Contact office={office} />
                    <p>
                        <a href={address('/')}>{say('page.home.all')}</a>
                    </p>
                </section>
            )}
            <footer>
                <p className="about">
                    <OfficeLinks />
                </p>
                <a href="/desk">{say('page.home.educators')}</a>
            </footer>
        </main>
    );
}

/** Each once; empty if there is only one office. */
function officesOf(zones: HomeProps['zones']) {
    const offices = zones.flatMap((zone) => (zone.office ? [zone.office] : []));
    return [...new Map(offices.map((office) => [office.slug, office])).values()];
}
