import { say, units } from './words';

/** "47.45° N". */
export function degrees(latitude: number): string {
    return `${Math.abs(latitude)}° ${latitude < 0 ? 'S' : 'N'}`;
}

/** "47.45° N, 122.31° W": nobody overlooks a sign. */
export function coordinates(latitude: number, longitude: number): string {
    return `${degrees(latitude)}, ${Math.abs(longitude)}° ${longitude < 0 ? 'W' : 'E'}`;
}

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const DEGREES = new RegExp(
    String.raw`^([+\-−]?)\s*${NUMBER}\s*(?:°|deg(?:rees)?\b|[:\s])?\s*(?:${NUMBER}\s*(?:['′’]|min\b|[:\s])?\s*)?(?:${NUMBER}\s*(?:["″”]|''|sec\b)?\s*)?$`,
    'i',
);

/**
 * Reads a latitude or longitude as people write it: "47.4444", "-122.31", "122.3138 W", "47°26'40\" N", "N 47 26 40".
 *
 * @param sides the letters it may have, north or east first
 * @return degrees, south and west negative, to five decimals; null: not a coordinate
 */
export function readDegrees(text: string, sides: 'NS' | 'EW'): number | null {
    const letters = text.toUpperCase().match(/[NSEW](?![A-Z])(?<![A-Z]{2})/g) ?? [];
    if (letters.length > 1 || letters.some((letter) => !sides.includes(letter))) return null;
    const bare = text
        .replace(letters.length === 1 ? new RegExp(`\\b${letters[0]}\\b|${letters[0]}(?![a-z])`, 'i') : /^$/, ' ')
        .trim();
    const found = DEGREES.exec(bare);
    if (!found) return null;
    const [, sign, degrees, minutes, seconds] = found;
    const part = (value: string | undefined) => Number((value ?? '0').replace(',', '.'));
    const isWhole = (value: string | undefined) => value === undefined || /^\d+$/.test(value);
    // Only the last part may have decimals, and minutes and seconds go up to sixty.
    if ((minutes !== undefined && !isWhole(degrees)) || (seconds !== undefined && !isWhole(minutes))) return null;
    if (part(minutes) >= 60 || part(seconds) >= 60) return null;
    const signed = sign === '-' || sign === '−';
    if (signed && letters.length > 0) return null;
    const value = part(degrees) + part(minutes) / 60 + part(seconds) / 3600;
    if (value > (sides === 'NS' ? 90 : 180)) return null;
    return Math.round((signed || letters[0] === sides[1] ? -value : value) * 1e5) / 1e5 || 0;
}

const FOOT = 0.3048;

/**
 * Reads an elevation: "410 m", "1,345 ft", "130 feet", "39.6 m"; a number alone is in the reader's unit.
 *
 * @return whole meters; null: not an elevation
 */
export function readElevation(text: string): number | null {
    const found = /^([-−]?)\s*(\d{1,3}(?:,\d{3})+|\d+)(\.\d+)?\s*(m|meters?|metres?|ft|feet|foot|['′])?\.?$/i.exec(
        text.trim(),
    );
    if (!found) return null;
    const [, sign, whole = '', decimals = '', unit = units() === 'us' ? 'ft' : 'm'] = found;
    const value = Number(whole.replaceAll(',', '') + decimals) * (sign ? -1 : 1);
    return Math.round(/^m/i.test(unit) ? value : value * FOOT) || 0;
}

/** "410 m (1,345 ft)". */
export function elevation(metres: number): string {
    return say('elevation', { m: metres, ft: Math.round(metres / FOOT) });
}
