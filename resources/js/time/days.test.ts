import { describe, expect, it } from 'vitest';
import {
    beforeSummer,
    contains,
    dateInWords,
    datesInShort,
    daysUntil,
    hoursInWords,
    inShort,
    inWords,
    joined,
    monthDay,
    yearDay,
    yearDayOfDate,
    spanInShort,
    spanInWords,
    wrap,
    rulerYear,
    rulerYearInWords,
} from './days';

describe('days of the sowing year', () => {
    it('go from text to number and back, all 365 of them', () => {
        for (let day = 1; day <= 365; day++) expect(yearDay(monthDay(day))).toBe(day);
        expect(yearDay('12-31')).toBe(365);
        expect(yearDayOfDate('2024-02-29')).toBe(59);
        expect(yearDayOfDate('2024-03-01')).toBe(60);
    });

    it('wrap around the year', () => {
        expect(wrap(0)).toBe(365);
        expect(wrap(366)).toBe(1);
        expect(daysUntil(360, 5)).toBe(10);
    });

    it('are said as people say them', () => {
        expect(inWords('05-12')).toBe('12 May');
        expect(inShort('09-01')).toBe('1 Sep');
        expect(dateInWords('2026-05-12')).toBe('12 May 2026');
        expect(datesInShort('2004-01-01', '2026-09-19')).toBe('1 Jan 2004 to 19 Sep 2026');
        expect(datesInShort('2008-10-09', '2008-10-09')).toBe('9 Oct 2008');
        expect(spanInWords({ first: '10-19', last: '04-17', days: 181 })).toBe('19 October to 17 April');
        expect(spanInShort({ first: '07-01', last: '06-30', days: 365 })).toBe('all year');
        expect(hoursInWords(13.999)).toBe('14 h 00 min');
    });

    it('lie before or after summer in either hemisphere', () => {
        expect([beforeSummer('01-01', yearDay('05-12')), beforeSummer('01-01', yearDay('09-12'))]).toEqual([
            true,
            false,
        ]);
        expect([beforeSummer('07-01', yearDay('09-12')), beforeSummer('07-01', yearDay('05-12'))]).toEqual([
            true,
            false,
        ]);
    });

    it('lie inside a span that crosses the new year', () => {
        const span = { first: '12-20', last: '01-10', days: 22 };
        expect(['12-20', '01-01', '01-10'].map((d) => contains(span, yearDay(d)))).toEqual([true, true, true]);
        expect(['12-19', '01-11', '07-01'].map((d) => contains(span, yearDay(d)))).toEqual([false, false, false]);
    });

    it('of spans that touch or overlap become one, in the order of the ruler', () => {
        const span = (first: string, days: number) => ({ first, last: monthDay(yearDay(first) + days - 1), days });
        expect(joined([span('08-06', 97), span('06-17', 59)], '01-01')).toEqual([span('06-17', 147)]);
        expect(joined([span('05-01', 10), span('05-11', 5)], '01-01')).toEqual([span('05-01', 15)]);
        const apart = [span('05-01', 10), span('05-12', 5)];
        expect(joined(apart, '01-01')).toEqual(apart);
        expect(joined([span('05-01', 90), span('05-12', 5)], '01-01')).toEqual([span('05-01', 90)]);
    });

    it('of spans join over the end of the ruler, north and south', () => {
        const span = (first: string, days: number) => ({ first, last: monthDay(yearDay(first) + days - 1), days });
        expect(joined([span('01-05', 30), span('11-01', 80)], '01-01')).toEqual([span('11-01', 95)]);
        expect(joined([span('01-05', 30), span('11-01', 80)], '07-01')).toEqual([span('11-01', 95)]);
        expect(joined([span('07-02', 5), span('08-01', 5), span('06-01', 70)], '07-01')).toEqual([span('06-01', 70)]);
        expect(joined([span('01-10', 300), span('10-01', 120)], '01-01')[0]?.days).toBe(365);
        expect(joined([], '01-01')).toEqual([]);
    });

    it('knows which ruler year a date lies in, north and south', () => {
        expect(rulerYear('2026-04-20', '01-01')).toBe(2026);
        expect(rulerYear('2026-04-20', '07-01')).toBe(2025);
        expect(rulerYear('2026-07-01', '07-01')).toBe(2026);
        expect(rulerYearInWords(2025, '01-01')).toBe('2025');
        expect(rulerYearInWords(1999, '07-01')).toBe('1999/00');
    });
});
