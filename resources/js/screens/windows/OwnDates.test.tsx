import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { CROP_SHEET, fakeServer, METHOD, Refused, ROUTE, RULER, show } from '../../testing';
import { OwnDates } from './OwnDates';

const window = { first: '03-31', last: '07-10', days: 102 };
const ribbon = { years: 30, reliability: [], expected: [], outcomes: {} };
const dossier: Schema['Dossier'] = {
    crop: { ...CROP_SHEET, routes: [{ ...ROUTE, windows: [window] }] },
    method: METHOD,
    ruler: RULER,
    replay: [
        { ...ROUTE, ribbon },
        { ...ROUTE, route: 'transplant', act: 'set-out', ribbon },
    ],
    schools: [{ school: 'count-back', routes: [ROUTE], differences: [] }],
    choice: null,
    disagreements: [],
    standards: ['cautious', 'reliable', 'bold'],
    varieties: [],
};

describe('the educator’s own word', () => {
    it('starts from the dates there are and is sent with its reason', async () => {
        const asked = fakeServer({ 'POST /api/zones/bench/windows/radish/choices': dossier });
        show(<OwnDates zone="bench" crop="radish" data={dossier} />);
        fireEvent.click(screen.getByText('Set your own dates'));
        expect((screen.getByLabelText('From 1') as HTMLInputElement).value).toBe('31 Mar');
        fireEvent.change(screen.getByLabelText('To 1'), { target: { value: '05-01' } });
        fireEvent.click(screen.getByText('Another window'));
        fireEvent.change(screen.getByLabelText('Way of growing 2'), { target: { value: 'transplant' } });
        fireEvent.change(screen.getByLabelText('From 2'), { target: { value: '8/1' } });
        fireEvent.change(screen.getByLabelText('To 2'), { target: { value: 'aug 10' } });
        fireEvent.change(screen.getByLabelText(/^Why/), { target: { value: 'The club.' } });
        fireEvent.click(screen.getByText('Save'));
        await waitFor(() => expect(screen.queryByText('Save')).toBeNull());
        expect(asked[0]?.body).toEqual({
            school: 'own',
            reason: 'The club.',
            replaces: null,
            windows: [
                { route: 'direct', first: '03-31', last: '05-01' },
                { route: 'transplant', first: '08-01', last: '08-10' },
            ],
        });
    });

    it('sends nothing that is not a day', () => {
        const asked = fakeServer({ 'POST /api/zones/bench/windows/radish/choices': dossier });
        show(<OwnDates zone="bench" crop="radish" data={dossier} />);
        fireEvent.click(screen.getByText('Set your own dates'));
        fireEvent.change(screen.getByLabelText('To 1'), { target: { value: 'soon' } });
        fireEvent.change(screen.getByLabelText(/^Why/), { target: { value: 'The club.' } });
        fireEvent.click(screen.getByText('Save'));
        expect(screen.getByText(/^Enter a date such as/)).toBeTruthy();
        expect(screen.getByLabelText('To 1').getAttribute('aria-invalid')).toBe('true');
        expect(asked).toEqual([]);
    });

    it('is there again after another screen, until it is cancelled', () => {
        fakeServer({});
        const first = show(<OwnDates zone="bench" crop="radish" data={dossier} />);
        fireEvent.click(screen.getByText('Set your own dates'));
        fireEvent.change(screen.getByLabelText('To 1'), { target: { value: 'May 1' } });
        fireEvent.change(screen.getByLabelText(/^Why/), { target: { value: 'The club.' } });
        first.unmount();
        show(<OwnDates zone="bench" crop="radish" data={dossier} />);
        expect((screen.getByLabelText('To 1') as HTMLInputElement).value).toBe('1 May');
        expect((screen.getByLabelText(/^Why/) as HTMLTextAreaElement).value).toBe('The club.');
        fireEvent.click(screen.getByText('Cancel'));
        expect(screen.queryByLabelText(/^Why/)).toBeNull();
        expect(screen.getByText('Set your own dates')).toBeTruthy();
    });

    it('may be to count back, which sends no dates', async () => {
        const asked = fakeServer({ 'POST /api/zones/bench/windows/radish/choices': dossier });
        show(<OwnDates zone="bench" crop="radish" data={dossier} />);
        fireEvent.click(screen.getByText('Counting back'));
        expect(screen.queryByLabelText('From 1')).toBeNull();
        fireEvent.change(screen.getByLabelText(/^Why/), { target: { value: 'Easier to explain.' } });
        fireEvent.click(screen.getByText('Save'));
        await waitFor(() => expect(asked).toHaveLength(1));
        expect(asked[0]?.body).toEqual({ school: 'count-back', reason: 'Easier to explain.', replaces: null });
    });

    it('stays on the page with the reason when it is refused', async () => {
        fakeServer({
            'POST /api/zones/bench/windows/radish/choices': new Refused(422, { message: '“02-30” is not a day.' }),
        });
        show(<OwnDates zone="bench" crop="radish" data={dossier} />);
        fireEvent.click(screen.getByText('Set your own dates'));
        fireEvent.change(screen.getByLabelText(/^Why/), { target: { value: 'x' } });
        fireEvent.click(screen.getByText('Save'));
        expect(await screen.findByRole('alert')).toBeTruthy();
        expect((screen.getByLabelText('From 1') as HTMLInputElement).value).toBe('31 Mar');
    });

    it('is picked from a calendar as well, whatever the year', async () => {
        fakeServer({});
        show(<OwnDates zone="bench" crop="radish" data={dossier} />);
        fireEvent.click(screen.getByText('Set your own dates'));
        fireEvent.change(screen.getByLabelText('From 1, from a calendar'), { target: { value: '2026-04-09' } });
        expect((screen.getByLabelText('From 1') as HTMLInputElement).value).toBe('9 Apr');
    });

    it('is undone', async () => {
        const asked = fakeServer({ 'DELETE /api/zones/bench/choices/3': dossier });
        const chosen = {
            ...dossier,
            choice: { id: 3, school: 'own' as const, reason: 'The club.', by: 'Wren', at: '2026-03-01T10:00:00+00:00' },
        };
        show(<OwnDates zone="bench" crop="radish" data={chosen} />);
        fireEvent.click(screen.getByText('Undo'));
        await waitFor(() => expect(asked.map((a) => a.what)).toEqual(['DELETE /api/zones/bench/choices/3']));
    });
});
