import { say } from '../words/words';
import { Kbd, Modal, Table } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { loggedInAgain } from '../api/again';
import { api } from '../api/client';
import { useSession } from '../access/session';
import { useZone } from '../api/zones';
import { useKeptFocus } from '../ui/focus';
import { useKeys } from '../ui/keyboard';
import { forgetDrafts } from '../ui/kept';
import { DemoClock } from './DemoClock';
import { LogInAgain } from './LogInAgain';
import { degrees } from '../words/place';

const SCREENS = [
    { path: 'today', name: say('desk.today'), key: 't' },
    { path: 'soil', name: say('desk.soil'), key: 'o' },
    { path: 'ground', name: say('desk.ground'), key: 'd' },
    { path: 'supply', name: say('desk.supply'), key: 'y' },
    { path: 'log', name: say('desk.log'), key: 'b' },
    { path: 'trials', name: say('desk.trials'), key: 'v' },
    { path: 'cues', name: say('desk.cues'), key: 'p' },
    { path: 'record', name: say('common.record'), key: 'r' },
    { path: 'windows', name: say('desk.windows'), key: 'w' },
    { path: 'editions', name: say('common.editions'), key: 'e' },
];

/** Screens that belong to no zone. */
const OUTSIDE = [
    { path: '/desk/crops', name: say('common.crops') },
    { path: '/desk/sites', name: say('common.sites') },
    { path: '/desk/languages', name: say('desk.languages') },
    { path: '/desk/office', name: say('desk.office') },
];

const KEYS: [string, string][] = [
    ['/', say('desk.find-a-crop')],
    ['j  k', say('desk.next-previous-crop')],
    ['[  ]', say('desk.the-date-a-week-back')],
    ['{  }', say('desk.the-date-a-day-back')],
    ['t', 'today'],
    [say('desk.escape'), say('desk.let-the-crop-go')],
    ['g z', 'zones'],
    ['g t', say('desk.what-to-do-today')],
    ['g o', say('desk.soil-key')],
    ['g d', say('desk.ground-key')],
    ['g y', say('desk.supply-key')],
    ['g b', say('desk.log-key')],
    ['g v', say('desk.trials-key')],
    ['g p', say('desk.cues-key')],
    ['g r', 'record'],
    ['g w', 'windows'],
    ['g e', 'editions'],
    ['g c', say('desk.crop-book')],
    ['g s', 'sites'],
    ['g l', say('desk.languages-key')],
    ['g f', say('desk.office-key')],
    ['?', say('desk.these-keys')],
];

/** `g` and a letter for a screen, `?` for the keys. */
function useScreenKeys(slug: string | undefined, showKeys: () => void) {
    const navigate = useNavigate();
    const to = (screen: string) => slug && navigate(`/desk/zones/${slug}/${screen}`);
    useKeys({
        '?': showKeys,
        'g z': () => navigate('/desk'),
        'g t': () => to('today'),
        'g o': () => to('soil'),
        'g d': () => to('ground'),
        'g y': () => to('supply'),
        'g b': () => to('log'),
        'g v': () => to('trials'),
        'g p': () => to('cues'),
        'g r': () => to('record'),
        'g w': () => to('windows'),
        'g e': () => to('editions'),
        'g s': () => navigate('/desk/sites'),
        'g c': () => navigate('/desk/crops'),
        'g l': () => navigate('/desk/languages'),
        'g f': () => navigate('/desk/office'),
    });
}

/** The frame of every screen at the desk: the zone, the screens, who is here, the keys. */
export function Desk() {
    const { zone: slug } = useParams();
    const { data: session } = useSession();
    const { data: zone } = useZone(slug);
    const [help, setHelp] = useState(false);
    const navigate = useNavigate();
    const location = useLocation();
    const queries = useQueryClient();
    useKeptFocus();
    useScreenKeys(slug, () => setHelp((shown) => !shown));
    const here = SCREENS.find((screen) => location.pathname.split('/').includes(screen.path))?.name;
    useEffect(() => {
        document.title = [zone?.name, here, 'Anthesis'].filter(Boolean).join(' · ');
    }, [zone?.name, here]);
    // Who works here stays here, whatever they are typing, until they log out: where the log-in ran out they are asked again.
    const [user, setUser] = useState(session?.user ?? null);
    if (session?.user && session.user !== user) setUser(session.user);
    const isOut = session?.user === null;
    useEffect(() => {
        const toLogIn = () => {
            const to = encodeURIComponent(window.location.pathname + window.location.search);
            return navigate(`/desk/login?to=${to}`, { replace: true });
        };
        if (isOut) void loggedInAgain().then((isIn) => isIn || toLogIn());
    }, [isOut, navigate]);
    const logOut = async () => {
        await api.DELETE('/api/session');
        forgetDrafts();
        queries.clear();
        navigate('/desk/login');
    };
    if (!user) return null;
    return (
        <>
            <LogInAgain user={user} />
            <DemoClock />
            <header className="desk-header">
                <h1>
                    {slug
                        ? (zone?.name ?? ' ')
                        : (OUTSIDE.find((o) => location.pathname.startsWith(o.path))?.name ?? say('desk.zones'))}
                </h1>
                {zone && (
                    <span className="place">
                        {degrees(zone.latitude)} · {zone.height_m} m
                    </span>
                )}
                <nav aria-label={say('desk.screens')}>
                    <NavLink to="/desk" end className={({ isActive }) => (isActive ? 'active' : '')}>
                        {say('desk.zones')}
                    </NavLink>
                    {!slug &&
                        OUTSIDE.map((screen) => (
                            <NavLink
                                key={screen.path}
                                to={screen.path}
                                className={({ isActive }) => (isActive ? 'active' : '')}
                            >
                                {screen.name}
                            </NavLink>
                        ))}
                    {slug &&
                        SCREENS.map((screen) => (
                            <NavLink
                                key={screen.path}
                                to={`/desk/zones/${slug}/${screen.path}`}
                                className={({ isActive }) => (isActive ? 'active' : '')}
                            >
                                {screen.name}
                            </NavLink>
                        ))}
                </nav>
                <span className="person" title={say(`role.${user.role}`)}>
                    {user.name} ·{' '}
                    <button type="button" className="plain" onClick={() => setHelp(true)}>
                        {say('desk.keys')}
                    </button>{' '}
                    ·{' '}
                    <button type="button" className="plain" onClick={logOut}>
                        {say('desk.log-out')}
                    </button>
                </span>
            </header>
            {slug && zone === undefined ? null : <Outlet />}
            <Modal
                opened={help}
                onClose={() => setHelp(false)}
                title={say('desk.keys')}
                closeButtonProps={{ 'aria-label': say('desk.close') }}
            >
                <Table>
                    <Table.Tbody>
                        {KEYS.map(([keys, meaning]) => (
                            <Table.Tr key={keys}>
                                <Table.Td>
                                    {keys
                                        .split(' ')
                                        .filter(Boolean)
                                        .map((key) => (
                                            <Kbd key={key} mr={4}>
                                                {key}
                                            </Kbd>
                                        ))}
                                </Table.Td>
                                <Table.Td>{meaning}</Table.Td>
                            </Table.Tr>
                        ))}
                    </Table.Tbody>
                </Table>
                <p>
                    <Link to="/" reloadDocument>
                        {say('desk.what-gardeners-see')}
                    </Link>
                </p>
            </Modal>
        </>
    );
}
