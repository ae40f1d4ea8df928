import type { Schema } from '../api/client';
import { dateAfter, daysBetween } from '../time/days';
import type { SentLine, WaitingLine } from './store';

export type LogBook = Schema['LogBook'];
export type Act = Schema['LoggedAct'];
export type Sowing = Schema['Sowing'];
export type LoggedEntry = Schema['LoggedEntry'];

/** The book of a zone as it was when there was a line, and what this phone's clock said then, ms. */
export type KeptBook = { book: LogBook; fetched: number };

const DAY = 86_400_000;

const FOLLOWS: Act[] = ['up', 'thinned', 'first-picked', 'picked', 'last-picked', 'lost'];

/** Whether an act tells of a sowing that stands. */
export function follows(act: Act): boolean {
    return FOLLOWS.includes(act);
}

/** Whether an act tells of a bed, and so needs one. */
export function isOfBed(act: Act): boolean {
    return act === 'watered' || act === 'gauge';
}

export function isPicking(act: Act): boolean {
    return act === 'first-picked' || act === 'picked' || act === 'last-picked';
}

/**
 * The day it is where the office is: the day it was there when the book was fetched, and those that have passed since. A phone
 * whose clock is wrong by a day tells the right one all the same.
 */
export function today({ book, fetched }: KeptBook, now: number): string {
    return dateAfter(book.today, Math.max(0, localDay(now) - localDay(fetched)));
}

/** What this phone knows of a zone and its book does not: what went since that was fetched, and what waits. */
export function newerLines(
    { fetched }: KeptBook,
    zone: string | null,
    sent: SentLine[],
    waiting: WaitingLine[],
): LoggedEntry[] {
    const here = [...sent.filter(({ at }) => (at ?? 0) >= fetched).reverse(), ...waiting];
    return here.filter((line) => line.zone === zone).map(({ entry }) => entry);
}

/** Which day it is on this phone, counted on from any. */
function localDay(time: number): number {
    return Math.floor((time - new Date(time).getTimezoneOffset() * 60_000) / DAY);
}

/** Codes of the cautions of a crop that are due where an act is written. A book fetched by an earlier release has none. */
export function cautionsFor(act: Act, crop: string | null | undefined, book: LogBook): string[] {
    const own = book.crops.find(({ slug }) => slug === crop)?.cautions ?? [];
    return own.filter((code) => book.cautions?.[act]?.includes(code));
}

/** Sowings an act may be of: those of the book, as far as lines it does not have yet change them or begin others; the likeliest first. */
export function sowingsFor(act: Act, book: LogBook, newer: LoggedEntry[], day: string): Sowing[] {
    const told = new Map(book.sowings.map((sowing) => [sowing.key, sowing]));
    const names = new Map(book.crops.map((crop) => [crop.slug, crop.name]));
    for (const line of newer) {
        if (line.corrects) {
            correct(told, line, names);
        } else if (line.act === 'sown' || (line.act === 'set-out' && !line.sowing)) {
            if (!told.has(line.key)) told.set(line.key, begun(line, names));
        } else {
            const sowing = told.get(line.sowing ?? '');
            if (sowing) told.set(sowing.key, withEntry(sowing, line));
        }
    }
    const open = [...told.values()].filter(
        (sowing) => !sowing.days.last_picked && !sowing.days.lost && mayBe(act, sowing),
    );
    // A book kept by an earlier version does not say.
    const usual = (book.usual_days as LogBook['usual_days'] | undefined)?.[act] ?? 0;
    return open.sort((a, b) => distance(act, a, day, usual) - distance(act, b, day, usual));
}

/** A sowing whose first line is fixed or taken back. What corrects any other line is told by the book. */
function correct(told: Map<string, Sowing>, line: LoggedEntry, names: Map<string, string>) {
    const key = line.corrects ?? '';
    const before = told.get(key);
    if (!before) return;
    if (line.taken_back) told.delete(key);
    else told.set(key, { ...begun(line, names), key, days: { ...before.days, [DAY_OF[line.act] ?? 'sown']: line.on } });
}

const DAY_OF: Partial<Record<Act, keyof Sowing['days']>> = {
    sown: 'sown',
    'set-out': 'set_out',
    up: 'up',
    thinned: 'thinned',
    'first-picked': 'first_picked',
    picked: 'first_picked',
    'last-picked': 'first_picked',
    lost: 'lost',
};

/**
 * A sowing with one entry more, as the server will tell it: each day is the first that was told, but the last harvest the last. Mirrors
 * core/src/Log/SowingFold.php; core/tests/fixtures/sowing-fold.json holds both to it. (The mean quality takes all harvests, which the phone
 * does not have.)
 */
export function withEntry(sowing: Sowing, entry: LoggedEntry): Sowing {
    const days = { ...sowing.days };
    const of = DAY_OF[entry.act];
    if (of) days[of] = earlier(days[of], entry.on);
    if (entry.act === 'last-picked') days.last_picked = later(days.last_picked, entry.on);
    const begins = entry.act === 'sown' || entry.act === 'set-out';
    return {
        ...sowing,
        days,
        variety: (begins ? entry.variety : null) ?? sowing.variety,
        metres: (begins ? entry.metres : null) ?? sowing.metres,
        bed: begins && entry.bed ? { garden: entry.garden ?? '', name: entry.bed, site: null } : sowing.bed,
        cause: sowing.cause ?? (entry.act === 'lost' ? (entry.cause ?? 'other') : null),
        kilograms: isPicking(entry.act) ? sum(sowing.kilograms, entry.kilograms) : sowing.kilograms,
        stems: isPicking(entry.act) ? sum(sowing.stems, entry.stems) : sowing.stems,
    };
}

const earlier = (a: string | null | undefined, b: string) => (a && a < b ? a : b);
const later = (a: string | null | undefined, b: string) => (a && a > b ? a : b);

function sum(a: number | null, b: number | null | undefined): number | null {
    return b === null || b === undefined ? a : (a ?? 0) + b;
}

/** A sowing as its first entry tells of it. */
export function begun(line: LoggedEntry, names: Map<string, string>): Sowing {
    const sown = line.act === 'sown';
    return {
        key: line.key,
        crop: line.crop ?? '',
        name: names.get(line.crop ?? '') ?? '',
        variety: line.variety ?? null,
        bed: line.bed ? { garden: line.garden ?? '', name: line.bed, site: null } : null,
        under_cover: line.under_cover === true,
        days: {
            sown: sown ? line.on : null,
            set_out: sown ? null : line.on,
            up: null,
            thinned: null,
            first_picked: null,
            last_picked: null,
            lost: null,
        },
        cause: null,
        metres: line.metres ?? null,
        kilograms: null,
        stems: null,
        quality: null,
    };
}

function mayBe(act: Act, { days, under_cover }: Sowing): boolean {
    switch (act) {
        case 'up':
            return !days.up && !days.first_picked && days.sown !== null;
        case 'thinned':
            return !days.thinned && !days.first_picked && !days.set_out;
        case 'set-out':
            return under_cover && !days.set_out;
        case 'first-picked':
            return !days.first_picked && (!under_cover || days.set_out !== null);
        case 'picked':
        case 'last-picked':
            return !under_cover || days.set_out !== null;
        default:
            return true;
    }
}

/** How far a sowing is from the day on which the act is usually told of one; the nearest comes first. */
function distance(act: Act, { days }: Sowing, day: string, usual: number): number {
    const since = daysBetween(days.set_out ?? days.sown ?? day, day);
    // What is being picked is picked again.
    const picking = (act === 'picked' || act === 'last-picked') && days.first_picked ? -10_000 : 0;
    return picking + Math.abs(since - usual);
}

/** Crops to choose from, the likely ones first. */
export function cropsFor(book: LogBook): LogBook['crops'] {
    const rank = (slug: string) => {
        const at = book.likely.indexOf(slug);
        return at < 0 ? book.likely.length : at;
    };
    return [...book.crops].sort((a, b) => rank(a.slug) - rank(b.slug));
}
