import { say } from '../../words/words';
import { OfficeHead, OfficeLinks } from './Office';
import { Own } from './Own';
import type { SearchProps } from './props';
import { useAddress } from './reading';

/** Search results: crops by any of their names, zones and towns, and pages. */
export function Search({ asked, crops, zones, pages }: SearchProps) {
    const address = useAddress();
    return (
        <>
            <OfficeHead />
            <main className="text">
                <h1>{say('page.search.title')}</h1>
                <SearchForm asked={asked} />
                {asked !== '' && crops.length + zones.length + pages.length === 0 && (
                    <p role="status" className="warning">
                        {say('page.search.nothing', { asked })}
                    </p>
                )}
                {crops.length > 0 && (
                    <section>
                        <h2>{say('page.search.crops')}</h2>
                        <ul className="tasks">
                            {crops.map((crop) => (
                                <li key={crop.slug}>
                                    <strong>
                                        <Own text={crop.name} />
                                    </strong>
                                    <span>
                                        {crop.zones.map((zone) => (
                                            <a key={zone.slug} href={address(`/zones/${zone.slug}/crops/${crop.slug}`)}>
                                                {zone.name}
                                            </a>
                                        ))}
                                    </span>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
                {zones.length > 0 && (
                    <section>
                        <h2>{say('page.search.zones')}</h2>
                        <ul className="tasks">
                            {zones.map((zone) => (
                                <li key={zone.slug}>
                                    <a href={address(`/zones/${zone.slug}/this-week`)}>{zone.name}</a>
                                    <span>{zone.district}</span>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
                {pages.length > 0 && (
                    <section>
                        <h2>{say('page.search.pages')}</h2>
                        <ul className="tasks">
                            {pages.map((page) => (
                                <li key={page.path}>
                                    <a href={address(page.path)}>{page.title}</a>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
            </main>
            <footer>
                <p className="about">
                    <OfficeLinks />
                </p>
            </footer>
        </>
    );
}

export function SearchForm({ asked = '' }: { asked?: string }) {
    const address = useAddress();
    return (
        <form
            action={address('/search')}
            method="get"
            role="search"
            className="find"
            aria-label={say('page.search.for')}
        >
            <label htmlFor="for">{say('page.search.for')}</label>
            <div>
                <input id="for" name="for" type="search" defaultValue={asked} required />
                <button type="submit">{say('page.search.find')}</button>
            </div>
        </form>
    );
}
