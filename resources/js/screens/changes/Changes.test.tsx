import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { CROP, EDUCATOR, fakeServer, show, ZONE } from '../../testing';
import { Changes } from './Changes';
import type { Change } from './queries';

const change = (id: number, with_: Partial<Change> = {}): Change => ({
    id,
    at: '2026-04-18T19:26:00+00:00',
    by: 'Wren',
    zone: 'bench',
    zone_name: 'Bench',
    crop: 'pumpkin',
    subject: 'crop_choices',
    about: null,
    act: 'chosen',
    fields: [
        { field: 'crop', was: null, is: 'pumpkin' },
        { field: 'windows', was: null, is: { direct: [{ first: '05-15', last: '05-28' }] } },
        { field: 'waits_for_soil', was: true, is: false },
        { field: 'choices', was: null, is: [] },
    ],
    why: 'The club sows together.',
    ...with_,
});

function open(search = '', pages: Change[][] = [[change(9)]]) {
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/zones': [ZONE],
        'GET /api/crops': [{ ...CROP, slug: 'pumpkin', name: 'Pumpkin' }],
        'GET /api/changes': {
            changes: pages[0] ?? [],
            more: pages.length > 1,
            people: [{ id: 3, name: 'Wren' }],
        },
        'GET /api/changes?before=9': { changes: pages[1] ?? [], more: false, people: [] },
    });
    show(<Changes />, `/desk/settings/changes${search}`, '/desk/settings/changes');
    return asked;
}

describe('The change history', () => {
    it('says who changed what, from what to what, in words, and why', async () => {
        open();
        const row = await screen.findByRole('row', { name: /Wren/ });
        expect([...row.querySelectorAll('td')].map((cell) => cell.textContent)).toEqual([
            '18 Apr 2026, 19:26',
            'Wren',
            'Pumpkin: Method or own dates chosenin Bench',
            'Dates:  15 May 28 MayWait for warm soil: yes noThe club sows together.',
        ]);
    });

    it('of a zone and a crop is what their dates hang on, and exports the same', async () => {
        const asked = open('?zone=bench&crop=pumpkin');
        expect(await screen.findByText(/Every change behind the dates of Pumpkin in Bench/)).toBeTruthy();
        expect(asked.some(({ what }) => what === 'GET /api/changes?zone=bench&crop=pumpkin')).toBe(true);
        expect(screen.getByRole('link', { name: 'Export (CSV)' }).getAttribute('href')).toBe(
            '/desk-files/changes.csv?zone=bench&crop=pumpkin',
        );
        await screen.findByRole('option', { name: 'Wren' });
        fireEvent.change(screen.getByLabelText('Person'), { target: { value: '3' } });
        await waitFor(() => expect(asked.some(({ what }) => what.includes('person=3'))).toBe(true));
    });

    it('goes back page by page, and names nobody where nobody did it', async () => {
        open('', [[change(9)], [change(8, { by: null, why: null, act: 'undone' })]]);
        fireEvent.click(await screen.findByRole('button', { name: 'Show earlier changes' }));
        expect(await screen.findByText('Station, command line, or someone no longer here')).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Show earlier changes' })).toBeNull();
    });
});
