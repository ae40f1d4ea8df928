import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../api/client';
import { COMPUTATION, fakeServer, Refused, show, STATION, ZONE } from '../../testing';
import { BringFile } from './BringFile';

const preview: Schema['RecordPreview'] = {
    file: { name: 'many.csv', bytes: 10, checksum: 'a'.repeat(64) },
    format: 'ghcn-long',
    station: 'XX0000001',
    stations: [
        { station: 'XX0000001', first: '1961-01-01', last: '2025-12-31', rows: 47482 },
        { station: 'XX0000002', first: '1990-01-01', last: '2025-12-31', rows: 26298 },
    ],
    columns: { date: 'day', minimum: 'TMIN', maximum: 'TMAX' },
    choices: [],
    contradicted: 0,
    doubtful: false,
    cold_seasons: 64,
    date_order: 'year-first',
    update: null,
    unit: 'tenths-celsius',
    unit_stated: true,
    depths: {
        rain: { column: 'PRCP', unit: 'tenths-mm', stated: true },
        snow: { column: 'depth', unit: 'in', stated: false },
    },
    delimiter: 'comma',
    rows: 47482,
    first: '1961-01-01',
    last: '2025-12-31',
    years: [
        { year: 1961, days: 365, complete: true },
        { year: 1962, days: 300, complete: false },
    ],
    gaps: [{ first: '1962-03-01', days: 40 }],
    refused: [{ line: 7, column: 'TMIN', phrase: { key: 'verbatim', with: { text: '“x” is not a value' } } }],
    refused_count: 1,
    marks: [{ date: '1961-07-04', element: 'minimum', rule: 'spike' }],
    marks_count: 1,
    sample: [{ date: '1961-01-01', minimum: -6.8, maximum: null, rain: 0, snow: null }],
};
const stations = [
    { ...STATION, id: 4, name: 'Bench' },
    { ...STATION, id: 5, name: 'Shed' },
];

function choose(file = new File(['x'], 'many.csv')) {
    fireEvent.change(document.querySelector('input[type=file]') as Element, { target: { files: [file] } });
}

describe('bringing a station file', () => {
    it('shows what was understood before anything is kept', async () => {
        const computing = vi.fn();
        const asked = fakeServer({
            'POST /api/zones/bench/record-previews': preview,
            'POST /api/zones/bench/record-imports': { ...COMPUTATION, id: 3 },
        });
        show(<BringFile zone={ZONE} stations={[]} onComputing={computing} />);
        choose();
        expect(await screen.findByText('How many.csv was read')).toBeTruthy();
        expect(screen.getByText('1 January 1961 to 31 December 2025, 47482 rows')).toBeTruthy();
        expect(screen.getByText('2, of which 1 without a missing day')).toBeTruthy();
        expect(screen.getByText('40 days from 1 March 1962')).toBeTruthy();
        expect(screen.getByText('−6.8 / –')).toBeTruthy();
        expect(screen.getByText('“PRCP”, in tenths of mm, as the file says')).toBeTruthy();
        expect(screen.getByText('“depth”, in inches, as goes with the temperatures: check it')).toBeTruthy();
        expect(screen.getByLabelText('Unit of snow')).toBeTruthy();
        expect(screen.getByText('Rows that cannot be read and will be left out: 1')).toBeTruthy();
        expect(screen.getByText('line 7')).toBeTruthy();
        expect(screen.getByText('Questionable values, kept and not used: 1')).toBeTruthy();
        expect(asked).toHaveLength(1);
        fireEvent.click(screen.getByText('Import file'));
        await waitFor(() => expect(computing).toHaveBeenCalledWith(3));
    });

    it('doubts a file that contradicts most of the record in use, and none that corrects a little of it', async () => {
        const updating = (changed: number, unchanged: number) => {
            fakeServer({
                'POST /api/zones/bench/record-previews': {
                    ...preview,
                    doubtful: changed > unchanged,
                    update: { new: 41, changed, unchanged, kept: 12547 },
                },
            });
            show(<BringFile zone={ZONE} stations={[]} onComputing={() => {}} />);
            choose();
        };
        updating(10084, 67);
        expect(await screen.findByText(/Is this file for the same station/)).toBeTruthy();
        const keep = () => screen.getByText('Import file').closest('button') as HTMLButtonElement;
        expect(keep().disabled, 'no idle click imports it').toBe(true);
        fireEvent.click(screen.getByLabelText('This station, this unit'));
        expect(keep().disabled).toBe(false);
        expect(screen.getByText('41 values new, 10084 changed, 67 the same, 12547 only in the record')).toBeTruthy();
        cleanup();
        updating(67, 10084);
        await screen.findByText('Questionable values of the record so updated, kept and not used: 1');
        expect(screen.queryByText(/Is this file for the same station/)).toBeNull();
    });

    it('lets one of several stations be chosen, and looks again', async () => {
        const asked = fakeServer({ 'POST /api/zones/bench/record-previews': preview });
        show(<BringFile zone={ZONE} stations={[]} onComputing={() => {}} />);
        choose();
        const select = await screen.findByLabelText('Station (of 2)');
        fireEvent.change(select, { target: { value: 'XX0000002' } });
        await waitFor(() => expect(asked).toHaveLength(2));
    });

    it('says whose file it is, or that the station is a new one', () => {
        fakeServer({});
        show(<BringFile zone={ZONE} stations={stations} onComputing={() => {}} />);
        const of = screen.getByLabelText('For station');
        expect([...of.querySelectorAll('option')].map((o) => o.textContent)).toEqual([
            'Bench (primary)',
            'Shed',
            'a new one, to fill in',
        ]);
        expect(screen.queryByLabelText('Its elevation, m')).toBeNull();
        fireEvent.change(of, { target: { value: 'new' } });
        expect(screen.getByLabelText('Its elevation, m')).toBeTruthy();
    });

    it('refuses a file that is too large without sending it', () => {
        const asked = fakeServer({});
        show(<BringFile zone={ZONE} stations={[]} onComputing={() => {}} />);
        const huge = new File(['x'], 'huge.csv');
        Object.defineProperty(huge, 'size', { value: 241 * 1024 * 1024 });
        choose(huge);
        expect(screen.getByRole('alert').textContent).toContain('larger than 240 MiB');
        expect(asked).toHaveLength(0);
    });

    it('gives the server’s words when the file cannot be taken', async () => {
        fakeServer({
            'POST /api/zones/bench/record-previews': new Refused(422, {
                message: 'Line 3, column “date”: comes after.',
            }),
        });
        show(<BringFile zone={ZONE} stations={[]} onComputing={() => {}} />);
        choose();
        expect((await screen.findByRole('alert')).textContent).toBe('Line 3, column “date”: comes after.');
    });
});
