import type { Phrase } from './words';

/**
 * The units a reader is used to; what is reckoned and sent is metric. Mirrors core/src/Messages/UnitSystem.php, and
 * core/tests/fixtures/units.json holds both to it.
 */
export type Units = 'metric' | 'us';

const INCH_CM = 2.54;
const FOOT_M = 0.3048;
const MILE_KM = 1.609344;
const POUND_KG = 0.45359237;

/** Below so many inches a length is said in quarters of one. */
const IN_QUARTERS = 4;
const QUARTERS = ['', '¼', '½', '¾'];

/** What a message may be filled in with beside a metric value: `fahrenheit` for `celsius`, `inches` for `cm`, and so on. */
export function withUnits<T extends Record<string, unknown>>(values: T, units: Units) {
    const more: Record<string, string | number> = { units };
    for (const [name, value] of Object.entries(values)) {
        if (typeof value !== 'number') continue;
        if (name === 'celsius') more.fahrenheit = rounded(32 + 1.8 * value);
        if (name === 'celsius_more') more.fahrenheit_more = rounded(1.8 * value, 1);
        if (name === 'cm' || name === 'depth') more.inches = inches(value / INCH_CM);
        if (name === 'metres') more.feet = 10 * rounded(value / FOOT_M / 10);
        if (name === 'km') more.miles = rounded(value / MILE_KM);
        if (name === 'kg') more.pounds = rounded(value / POUND_KG, 1);
    }
    return { ...more, ...values };
}

/** A person's sentence with its temperatures (°C) and lengths (cm) in these units. */
export function inText(text: string, units: Units): string {
    if (units === 'metric') return text;
    return text.replace(
        /([−-]?\d+(?:[.,]\d+)?)(?:( \w{1,2} | ?[–-] ?)([−-]?\d+(?:[.,]\d+)?))?\s?(°C|cm\b)/gu,
        (_, one: string, between: string | undefined, other: string | undefined, unit: string) => {
            const said = (digits: string) => {
                const number = Number(digits.replace('−', '-').replace(',', '.'));
                if (unit === 'cm') return inches(number / INCH_CM);
                return String(rounded(32 + 1.8 * number)).replace('-', '−');
            };
            return `${said(one)}${other === undefined ? '' : `${between}${said(other)}`} ${unit === 'cm' ? 'in' : '°F'}`;
        },
    );
}

/**
 * A half goes away from nought, and is one where the tenth decimal says otherwise: 1.8 times a temperature of one decimal is never
 * quite what it is on paper. Never minus nought.
 */
function rounded(value: number, digits = 0): number {
    const whole = Math.floor(Number((Math.abs(value) * 10 ** digits).toFixed(9)) + 0.5) / 10 ** digits;
    return value < 0 && whole > 0 ? -whole : whole;
}

function inches(length: number): string {
    if (length >= IN_QUARTERS) return String(rounded(length));
    const quarters = Math.max(1, rounded(4 * length));
    const whole = Math.floor(quarters / 4);
    return `${whole || ''}${QUARTERS[quarters % 4]}`;
}

/** A temperature, in °C, as something to be said; the digits after the point are those of the number. */
export function inCelsius(celsius: number): Phrase {
    // Nothing is minus nought degrees.
    return { key: 'celsius', with: { celsius: celsius || 0 } };
}

/** A difference of temperatures, in °C. */
export function moreCelsius(celsius: number): Phrase {
    return { key: 'celsius.more', with: { celsius_more: celsius } };
}

/** A length, in cm. */
export function inCentimetres(cm: number): Phrase {
    return { key: 'centimetres', with: { cm } };
}

/** A height above the sea, in m. */
export function inMetres(metres: number): Phrase {
    return { key: 'metres', with: { metres } };
}
