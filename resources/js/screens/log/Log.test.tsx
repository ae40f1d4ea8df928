import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { EDUCATOR, fakeServer, LOG_BOOK, Refused, show } from '../../testing';
import { Log } from './Log';
import type { Line } from './queries';
import { toldInWords } from './told';

const line = (key: string, with_: Partial<Line> = {}): Line => ({
    key,
    act: 'first-picked',
    on: '2026-05-20',
    crop: 'radish',
    name: 'Radish',
    bed: { garden: 'School', name: 'Bed 3', site: null },
    sowing: 'sown',
    told: { kilograms: 1.5, quality: 3 },
    photo: null,
    author: 'Wren',
    source: 'phone',
    written_at: '2026-05-20T10:00:00+00:00',
    taken_back: false,
    cursor: '2026-05-20.1',
    corrects: null,
    ...with_,
});

const answers = (lines: Line[]) => ({
    'GET /api/session': EDUCATOR,
    'GET /api/zones/bench/log': { lines, more: false },
    'GET /api/zones/bench/log-book': { ...LOG_BOOK, cues: [{ id: 4, plant: 'Lilac', stage: 'first leaf' }] },
});

const open = () => show(<Log />, '/desk/zones/bench/log', '/desk/zones/:zone/log');

describe('the log at the desk', () => {
    it('says a line in words', () => {
        const cues = [{ id: 4, plant: 'Lilac', stage: 'first leaf' }];
        expect(toldInWords({ metres: 4, under_cover: true, lot: 'A 12' }, cues)).toBe(
            'Indoors or under cover, 4 m, lot A 12',
        );
        expect(toldInWords({ cause: 'dried-out', text: 'No rain.' }, cues)).toBe('to dried out, No rain.');
        expect(toldInWords({ celsius: 9.4, depth: 0.1 }, cues)).toBe('9.4 °C at 10 cm');
        expect(toldInWords({ cue: 4 }, cues)).toBe('Lilac, first leaf');
    });

    it('shows what a line said before it was corrected, and takes one back', async () => {
        const before = { ...line('old'), told: { kilograms: 15 } };
        const asked = fakeServer({
            ...answers([line('new', { corrects: before }), line('other', { author: null })]),
            'POST /api/zones/bench/log-entries': {
                kept: [],
                refused: [{ key: 'k', field: 'on', message: 'It has followers.' }],
                clock_minutes: 0,
            },
        });
        open();
        const [first, second] = (await screen.findAllByText('Radish')).map((cell) => cell.closest('tr')!);
        expect(within(first!).getByText('Before: 20 May 2026, 15 kg (Wren)')).toBeTruthy();
        expect(within(second!).getByText('somebody no longer here')).toBeTruthy();
        fireEvent.click(await within(first!).findByRole('button', { name: 'Undo' }));
        await screen.findByText('It has followers.');
        const body = asked.find(({ what }) => what.startsWith('POST'))?.body as { entries: Record<string, unknown>[] };
        expect(body.entries[0]).toMatchObject({ act: 'first-picked', corrects: 'new', taken_back: true });
    });

    it('writes again what was taken back', async () => {
        const asked = fakeServer({
            ...answers([line('gone', { taken_back: true, corrects: line('old') })]),
            'POST /api/zones/bench/log-entries': { kept: ['x'], refused: [], clock_minutes: 0 },
        });
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'Redo' }));
        await waitFor(() => expect(asked.some(({ what }) => what.startsWith('POST'))).toBe(true));
        const body = asked.find(({ what }) => what.startsWith('POST'))?.body as { entries: Record<string, unknown>[] };
        expect(body.entries[0]).toMatchObject({ corrects: 'gone', crop: 'radish', kilograms: 1.5, garden: 'School' });
    });

    it('says of a table what is wrong row by row', async () => {
        fakeServer({
            ...answers([]),
            'POST /api/zones/bench/log-files': new Refused(422, {
                message: 'Row 3, crop: no.',
                errors: {
                    file: ['Row 3, crop: There is no such crop in the book.', 'Row 7, on: It has not come yet.'],
                },
            }),
        });
        open();
        await screen.findByText(/No entries match/);
        const file = new File(['on,act'], 'log.csv', { type: 'text/csv' });
        fireEvent.change(screen.getByLabelText('Upload table'), { target: { files: [file] } });
        await screen.findByText('Row 7, on: It has not come yet.');
        expect(screen.getByText(/Nothing was imported/)).toBeTruthy();
    });

    it('follows the import of a table to its end', async () => {
        const reading = (part: Partial<Schema['LogImport']>): Schema['LogImport'] => ({
            id: 7,
            file: 'log.csv',
            done: 0,
            total: 900,
            state: 'running',
            saved: null,
            faults: [],
            ...part,
        });
        const states = [reading({ state: 'running', done: 250 }), reading({ state: 'done', done: 900, saved: 899 })];
        fakeServer({
            ...answers([]),
            'POST /api/zones/bench/log-files': reading({ state: 'queued' }),
            'GET /api/log-imports/7': () => (states.length > 1 ? states.shift()! : states[0]!),
        });
        open();
        await screen.findByText(/No entries match/);
        const file = new File(['on,act'], 'log.csv', { type: 'text/csv' });
        fireEvent.change(screen.getByLabelText('Upload table'), { target: { files: [file] } });
        await screen.findByText(/250 of 900 rows checked/);
        await screen.findByText('899 new entries.');
    });
});
