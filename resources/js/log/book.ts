import type { Schema } from '../api/client';
import { dateAfter, daysBetween } from '../time/days';
import type { SentLine, WaitingLine } from './store';

export type LogBook = Schema['LogBook'];
export type Act = Schema['LoggedAct'];
export type Sowing = Schema['Sowing'];
export type LoggedEntry = Schema['LoggedEntry'];

/** The book of a zone as it was when the phone was last online, and what this phone's clock said then, ms. */
export type KeptBook = { book: LogBook; fetched: number };

const DAY = 86_400_000;

const FOLLOWS: Act[] = ['up', 'thinned', 'first-picked', 'picked', 'last-picked', 'lost'];

/** Whether a task is about a growing planting. */
export function follows(act: Act): boolean {
    return FOLLOWS.includes(act);
}

/** Whether a task is about a bed, and so needs one. */
export function isOfBed(act: Act): boolean {
    return act === 'watered' || act === 'gauge';
}

export function isPicking(act: Act): boolean {
    return act === 'first-picked' || act === 'picked' || act === 'last-picked';
}

/**
 * Today's date at the office: the date there when the book was loaded, plus the days since. A phone whose clock is off by a day still gets
 * it right.
 */
export function today({ book, fetched }: KeptBook, now: number): string {
    return dateAfter(book.today, Math.max(0, localDay(now) - localDay(fetched)));
}

/** What this phone knows about a zone and its book does not: what was sent since it was loaded, and what is waiting. */
export function newerLines(
    { fetched }: KeptBook,
    zone: string | null,
    sent: SentLine[],
    waiting: WaitingLine[],
): LoggedEntry[] {
    const here = [...sent.filter(({ at }) => (at ?? 0) >= fetched).reverse(), ...waiting];
    return here.filter((line) => line.zone === zone).map(({ entry }) => entry);
}

/** Number of the current day on this phone, from an arbitrary start. */
function localDay(time: number): number {
    return Math.floor((time - new Date(time).getTimezoneOffset() * 60_000) / DAY);
}

/** Codes of a crop's cautions that belong where a task is logged. A book loaded by an earlier release has none. */
export function cautionsFor(act: Act, crop: string | null | undefined, book: LogBook): string[] {
    const own = book.crops.find(({ slug }) => slug === crop)?.cautions ?? [];
    return own.filter((code) => book.cautions?.[act]?.includes(code));
}

/** Plantings a task may be about: those of the book, as far as newer entries do not change or add any; likeliest first. */
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
    // A book saved by an earlier version does not say.
    const usual = (book.usual_days as LogBook['usual_days'] | undefined)?.[act] ?? 0;
    return open.sort((a, b) => distance(act, a, day, usual) - distance(act, b, day, usual));
}

/** A planting whose first entry is corrected or deleted. The book shows corrections of other entries. */
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
 * A planting with one more entry, as the server will make it: each day is the first one given, except the last harvest, which is the last.
 * Mirrors core/src/Log/SowingFold.php; core/tests/fixtures/sowing-fold.json tests both. (The mean quality takes all harvests, which the
 * phone does not have.)
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

/** A planting as its first entry describes it. */
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

/** How far a planting is from the day on which the task is usually logged; the nearest comes first. */
function distance(act: Act, { days }: Sowing, day: string, usual: number): number {
    const since = daysBetween(days.set_out ?? days.sown ?? day, day);
    // What is in harvest is harvested again.
    const picking = (act === 'picked' || act === 'last-picked') && days.first_picked ? -10_000 : 0;
    return picking + Math.abs(since - usual);
}

/** Crops to choose from, likely ones first. */
export function cropsFor(book: LogBook): LogBook['crops'] {
    const rank = (slug: string) => {
        const at = book.likely.indexOf(slug);
        return at < 0 ? book.likely.length : at;
    };
    return [...book.crops].sort((a, b) => rank(a.slug) - rank(b.slug));
}
