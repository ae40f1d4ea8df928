import { say } from '../words/words';
import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { loggedInAgain } from '../api/again';
import { api } from '../api/client';
import { useSession } from '../access/session';
import { useCrops } from '../api/crops';
import { useZone } from '../api/zones';
import { useKeptFocus } from '../ui/focus';
import { useKeys } from '../ui/keyboard';
import { Problem } from '../ui/Problem';
import { forgetDrafts } from '../ui/kept';
import { DemoClock } from './DemoClock';
import { Settling } from './Settling';
import { degrees } from '../words/place';

// Fetched beside the screen, and not before it.
const Keys = lazy(async () => ({ default: (await import('./Keys')).Keys }));
const LogInAgain = lazy(async () => ({ default: (await import('./LogInAgain')).LogInAgain }));

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
    const { zone: slug, crop: of } = useParams();
    const { data: session } = useSession();
    const { data: zone, error: noZone } = useZone(slug);
    const [help, setHelp] = useState(false);
    const navigate = useNavigate();
    const location = useLocation();
    const queries = useQueryClient();
    useKeptFocus();
    useScreenKeys(slug, () => setHelp((shown) => !shown));
    const { data: crops } = useCrops();
    const here =
        SCREENS.find((screen) => location.pathname.split('/').includes(screen.path))?.name ??
        OUTSIDE.find((screen) => location.pathname.startsWith(screen.path))?.name ??
        (location.pathname.endsWith('/method') ? say('desk.method') : slug ? say('desk.edit-zone') : say('desk.zones'));
    const crop = crops?.find((one) => one.slug === of)?.name;
    useEffect(() => {
        document.title = [crop, here, zone?.name, 'Anthesis'].filter(Boolean).join(' · ');
    }, [zone?.name, here, crop]);
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
            <Suspense>
                <LogInAgain user={user} />
            </Suspense>
            <DemoClock />
            <header className="desk-header">
                <h1>
                    {slug
                        ? (zone?.name ?? <Room>{slug.replaceAll('-', ' ')}</Room>)
                        : (OUTSIDE.find((o) => location.pathname.startsWith(o.path))?.name ?? say('desk.zones'))}
                </h1>
                {slug && (
                    <span className="place">
                        {zone ? `${degrees(zone.latitude)} · ${zone.height_m} m` : <Room>45.25° N · 100 m</Room>}
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
            {noZone ? (
                <main className="page">
                    <Problem error={noZone} />
                    <p>
                        <Link to="/desk">{say('desk.all-zones')}</Link>
                    </p>
                </main>
            ) : slug && zone === undefined ? null : (
                <Settling key={location.pathname}>
                    <Outlet />
                </Settling>
            )}
            {help && (
                <Suspense>
                    <Keys onClose={() => setHelp(false)} />
                </Suspense>
            )}
        </>
    );
}

/** Room for words that are not here yet, so that nothing moves when they come. */
function Room({ children }: { children: string }) {
    return (
        <span style={{ visibility: 'hidden', textTransform: 'capitalize' }} aria-hidden>
            {children}
        </span>
    );
}
