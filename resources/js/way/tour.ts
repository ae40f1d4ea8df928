import { useNoted } from '../ui/noted';

/** The stops of the tour through the demonstration: the screen each is at. What is said there is in lang/, way.json. */
export const STOPS = [
    { name: 'home', address: '/desk' },
    { name: 'climate', address: '/desk/zones/basin-floor/climate/freezes' },
    { name: 'windows', address: '/desk/zones/basin-floor/planting-windows' },
    { name: 'evidence', address: '/desk/zones/basin-floor/planting-windows/tomato-early' },
    { name: 'today', address: '/desk/zones/basin-floor/today' },
    { name: 'publish', address: '/desk/zones/basin-floor/calendars' },
] as const;

/** At which stop the tour is, null when none is under way; it goes on after a reload. */
export function useTour(): [number | null, (stop: number | null) => void] {
    const [noted, note] = useNoted('tour');
    const stop = noted === null ? null : Number(noted);
    return [stop !== null && stop in STOPS ? stop : null, (next) => note(next === null ? null : String(next))];
}
