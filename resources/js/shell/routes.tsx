import { createBrowserRouter, Navigate, useParams } from 'react-router';
import { restOfWords } from '../words/ofDesk';
import { Desk } from './Desk';
import { ScreenFailed } from './ScreenFailed';

// Each screen is loaded when it is first opened. One that fails leaves the others, and the way to them, as they are.
const screens = {
    changes: async () => ({ Component: (await import('../screens/changes/Changes')).Changes }),
    crops: async () => ({ Component: (await import('../screens/crops/Crops')).Crops }),
    indicatorPlants: async () => ({
        Component: (await import('../screens/indicator-plants/IndicatorPlants')).IndicatorPlants,
    }),
    dossier: async () => ({ Component: (await import('../screens/windows/Dossier')).Dossier }),
    editions: async () => ({ Component: (await import('../screens/editions/Editions')).Editions }),
    editZone: async () => ({ Component: (await import('../screens/zones/EditZone')).EditZone }),
    ground: async () => ({ Component: (await import('../screens/ground/Ground')).Ground }),
    languages: async () => ({ Component: (await import('../screens/languages/Languages')).Languages }),
    forgotPassword: async () => ({ Component: (await import('../screens/login/ForgotPassword')).ForgotPassword }),
    join: async () => ({ Component: (await import('../screens/login/Join')).Join }),
    newAddress: async () => ({ Component: (await import('../screens/login/NewAddress')).NewAddress }),
    newPassword: async () => ({ Component: (await import('../screens/login/NewPassword')).NewPassword }),
    people: async () => ({ Component: (await import('../screens/people/People')).People }),
    login: async () => ({ Component: (await import('../screens/login/Login')).Login }),
    log: async () => ({ Component: (await import('../screens/log/Log')).Log }),
    method: async () => ({ Component: (await import('../screens/windows/MethodChanges')).MethodChanges }),
    office: async () => ({ Component: (await import('../screens/office/OfficeSettings')).OfficeSettings }),
    record: async () => ({ Component: (await import('../screens/record/Record')).Record }),
    sites: async () => ({ Component: (await import('../screens/sites/Sites')).Sites }),
    soil: async () => ({ Component: (await import('../screens/soil/Soil')).Soil }),
    harvestPlan: async () => ({ Component: (await import('../screens/harvest-plan/HarvestPlan')).HarvestPlan }),
    today: async () => ({ Component: (await import('../screens/today/Today')).Today }),
    trackRecord: async () => ({ Component: (await import('../screens/track-record/TrackRecord')).TrackRecord }),
    trials: async () => ({ Component: (await import('../screens/trials/Trials')).Trials }),
    windows: async () => ({ Component: (await import('../screens/windows/Windows')).Windows }),
    home: async () => ({ Component: (await import('../screens/home/Home')).Home }),
    profile: async () => ({ Component: (await import('../screens/profile/Profile')).Profile }),
    settings: async () => ({ Component: (await import('./Settings')).Settings }),
    zones: async () => ({ Component: (await import('../screens/zones/Zones')).Zones }),
};

const screen = (path: string, load: (typeof screens)[keyof typeof screens]) => ({
    path,
    lazy: async () => {
        await restOfWords();
        return load();
    },
    errorElement: <ScreenFailed />,
});

/** What is open to people who are not logged in: the log-in, and where links in e-mails lead. */
const DOORS = {
    '/desk/login': screens.login,
    '/desk/forgot-password': screens.forgotPassword,
    '/desk/invitation/:secret': screens.join,
    '/desk/new-password/:secret': screens.newPassword,
    '/desk/new-address/:secret': screens.newAddress,
};

/** Screens that were renamed: addresses that people saved redirect. */
const RENAMED = {
    'crops/:crop?': '/desk/settings/crops/:crop?',
    sites: '/desk/settings/growing-sites',
    languages: '/desk/settings/languages',
    office: '/desk/settings/office',
    'zones/:zone/ground': '/desk/zones/:zone/beds',
    'zones/:zone/supply': '/desk/zones/:zone/harvest-plan',
    'zones/:zone/cues': '/desk/zones/:zone/indicator-plants',
    'zones/:zone/record/:part?': '/desk/zones/:zone/climate/:part?',
    'zones/:zone/windows/:crop?': '/desk/zones/:zone/planting-windows/:crop?',
    'zones/:zone/editions': '/desk/zones/:zone/calendars',
};

export const router = createBrowserRouter([
    ...Object.entries(DOORS).map(([path, load]) => ({
        ...screen(path, load),
        hydrateFallbackElement: <></>,
    })),
    {
        path: '/desk',
        element: <Desk />,
        // Nothing is shown while the first screen loads: it takes a moment, and a flash would be worse.
        hydrateFallbackElement: <></>,
        children: [
            screen('', screens.home),
            screen('profile', screens.profile),
            {
                ...screen('settings', screens.settings),
                children: [
                    { index: true, element: <Navigate to="office" replace /> },
                    screen('office', screens.office),
                    screen('crops/:crop?', screens.crops),
                    screen('growing-sites', screens.sites),
                    screen('languages', screens.languages),
                    screen('people', screens.people),
                    screen('changes', screens.changes),
                ],
            },
            screen('zones', screens.zones),
            screen('zones/new', screens.editZone),
            { path: 'zones/:zone', element: <Navigate to="today" replace /> },
            screen('zones/:zone/today', screens.today),
            screen('zones/:zone/log', screens.log),
            screen('zones/:zone/soil', screens.soil),
            screen('zones/:zone/indicator-plants', screens.indicatorPlants),
            screen('zones/:zone/trials', screens.trials),
            screen('zones/:zone/beds', screens.ground),
            screen('zones/:zone/harvest-plan', screens.harvestPlan),
            screen('zones/:zone/climate/:part?', screens.record),
            screen('zones/:zone/planting-windows', screens.windows),
            screen('zones/:zone/planting-windows/:crop', screens.dossier),
            screen('zones/:zone/calendars', screens.editions),
            screen('zones/:zone/track-record', screens.trackRecord),
            screen('zones/:zone/method', screens.method),
            screen('zones/:zone/edit', screens.editZone),
            ...Object.entries(RENAMED).map(([path, to]) => ({ path, element: <Moved to={to} /> })),
            { path: '*', element: <Navigate to="/desk" replace /> },
        ],
    },
]);

/** An address with the name that a screen had before. */
function Moved({ to }: { to: string }) {
    const given = useParams();
    const address = to.replace(/:(\w+)\??/g, (_, name: string) => given[name] ?? '').replace(/\/$/, '');
    return <Navigate to={address + window.location.search} replace />;
}
