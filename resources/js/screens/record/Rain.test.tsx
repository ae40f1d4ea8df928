import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, RECORD, RULER, show, ZONE } from '../../testing';
import { weekOf } from '../../charts/RainChart';
import { yearDay } from '../../time/days';
import { Rain } from './Rain';

const iso = (day: number) => new Date(Date.UTC(2001, 0, 1 + day)).toISOString().slice(5, 10);
const sheet = {
    months: Array.from({ length: 12 }, (_, i) => ({
        month: i + 1,
        years: i === 0 ? 0 : 30,
        mean: i === 0 ? null : 10 * i,
        low: i === 0 ? null : 2 * i,
        middle: i === 0 ? null : 9 * i,
        high: i === 0 ? null : 20 * i,
        wet_days: i === 0 ? null : 4.4,
    })),
    weeks: Array.from({ length: 52 }, (_, i) => ({ first: iso(7 * i), rain: 12.7, et0: i })),
    dry_spells: [{ months: [12, 1, 2], years: 30, one_in_2: 1, one_in_5: 12, one_in_10: null }],
    snow_days: 41.3,
    grounds: [
        {
            ground: 'sandy loam',
            years: { 2001: '03-02', 2002: null },
            early: '03-01',
            middle: '03-09',
            late: null,
            at_standard: '03-20',
            share: Array.from({ length: 365 }, (_, i) => (i < 60 ? null : 0.76)),
        },
    ],
};

describe('Rain of a zone', () => {
    it('is told by month, season and ground, and by the week one points at', async () => {
        fakeServer({ 'GET /api/session': EDUCATOR, 'GET /api/zones/basin/rain': sheet });
        show(<Rain zone="basin" ruler={RULER} />, '/?date=07-01');
        const march = await screen.findByRole('row', { name: /^March/ });
        expect(
            within(march)
                .getAllByRole('cell')
                .map((cell) => cell.textContent),
        ).toEqual(['20.0 mm', '4.0 mm', '18.0 mm', '40.0 mm', '4']);
        expect(screen.getByRole('row', { name: /^January/ }).textContent).toBe('January–––––');
        expect(screen.getByRole('row', { name: /^Dec–Feb/ }).textContent).toBe('Dec–Feb1 day12 days–');
        const [share, first] = screen.getAllByRole('row', { name: /^Sandy loam/ });
        expect(share?.textContent).toBe('Sandy loam8 of 10 years');
        expect(first?.textContent).toBe('Sandy loam1 Mar9 Marnot by midyear');
        screen.getByText('Snow lies on 41 days of a mean year.');
    });

    it('that is not on record says so, and where to bring it', async () => {
        fakeServer({ 'GET /api/session': EDUCATOR, 'GET /api/zones/basin/rain': null });
        show(<Rain zone="basin" ruler={RULER} />);
        await screen.findByText('No rain on record');
        expect(screen.getByRole('link').getAttribute('href')).toBe('/desk/zones/basin/climate/files');
    });

    it('is held against other years or another zone', async () => {
        const wetter = {
            ...sheet,
            months: sheet.months.map((month) => ({ ...month, mean: 100 })),
            grounds: sheet.grounds.map((ground) => ({ ...ground, middle: '03-30' })),
        };
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones/basin/rain': sheet,
            'GET /api/zones/basin/rain?from=1996&to=2010': wetter,
            'GET /api/zones': [{ ...ZONE, record: RECORD }],
            'GET /api/zones/bench/rain': null,
        });
        const { unmount } = show(<Rain zone="basin" ruler={RULER} />, '/?date=07-01&against=1996-2010');
        const march = await screen.findByRole('row', { name: /^March.*100/ });
        expect(within(march).getAllByRole('cell').at(-1)?.textContent).toBe('100.0 mm');
        expect(screen.getAllByRole('row', { name: /^Sandy loam/ })[1]?.textContent).toContain('30 Mar');
        expect(screen.getByText(/Purple steps: rain of/)).toBeTruthy();
        expect(asked.some(({ what }) => what === 'GET /api/zones/basin/rain?from=1996&to=2010')).toBe(true);
        unmount();
        show(<Rain zone="basin" ruler={RULER} />, '/?against=bench');
        expect(await screen.findByText('There is no rain on record for Bench.')).toBeTruthy();
        expect(screen.queryByText(/Purple steps/)).toBeNull();
    });
});

it('A week holds its days, the last one those that are left of the year, in either hemisphere', () => {
    const weeks = Array.from({ length: 52 }, (_, i) => ({ first: iso(7 * i) }));
    expect(weekOf(weeks, '01-01', 1)?.first).toBe('01-01');
    expect(weekOf(weeks, '01-01', 7)?.first).toBe('01-01');
    expect(weekOf(weeks, '01-01', 8)?.first).toBe('01-08');
    expect(weekOf(weeks, '01-01', 365)?.first).toBe('12-24');
    const south = Array.from({ length: 52 }, (_, i) => ({ first: iso(181 + 7 * i) }));
    expect(weekOf(south, '07-01', yearDay('01-03'))?.first).toBe('12-30');
    expect(weekOf(south, '07-01', yearDay('06-30'))?.first).toBe('06-23');
});
