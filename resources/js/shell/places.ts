import { useMatch } from 'react-router';
import { useCan, useZoneToBegin } from '../access/session';
import { useZones } from '../api/zones';
import { say } from '../words/words';

/** A screen of a zone: its path, its name, and the key after `g` that leads there. */
export type Screen = { path: string; name: string; key: string };

/** The screens of a zone by how they are used: what is going on, what you plan, what you publish. */
export const GROUPS: { id: string; name: string; screens: Screen[] }[] = [
    {
        id: 'season',
        name: say('group.season'),
        screens: [
            { path: 'today', name: say('screen.today'), key: 't' },
            { path: 'log', name: say('screen.log'), key: 'l' },
            { path: 'soil', name: say('screen.soil'), key: 'o' },
            { path: 'indicator-plants', name: say('screen.indicator-plants'), key: 'i' },
            { path: 'trials', name: say('screen.trials'), key: 'r' },
        ],
    },
    {
        id: 'garden',
        name: say('group.garden'),
        screens: [
            { path: 'beds', name: say('screen.beds'), key: 'b' },
            { path: 'harvest-plan', name: say('screen.harvest-plan'), key: 'h' },
        ],
    },
    {
        id: 'calendar',
        name: say('group.calendar'),
        screens: [
            { path: 'climate', name: say('screen.climate'), key: 'c' },
            { path: 'planting-windows', name: say('screen.planting-windows'), key: 'w' },
            { path: 'calendars', name: say('screen.calendars'), key: 'p' },
            { path: 'track-record', name: say('screen.track-record'), key: 'v' },
        ],
    },
];

export const SCREENS = GROUPS.flatMap((group) => group.screens);

/** What does not belong to a zone and is set once. */
export const SETTINGS: Screen[] = [
    { path: '/desk/settings/office', name: say('screen.office'), key: 'f' },
    { path: '/desk/settings/crops', name: say('screen.crops'), key: 'k' },
    { path: '/desk/settings/growing-sites', name: say('screen.growing-sites'), key: 's' },
    { path: '/desk/settings/languages', name: say('screen.languages'), key: 'g' },
    { path: '/desk/settings/changes', name: say('screen.changes'), key: 'n' },
    { path: '/desk/settings/people', name: say('screen.people'), key: 'e' },
];

/** The settings that the logged-in person may see. */
export function useSettings(): Screen[] {
    const mayManage = useCan('manage-people');
    return SETTINGS.filter(({ path }) => mayManage || !path.endsWith('/people'));
}

/** The zone that is open or, on screens outside zones, the one in use: the last one, the person's own, or the first. */
export function useZoneAtHand(): string | undefined {
    const open = useMatch('/desk/zones/:zone/*')?.params.zone;
    const { data: zones } = useZones();
    const begin = useZoneToBegin(zones);
    return open !== undefined && open !== 'new' ? open : begin;
}
