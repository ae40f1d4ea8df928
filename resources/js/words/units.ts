import type { Phrase } from './words';

/**
 * The units a reader is used to; everything is computed and sent in metric. Mirrors core/src/Messages/UnitSystem.php, and
 * core/tests/fixtures/units.json tests both.
 */
export type Units = 'metric' | 'us';

const INCH_CM = 2.54;
const FOOT_M = 0.3048;
const MILE_KM = 1.609344;
const POUND_KG = 0.45359237;
const GALLON_L = 3.785411784;

/** Below this many inches, a length is shown in quarters of an inch. */
const IN_QUARTERS = 4;
const QUARTERS = ['', '¼', '½', '¾'];

/** What a message can be filled in with beside a metric value: `fahrenheit` for `celsius`, `inches` for `cm`, and so on. */
export function withUnits<T extends Record<string, unknown>>(values: T, units: Units) {
    const more: Record<string, string | number> = { units };
    for (const [name, value] of Object.entries(values)) {
        if (typeof value !== 'number') continue;
        if (name === 'celsius') more.fahrenheit = rounded(32 + 1.8 * value);
        if (name === 'celsius_read') more.fahrenheit_read = rounded(32 + 1.8 * value, 1);
        if (name === 'celsius_more') more.fahrenheit_more = rounded(1.8 * value, 1);
        if (name === 'cm' || name === 'depth') more.inches = inches(value / INCH_CM);
        if (name === 'rain') more.rain_inches = rounded(value / INCH_CM / 10, 2);
        if (name === 'litres') more.gallons = rounded(value / GALLON_L, value < 10 * GALLON_L ? 1 : 0);
        if (name === 'metres') more.feet = 10 * rounded(value / FOOT_M / 10);
        if (name === 'row') more.row_feet = rounded(value / FOOT_M, 1);
        if (name === 'km') more.miles = rounded(value / MILE_KM);
        if (name === 'kg') more.pounds = rounded(value / POUND_KG, 1);
        if (name === 'grams_a_metre') more.grams_a_foot = rounded(value * FOOT_M);
        if (name === 'lapse') more.lapse_us = rounded(value * 1.8 * 10 * FOOT_M, 2);
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
 * A half is rounded away from zero, and counts as a half if the tenth decimal says so: in binary, 1.8 times a temperature with one decimal
 * is never quite what it is on paper. Never minus zero.
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

/** A temperature, in °C, for a message; the decimals are those of the number. */
export function inCelsius(celsius: number): Phrase {
    // Nothing is minus zero degrees.
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

/** Rain, or water given, in mm. */
export function ofRain(mm: number): Phrase {
    return { key: 'measure.rain', with: { rain: mm } };
}

/** Water given, in liters. */
export function inLitres(litres: number): Phrase {
    return { key: 'measure.volume', with: { litres } };
}

/** A height above sea level, in m. */
export function inMetres(metres: number): Phrase {
    return { key: 'metres', with: { metres } };
}

/** A temperature that was read, in °C, to a tenth. */
export function asRead(celsius: number): Phrase {
    return { key: 'celsius.read', with: { celsius_read: celsius || 0 } };
}

/** A length of row or bed, in m. */
export function ofRow(metres: number): Phrase {
    return { key: 'measure.row', with: { row: metres } };
}

/** A harvest, in kg. */
export function inKilograms(kg: number): Phrase {
    return { key: 'measure.weight', with: { kg } };
}

/**
 * What people type and read as a bare number, by its metric unit: °C, differences of °C, cm, m, mm of rain, kg, kg per m of row, kg per m²
 * and week, m above sea level, °C per 100 m (US: °F per 1,000 ft).
 */
export type Measure =
    | 'celsius'
    | 'celsius_more'
    | 'cm'
    | 'm'
    | 'mm'
    | 'kg'
    | 'kg_per_m'
    | 'kg_per_m2'
    | 'elevation'
    | 'lapse'
    | 'per_m2'
    | 'price'
    | 'price_per_kg';

/** The factor from a metric number to a US one, and its digits: as fine as anybody types it. */
const IN_US: Record<Measure, { times: number; plus?: number; digits: number }> = {
    celsius: { times: 1.8, plus: 32, digits: 1 },
    celsius_more: { times: 1.8, digits: 2 },
    cm: { times: 1 / INCH_CM, digits: 2 },
    m: { times: 1 / FOOT_M, digits: 2 },
    mm: { times: 0.1 / INCH_CM, digits: 2 },
    kg: { times: 1 / POUND_KG, digits: 2 },
    kg_per_m: { times: FOOT_M / POUND_KG, digits: 2 },
    kg_per_m2: { times: (FOOT_M * FOOT_M) / POUND_KG, digits: 3 },
    elevation: { times: 1 / FOOT_M, digits: 0 },
    per_m2: { times: FOOT_M * FOOT_M, digits: 3 },
    price: { times: 1, digits: 2 },
    price_per_kg: { times: POUND_KG, digits: 2 },
    lapse: { times: 1.8 * 10 * FOOT_M, digits: 2 },
};

/** Digits to which a number typed in US units is kept in metric ones, so it reads the same again. */
const KEPT_DIGITS = 4;

/** A metric number as shown in these units. */
export function toUnits(measure: Measure, metric: number, units: Units): number {
    if (units === 'metric') return metric;
    const { times, plus = 0, digits } = IN_US[measure];
    return rounded(metric * times + plus, digits);
}

/** A number typed in these units, in metric. */
export function fromUnits(measure: Measure, typed: number, units: Units): number {
    if (units === 'metric') return typed;
    const { times, plus = 0 } = IN_US[measure];
    return rounded((typed - plus) / times, KEPT_DIGITS);
}
