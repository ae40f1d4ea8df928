import { useNoted } from '../ui/noted';

/** The stops of the tour through the demonstration, and the screen of each. The words are in lang/, way.json. */
export const STOPS = [
    { name: 'home', address: '/desk' },
    { name: 'climate', address: '/desk/zones/basin-floor/climate/freezes' },
    { name: 'windows', address: '/desk/zones/basin-floor/planting-windows' },
    { name: 'evidence', address: '/desk/zones/basin-floor/planting-windows/tomato-early' },
    { name: 'today', address: '/desk/zones/basin-floor/today' },
    { name: 'publish', address: '/desk/zones/basin-floor/calendars' },
] as const;

/** The current stop of the tour, null when there is none; it continues after a reload. */
export function useTour(): [number | null, (stop: number | null) => void] {
    const [noted, note] = useNoted('tour');
    const stop = noted === null ? null : Number(noted);
    return [stop !== null && stop in STOPS ? stop : null, (next) => note(next === null ? null : String(next))];
}
