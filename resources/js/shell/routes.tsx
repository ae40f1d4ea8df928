import { createBrowserRouter, Navigate } from 'react-router';
import { restOfWords } from '../words/ofDesk';
import { Desk } from './Desk';
import { ScreenFailed } from './ScreenFailed';

// Each screen is fetched when it is first looked at; one that fails leaves the others, and the way to them, as they are.
const screens = {
    crops: async () => ({ Component: (await import('../screens/crops/Crops')).Crops }),
    cues: async () => ({ Component: (await import('../screens/cues/Cues')).Cues }),
    dossier: async () => ({ Component: (await import('../screens/windows/Dossier')).Dossier }),
    editions: async () => ({ Component: (await import('../screens/editions/Editions')).Editions }),
    editZone: async () => ({ Component: (await import('../screens/zones/EditZone')).EditZone }),
    ground: async () => ({ Component: (await import('../screens/ground/Ground')).Ground }),
    languages: async () => ({ Component: (await import('../screens/languages/Languages')).Languages }),
    login: async () => ({ Component: (await import('../screens/login/Login')).Login }),
    log: async () => ({ Component: (await import('../screens/log/Log')).Log }),
    method: async () => ({ Component: (await import('../screens/windows/MethodChanges')).MethodChanges }),
    office: async () => ({ Component: (await import('../screens/office/OfficeSettings')).OfficeSettings }),
    record: async () => ({ Component: (await import('../screens/record/Record')).Record }),
    sites: async () => ({ Component: (await import('../screens/sites/Sites')).Sites }),
    soil: async () => ({ Component: (await import('../screens/soil/Soil')).Soil }),
    supply: async () => ({ Component: (await import('../screens/supply/Supply')).Supply }),
    today: async () => ({ Component: (await import('../screens/today/Today')).Today }),
    trials: async () => ({ Component: (await import('../screens/trials/Trials')).Trials }),
    windows: async () => ({ Component: (await import('../screens/windows/Windows')).Windows }),
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

export const router = createBrowserRouter([
    { path: '/desk/login', lazy: screens.login, hydrateFallbackElement: <></>, errorElement: <ScreenFailed /> },
    {
        path: '/desk',
        element: <Desk />,
        // Nothing is shown while the first screen is fetched: it takes a moment, and what flashes is worse.
        hydrateFallbackElement: <></>,
        children: [
            { index: true, lazy: screens.zones, errorElement: <ScreenFailed /> },
            screen('sites', screens.sites),
            screen('languages', screens.languages),
            screen('office', screens.office),
            screen('crops/:crop?', screens.crops),
            screen('zones/new', screens.editZone),
            { path: 'zones/:zone', element: <Navigate to="windows" replace /> },
            screen('zones/:zone/today', screens.today),
            screen('zones/:zone/soil', screens.soil),
            screen('zones/:zone/log', screens.log),
            screen('zones/:zone/ground', screens.ground),
            screen('zones/:zone/supply', screens.supply),
            screen('zones/:zone/trials', screens.trials),
            screen('zones/:zone/cues', screens.cues),
            screen('zones/:zone/edit', screens.editZone),
            screen('zones/:zone/record/:part?', screens.record),
            screen('zones/:zone/windows', screens.windows),
            screen('zones/:zone/windows/:crop', screens.dossier),
            screen('zones/:zone/method', screens.method),
            screen('zones/:zone/editions', screens.editions),
            { path: '*', element: <Navigate to="/desk" replace /> },
        ],
    },
]);
