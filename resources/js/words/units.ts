import type { Phrase } from './words';

/** A temperature, in °C, as something to be said; the digits after the point are those of the number. */
export function inCelsius(celsius: number): Phrase {
    // Nothing is minus nought degrees.
    return { key: 'celsius', with: { celsius: celsius || 0 } };
}
