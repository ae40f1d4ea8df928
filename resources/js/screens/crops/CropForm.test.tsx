import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, RECORD, show, ZONE, type AnswerTo } from '../../testing';
import { CropForm } from './CropForm';

const flat = (value: number) => Array.from({ length: 365 }, () => value);
const route = (harvests: number): AnswerTo<'POST /api/crops/radish/trials'>['after'][number] => ({
    route: 'direct',
    act: 'sow-outdoors',
    windows: [{ first: '04-01', last: '06-01', days: 62 }],
    under_cover: [],
    harvests: [],
    reasons: [],
    derivation: [],
    ribbon: {
        years: 30,
        reliability: flat(harvests / 30),
        expected: [],
        outcomes: { harvest: flat(harvests), heat: flat(30 - harvests) },
    },
});
const crop: AnswerTo<'GET /api/crops/radish'> = {
    slug: 'radish',
    version: 1,
    cells: { name: 'Radish', maturity_days: '26', maturity_basis: 'sowing', heat_c: '31' },
    numbers: {
        maturity_days: { basis: 'packet', source: null, shipped: '26' },
        heat_c: { basis: 'office', source: null, shipped: '30' },
    },
    days: [{ route: 'direct', days: 26, phrase: { key: 'verbatim', with: { text: '26 days from sowing' } } }],
    varieties: [{ id: 5, version: 1, name: 'Harrow Red', cells: { maturity_days: '22' }, tags: ['quick'] }],
    revisions: [
        {
            id: 8,
            note: 'Trials.',
            by: 'Wren',
            at: '2026-03-02T09:00:00+00:00',
            changed: [{ column: 'heat_c', before: '30', after: '31' }],
        },
    ],
};
type Column = AnswerTo<'GET /api/crop-columns'>[number];

const column = (
    name: string,
    type: Column['type'],
    group: Column['group'],
    unit: Column['unit'],
    choices: string[] = [],
): Column => ({
    column: name,
    type,
    group,
    unit,
    least: 1,
    most: 400,
    choices,
    optional: false,
    by_variety: true,
});
const answers = {
    'GET /api/crop-columns': [
        column('maturity_days', 'number', 'days', 'days'),
        column('maturity_basis', 'choice', 'days', null, ['sowing', 'emergence', 'transplant']),
        column('heat_c', 'number', 'cold-and-heat', 'celsius'),
    ],
    'GET /api/session': EDUCATOR,
    'GET /api/zones': [
        { ...ZONE, record: RECORD },
        { ...ZONE, slug: 'none', name: 'Without a record' },
    ],
    'GET /api/crops/radish': crop,
    'POST /api/crops/radish/trials': { starts: '01-01', before: [route(28)], after: [route(20)] },
};

describe('a crop of the book', () => {
    it('shows its numbers, its days in words, and what it was', async () => {
        fakeServer(answers);
        show(<CropForm slug="radish" mayEdit />);
        expect(await screen.findByText('Sown: 26 days to harvest (26 days from sowing).')).toBeTruthy();
        expect(screen.getByText('Heat: 30 to 31')).toBeTruthy();
        expect(screen.getByText('22 from sowing')).toBeTruthy();
        expect(screen.queryByText('Without a record')).toBeNull();
    });

    it('says how sure each number is, and shows the office’s own alone', async () => {
        fakeServer(answers);
        show(<CropForm slug="radish" mayEdit />);
        expect((await screen.findByText(/From seed packets/)).textContent).toContain('days');
        expect(screen.getByText(/Your office’s own number; shipped: 30/)).toBeTruthy();
        fireEvent.click(screen.getByLabelText('Only your numbers (1)'));
        expect(screen.queryByLabelText('Days to maturity')).toBeNull();
        expect(screen.getByText(/Your office’s own number; shipped: 30/)).toBeTruthy();
    });

    it('tries a changed number on the ribbon, and saves only what was changed, with the reason', async () => {
        const asked = fakeServer({ ...answers, 'PATCH /api/crops/radish': crop });
        show(<CropForm slug="radish" mayEdit />);
        fireEvent.change(await screen.findByLabelText('Days to maturity'), { target: { value: '40' } });
        expect(screen.getByText('Days to maturity: 26 to 40')).toBeTruthy();
        expect(await screen.findByText('sow outdoors, then')).toBeTruthy();
        await waitFor(() =>
            expect(asked.filter((a) => a.what.endsWith('/trials')).at(-1)?.body).toEqual({
                zone: 'bench',
                cells: { maturity_days: '40' },
            }),
        );
        fireEvent.change(screen.getByLabelText(/^Reason and source/), { target: { value: 'Slower here.' } });
        fireEvent.click(screen.getByText('Save'));
        await waitFor(() => expect(asked.some((a) => a.what === 'PATCH /api/crops/radish')).toBe(true));
        expect(asked.find((a) => a.what === 'PATCH /api/crops/radish')?.body).toEqual({
            cells: { maturity_days: '40' },
            note: 'Slower here.',
            version: 1,
        });
    });

    it('says at the cell why a number cannot be', async () => {
        fakeServer({
            ...answers,
            'POST /api/crops/radish/trials': (body: unknown) =>
                Object.keys((body as { cells: object }).cells).length > 0
                    ? new Refused(422, {
                          message: 'No.',
                          errors: { 'cells.maturity_days': ['“x” is not a number from 1 to 400.'] },
                      })
                    : answers['POST /api/crops/radish/trials'],
        });
        show(<CropForm slug="radish" mayEdit />);
        fireEvent.change(await screen.findByLabelText('Days to maturity'), { target: { value: 'x' } });
        expect(await screen.findByText('“x” is not a number from 1 to 400.')).toBeTruthy();
    });

    it('is taken back, and its varieties are edited and taken out', async () => {
        const asked = fakeServer({
            ...answers,
            'POST /api/crops/radish/revisions/8': crop,
            'PUT /api/crops/radish/varieties/5': crop,
            'DELETE /api/crops/radish/varieties/5': crop,
        });
        show(<CropForm slug="radish" mayEdit />);
        fireEvent.click(await screen.findByText('Restore'));
        const varieties = screen.getByRole('region', { name: 'Varieties' });
        fireEvent.click(within(varieties).getByRole('button', { name: 'Edit' }));
        fireEvent.change(within(varieties).getByLabelText('Own days'), { target: { value: '24' } });
        fireEvent.click(within(varieties).getByText('Save the variety'));
        await waitFor(() => expect(asked.some((a) => a.what.startsWith('PUT'))).toBe(true));
        expect(asked.find((a) => a.what.startsWith('PUT'))?.body).toEqual({
            name: 'Harrow Red',
            version: 1,
            cells: { maturity_days: '24', maturity_basis: '', heat_c: '' },
            tags: ['quick'],
        });
        fireEvent.click(within(varieties).getByRole('button', { name: 'Delete' }));
        await waitFor(() => expect(asked.some((a) => a.what.startsWith('DELETE'))).toBe(true));
        expect(asked.some((a) => a.what === 'POST /api/crops/radish/revisions/8')).toBe(true);
    });

    it('is read by a volunteer without anything to press', async () => {
        fakeServer(answers);
        show(<CropForm slug="radish" mayEdit={false} />);
        expect(await screen.findByText('Days to maturity')).toBeTruthy();
        expect(screen.queryByLabelText('Days to maturity'), 'numbers to read, not fields').toBeNull();
        expect(screen.queryByText('Restore')).toBeNull();
        expect(screen.queryByText('Add a variety')).toBeNull();
    });
});
