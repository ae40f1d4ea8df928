import { lazy, Suspense, useEffect, useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { Link, Navigate, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { loggedInAgain } from '../api/again';
import { rememberLook, useSession } from '../access/session';
import { useCrops } from '../api/crops';
import { useZone } from '../api/zones';
import { useKeptFocus } from '../ui/focus';
import { useKeys } from '../ui/keyboard';
import { Problem } from '../ui/Problem';
import { say } from '../words/words';
import { topicAt, type TermName, type Topic } from '../way/help';
import { Steps } from '../way/Steps';
import { Tour } from '../way/Tour';
import { DemoClock } from './DemoClock';
import { Header } from './Header';
import { SCREENS, SETTINGS, useZoneAtHand } from './places';
import { Settling } from './Settling';

// Loaded beside the screen, not before it.
const Keys = lazy(async () => ({ default: (await import('./Keys')).Keys }));
const Help = lazy(async () => ({ default: (await import('../way/Help')).Help }));
const LogInAgain = lazy(async () => ({ default: (await import('./LogInAgain')).LogInAgain }));

/** `g` and a letter for a screen, `?` for the keys. */
function useScreenKeys(zone: string | undefined, showKeys: () => void) {
    const navigate = useNavigate();
    useKeys({
        '?': showKeys,
        'g a': () => navigate('/desk'),
        ...Object.fromEntries(SETTINGS.map(({ key, path }) => [`g ${key}`, () => navigate(path)])),
        ...(zone === undefined
            ? {}
            : Object.fromEntries(
                  SCREENS.map(({ key, path }) => [`g ${key}`, () => navigate(`/desk/zones/${zone}/${path}`)]),
              )),
    });
}

/** The screen's name, for the window's title and, outside of zones, for the page's. */
function useScreenName(zone: string | undefined): string {
    const { pathname } = useLocation();
    const [, , first, , path] = pathname.split('/');
    const setting = SETTINGS.find((screen) => pathname.startsWith(screen.path));
    if (setting) return setting.name;
    if (first === 'profile') return say('screen.profile');
    if (zone === undefined) return first === 'zones' ? say('screen.zones') : say('screen.home');
    return (
        SCREENS.find((screen) => screen.path === path)?.name ??
        (path === 'method' ? say('desk.method') : say('desk.edit-zone'))
    );
}

/** The topic of the help panel. It follows the screen until somebody opens another topic or a word. */
function useHelp() {
    const { pathname } = useLocation();
    const [asked, setAsked] = useState<{ at: string; topic?: Topic; term?: TermName } | null>(null);
    const isHere = asked?.at === pathname;
    return {
        shown: asked && { topic: (isHere && asked.topic) || topicAt(pathname), term: isHere ? asked.term : undefined },
        open: (topic?: Topic, term?: TermName) => setAsked({ at: pathname, topic, term }),
        close: () => setAsked(null),
    };
}

/** The frame of every screen at the desk: the zone, the screens, who is here, the keys. */
export function Desk() {
    const { zone: slug, crop: of } = useParams();
    const { data: session } = useSession();
    const { data: zone, error: noZone } = useZone(slug);
    const [keys, setKeys] = useState(false);
    const navigate = useNavigate();
    const location = useLocation();
    const shown = location.pathname.split('/')[4] ?? '';
    const queries = useQueryClient();
    const atHand = useZoneAtHand();
    const help = useHelp();
    useKeptFocus();
    useScreenKeys(atHand, () => setKeys((shown) => !shown));
    const { data: crops } = useCrops();
    const screen = useScreenName(slug);
    const crop = crops?.find((one) => one.slug === of)?.name;
    useEffect(() => {
        document.title = [crop, screen, zone?.name, 'Anthesis'].filter(Boolean).join(' · ');
    }, [zone?.name, screen, crop]);
    useEffect(() => {
        if (zone && SCREENS.some(({ path }) => path === shown)) rememberLook(zone.slug, shown);
    }, [zone, shown]);
    // The person who works here stays, whatever they are typing, until they log out. If the log-in ran out, they are asked again.
    const [user, setUser] = useState(session?.user ?? null);
    if (session?.user && session.user !== user) setUser(session.user);
    const isOut = session?.user === null;
    useEffect(() => {
        const toLogIn = () => {
            const to = encodeURIComponent(window.location.pathname + window.location.search);
            return navigate(`/desk/login?to=${to}`, { replace: true });
        };
        if (isOut) void loggedInAgain().then((isIn) => isIn || toLogIn());
    }, [isOut, navigate, queries]);
    if (!user) return null;
    // Nothing else is open until the second step is set up; the server refuses it too.
    if (user.must_set_second_factor && location.pathname !== '/desk/profile')
        return <Navigate to="/desk/profile" replace />;
    return (
        <>
            <Suspense>
                <LogInAgain user={user} />
            </Suspense>
            <DemoClock />
            <Header
                zone={zone}
                slug={slug}
                atHand={atHand}
                screen={screen}
                user={user}
                onKeys={() => setKeys(true)}
                onHelp={help.open}
            />
            {noZone ? (
                <main className="page">
                    <Problem error={noZone} />
                    <p>
                        <Link to="/desk">{say('switcher.all-zones')}</Link>
                    </p>
                </main>
            ) : slug && zone === undefined ? null : (
                <>
                    <Steps zone={zone} />
                    <Settling key={location.pathname}>
                        <Outlet />
                    </Settling>
                </>
            )}
            {session?.demonstration && <Tour />}
            {help.shown && (
                <Suspense>
                    <Help {...help.shown} onClose={help.close} />
                </Suspense>
            )}
            {keys && (
                <Suspense>
                    <Keys onClose={() => setKeys(false)} />
                </Suspense>
            )}
        </>
    );
}
