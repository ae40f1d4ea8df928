import { daysBetween } from '../../time/days';
import type { YearScale } from '../../time/yearScale';
import type { GroundBed, Occupancy } from './queries';

/** Position of a date on a ruler that starts on a day, px, limited to its ends. */
export function place(scale: YearScale, begins: string, date: string): number {
    const day = daysBetween(begins, date);
    return (Math.max(0, Math.min(365, day)) / 365) * scale.width;
}

/** Stays side by side: each in the first lane that is free when it starts. */
export function laned(stays: Occupancy[]): { stay: Occupancy; lane: number }[] {
    const ends: string[] = [];
    return [...stays]
        .sort((a, b) => a.from.localeCompare(b.from))
        .map((stay) => {
            const free = ends.findIndex((end) => end < stay.from);
            const lane = free < 0 ? ends.length : free;
            ends[lane] = stay.to;
            return { stay, lane };
        });
}

/** Stays and open spaces of a bed that can be seen in a year. */
export function shown<T extends { from: string; to: string }>(spans: T[], from: string, to: string): T[] {
    return spans.filter((span) => span.from <= to && span.to >= from);
}

/** Families a bed had in a year, by the stays that started in it. */
export function familiesIn(bed: GroundBed, from: string, to: string): string[] {
    return [...new Set(bed.stays.filter((stay) => stay.from >= from && stay.from <= to).map((stay) => stay.family))];
}
