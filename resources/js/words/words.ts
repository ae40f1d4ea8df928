import { IntlMessageFormat } from 'intl-messageformat';
import { fromUnits, inText, toUnits, withUnits, type Units } from './units';

/** Something to say: a key, and the values that fill it in. The core and the contract use these. */
export type Phrase = { key: string; with?: Values };

type Value = string | number | Phrase;

type Values = { [name: string]: Value };

/** What a component may pass in: a missing part is said as nothing. */
type Handed = { [name: string]: Value | null | undefined | false };

export type DateStyle = 'day' | 'month';

export type Messages = Record<string, string>;

/** How something is read: its language, its units, and translations of what people wrote, by their text. */
export type Reading = { language: string; units: Units; own: Record<string, string>; dates?: DateStyle };

const SOURCE = 'en';

/**
 * English made longer and accented, for checking screens: anything not in brackets does not come from lang/. The second is read from the
 * right.
 */
const PSEUDO = ['pseudo', 'mirrored'];

const ACCENTED = new Map(
    [...'aácçeéiînñoöuüyýAÅEÉIÎOØSŠUÛ'.matchAll(/(.)(.)/gu)].map(([, plain, accent]) => [plain, accent]),
);

let reading: Reading = { language: chosen(), units: 'metric', own: {} };

const files: Record<string, Messages> = {};

/** From now on, everything is said this way. Pages are rendered one after the other, each in its reading. */
export function readAs(other: Reading) {
    reading = other;
    said.clear();
}

/**
 * How English days are read and typed: "18 April" or "April 18"; the way people who use the units write them, unless another style was
 * chosen.
 */
export function dateStyle(): DateStyle {
    return reading.dates ?? (reading.units === 'us' ? 'month' : 'day');
}

/** The reader's units. */
export function units(): Units {
    return reading.units;
}

/** The same with other units and dates. */
export function readIn(units: Units, dates?: DateStyle) {
    reading = { ...reading, units, dates };
    said.clear();
}

/** Files of words by path, which each program brings along: the desk, the log on a phone, the pages, the tests. */
export function alsoIn(others: Record<string, Messages>) {
    Object.assign(files, others);
    read.clear();
    said.clear();
}

/** What a person wrote: in the reader's language if it was translated, otherwise as it is; in the reader's units. */
export function own(text: string): string {
    return inText(reading.own[text] ?? text, reading.units);
}

/** Whether what a person wrote is not in the reader's language. */
export function isUntranslated(text: string): boolean {
    return locale() !== SOURCE && reading.own[text] === undefined;
}

function locale(): string {
    return PSEUDO.includes(reading.language) ? SOURCE : reading.language;
}

const formats = new Map<string, IntlMessageFormat>();

/**
 * What was said in this reading: the same dates and amounts are on a screen many times, and it takes ten times as long to fill in a message
 * as to find it here.
 */
const said = new Map<string, string>();

/** A screen says less than this. */
const MOST_SAID = 20_000;

/** The words for a key or a phrase, from the same ICU messages that the server reads; if there are none, the key itself. */
export function say(what: string | Phrase, values: Handed = {}): string {
    if (typeof what !== 'string') return say(what.key, what.with);
    const message = messages(reading.language).get(what);
    if (message === undefined) return what;
    if (!message.includes('{')) return message;
    const asked = `${what} ${JSON.stringify(values)}`;
    const before = said.get(asked);
    if (before !== undefined) return before;
    if (said.size >= MOST_SAID) said.clear();
    const text = inMessage(what, message, values);
    said.set(asked, text);
    return text;
}

function inMessage(key: string, message: string, values: Handed): string {
    const known = `${reading.language} ${key}`;
    const format = formats.get(known) ?? new IntlMessageFormat(message, locale(), undefined, { ignoreTag: true });
    formats.set(known, format);
    const into = Object.fromEntries(
        Object.entries({ dates: dateStyle(), ...withUnits(values, reading.units) }).map(([name, value]) => [
            name,
            filled(value),
        ]),
    );
    return withMinus(format.format(into) as string);
}

function filled(value: Handed[string]): string | number {
    if (value === null || value === undefined || value === false) return '';
    if (typeof value === 'string') return own(value);
    return typeof value === 'object' ? say(value) : value;
}

/** Temperatures worth a mark on a scale, in °C, round ones in the reader's units. */
export function levels(few: boolean): number[] {
    if (reading.units === 'us') return (few ? [40, 50, 70] : [32, 40, 50, 60, 70, 80, 90]).map((f) => (f - 32) / 1.8);
    return few ? [5, 10, 20] : [0, 5, 10, 15, 20, 25, 30];
}

/** An amount per length of row, in m, in the reader's unit. */
export function perLength(perMetre: number): number {
    return perMetre * fromUnits('m', 1, reading.units);
}

/** A length of row to start with, in m: 4 m, or 10 ft. */
export function usualRow(): number {
    return reading.units === 'us' ? fromUnits('m', 10, 'us') : 4;
}

/** The depth of a soil thermometer, in cm: 5 cm, or 2 in. */
export function usualDepth(): number {
    return fromUnits('cm', reading.units === 'us' ? 2 : 5, reading.units);
}

/** Degree-days of °C in the reader's units. */
export function degreeDays(celsius: number): number {
    return toUnits('celsius_more', celsius, reading.units);
}

/** Marks of a scale from one temperature to another, in °C: round ones in the reader's units, up to this many. */
export function temperatureTicks(low: number, high: number, most = 8): number[] {
    const [least, last] = [toUnits('celsius', low, reading.units), toUnits('celsius', high, reading.units)];
    const step = [1, 2, 5, 10, 20, 50].find((one) => (last - least) / one < most) ?? 100;
    const first = Math.ceil(least / step - 1e-9);
    return Array.from({ length: Math.floor(last / step + 1e-9) - first + 1 }, (_, i) =>
        fromUnits('celsius', (first + i) * step, reading.units),
    );
}

/** The round temperatures around some, in °C: the ends of a scale that shows them all. */
export function temperatureRange(values: number[], step: { metric: number; us: number }): [number, number] {
    const by = step[reading.units];
    const round = (value: number, to: (x: number) => number) =>
        fromUnits('celsius', to(toUnits('celsius', value, reading.units) / by) * by, reading.units);
    const [low, high] = [round(Math.min(...values), Math.floor), round(Math.max(...values), Math.ceil)];
    return [low, high > low ? high : low + 5];
}

/** "a", "a and b", "a, b, and c". */
export function listed(parts: string[]): string {
    return new Intl.ListFormat(locale(), { type: 'conjunction' }).format(parts);
}

/** A language by its name in the reader's: "Spanish" for "es". */
export function languageName(language: string): string {
    return new Intl.DisplayNames([locale()], { type: 'language' }).of(language) ?? language;
}

/** "Saturday" for "2026-04-18". */
export function weekday(date: string): string {
    return new Intl.DateTimeFormat(locale(), { weekday: 'long', timeZone: 'UTC' }).format(new Date(date));
}

/** Whether there are words for a key. */
export function hasWords(key: string): boolean {
    return messages(reading.language).has(key);
}

/** Use a minus sign, not a hyphen. */
export function withMinus(text: string): string {
    return text.replace(/(?<![\w.-])-(?=\d)/gu, '−');
}

const read = new Map<string, Map<string, string>>();

function messages(of: string): Map<string, string> {
    const known = read.get(of);
    if (known) return known;
    const isPseudo = PSEUDO.includes(of);
    const words = new Map(
        [SOURCE, ...(isPseudo ? [] : [of])]
            .flatMap((language) => Object.entries(files).filter(([file]) => file.includes(`/lang/${language}/`)))
            .flatMap(([, file]) => Object.entries(file))
            .map(([key, message]) => [key, isPseudo ? pseudo(message) : message]),
    );
    read.set(of, words);
    return words;
}

/** Accented outside of braces, and a third longer. */
function pseudo(message: string): string {
    let depth = 0;
    let letters = 0;
    const words = [...message].map((character) => {
        depth += character === '{' ? 1 : character === '}' ? -1 : 0;
        letters += depth === 0 ? 1 : 0;
        return depth === 0 ? (ACCENTED.get(character) ?? character) : character;
    });
    return `[${words.join('')}${'~'.repeat(Math.floor(letters / 3))}]`;
}

/** `?language=pseudo` in the desk's address switches, `?language=en` switches back; the browser remembers it. */
function chosen(): string {
    if (typeof window === 'undefined') return SOURCE;
    const asked = new URLSearchParams(window.location.search).get('language');
    try {
        if (asked !== null) window.localStorage.setItem('anthesis-language', asked);
        return among(window.localStorage.getItem('anthesis-language'));
    } catch {
        return among(asked);
    }
}

function among(language: string | null): string {
    return language !== null && PSEUDO.includes(language) ? language : SOURCE;
}
