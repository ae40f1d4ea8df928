import { lazy, Suspense } from 'react';
import { Kbd } from '@mantine/core';
import { Link, NavLink, useLocation } from 'react-router';
import type { Schema, Zone } from '../api/client';
import { degrees } from '../words/place';
import { inMetres } from '../words/units';
import { say } from '../words/words';
import type { TermName, Topic } from '../way/help';
import { find } from './find';
import { Groups } from './Groups';
import { SETTINGS } from './places';
import { ZoneSwitcher } from './ZoneSwitcher';

const Find = lazy(async () => ({ default: (await import('./Find')).Find }));

/** Where you are, the screens in their groups, one field to find or do anything, settings, and your account. */
export function Header({
    zone,
    slug,
    atHand,
    screen,
    user,
    onKeys,
    onHelp,
}: {
    zone: Zone | undefined;
    /** of the zone in the address; none: a screen outside zones */
    slug: string | undefined;
    /** the zone in use */
    atHand: string | undefined;
    screen: string;
    user: NonNullable<Schema['Session']['user']>;
    onKeys: () => void;
    /** opens the help for a topic or for the screen, and for a word */
    onHelp: (topic?: Topic, term?: TermName) => void;
}) {
    const { pathname } = useLocation();
    const isSetting = pathname.startsWith('/desk/settings');
    return (
        <header className="desk-header">
            <div className="title">
                <ZoneSwitcher zone={slug} title={slug ? (zone?.name ?? room(slug)) : screen} />
                {(zone || user.offices.length > 1) && (
                    <span className="place">
                        {[
                            user.offices.length > 1 && user.office.name,
                            zone && degrees(zone.latitude),
                            zone && say(inMetres(zone.height_m)),
                        ]
                            .filter(Boolean)
                            .join(' · ')}
                    </span>
                )}
            </div>
            {atHand && <Groups zone={atHand} />}
            <div className="person">
                <button type="button" className="find" onClick={find.open}>
                    {say('find.placeholder')} <Kbd size="xs">{say('find.key')}</Kbd>
                </button>
                <button type="button" className="plain" onClick={() => onHelp()}>
                    {say('help.open')}
                </button>
                <NavLink to={SETTINGS[0]?.path ?? '/desk'} className={isSetting ? 'active' : ''}>
                    {say('desk.settings')}
                </NavLink>
                <Link to="/desk/profile" title={say(`role.${user.role}`)}>
                    {user.name.split(' ')[0]}
                </Link>
            </div>
            <Suspense>
                <Find zone={atHand} onKeys={onKeys} onHelp={onHelp} />
            </Suspense>
        </header>
    );
}

/** Placeholder for a zone's name before it has loaded, about as long. */
function room(slug: string): string {
    return slug.replaceAll('-', ' ').replace(/^./, (letter) => letter.toUpperCase());
}
