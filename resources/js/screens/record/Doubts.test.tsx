import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { EDUCATOR, fakeServer, show, STATION, type AnswerTo } from '../../testing';
import { Doubts } from './Doubts';

const around = [
    { date: '2005-07-09', minimum: 9.5, maximum: 20, rain: null, snow: null },
    { date: '2005-07-10', minimum: -31, maximum: 21, rain: null, snow: null },
];
const SPIKE = 'more than 25 °C from the days before and after';
type Value = AnswerTo<'GET /api/zones/bench/quality'>['values'][number];
const value = (date: string, decision: Value['decision'] = null): Value => ({
    date,
    element: 'minimum',
    doubts: ['spike'],
    around,
    decision,
});
const decided = { id: 4, accepted: true, note: 'Seen by two.', by: 'Wren', at: '2026-04-18T09:00:00+00:00' };

function serve(values: Value[], more: Record<string, unknown> = {}) {
    return fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/zones/bench/stations': {
            stations: [{ ...STATION, id: 1, name: 'Bench' }],
            set_aside: [],
            filled_in: [],
            filled_in_count: 0,
            version: 1,
        },
        'GET /api/zones/bench/quality': { values },
        ...more,
    });
}

describe('doubted values', () => {
    it('stand by rule and year with the days around', async () => {
        serve([value('2005-07-10'), value('2005-11-02'), value('2011-01-01')]);
        show(<Doubts zone="bench" onComputing={() => {}} />);
        const counts = await screen.findByRole('table', { name: 'Questionable values by rule and year' });
        expect(within(counts).getByText('2005')).toBeTruthy();
        expect(
            within(counts)
                .getAllByRole('cell')
                .map((cell) => cell.textContent),
        ).toEqual([SPIKE, '2', '1']);
        expect(screen.getAllByText('−31.0 / 21.0').length).toBe(1);
    });

    it('count again only with a reason', async () => {
        const computing = vi.fn();
        const asked = serve([value('2005-07-10')], { 'POST /api/zones/bench/quality': { id: 9 } });
        show(<Doubts zone="bench" onComputing={computing} />);
        fireEvent.click(await screen.findByText('Use anyway'));
        fireEvent.change(screen.getByLabelText('Why it counts'), { target: { value: 'Two neighbours saw it.' } });
        fireEvent.click(screen.getByText('Use value'));
        await waitFor(() => expect(computing).toHaveBeenCalledWith(9));
        expect(asked.find((a) => a.what.startsWith('POST'))?.body).toEqual({
            date: '2005-07-10',
            element: 'minimum',
            accepted: true,
            note: 'Two neighbours saw it.',
            replaces: null,
        });
    });

    it('show who decided and why, and can be undone', async () => {
        const computing = vi.fn();
        serve([value('2005-07-10', decided)], { 'DELETE /api/zones/bench/quality/4': { id: 11 } });
        show(<Doubts zone="bench" onComputing={computing} />);
        expect(await screen.findByText('counts: Seen by two. (Wren, 18 April 2026)')).toBeTruthy();
        fireEvent.click(screen.getByText('Undo'));
        await waitFor(() => expect(computing).toHaveBeenCalledWith(11));
    });

    it('may be left out by hand where no rule doubts them', async () => {
        const asked = serve([], { 'POST /api/zones/bench/quality': { id: 12 } });
        show(<Doubts zone="bench" onComputing={() => {}} />);
        fireEvent.click(await screen.findByText('Leave out another value'));
        fireEvent.change(screen.getByLabelText(/^Day/), { target: { value: '2001-06-15' } });
        fireEvent.change(screen.getByLabelText('Value'), { target: { value: 'maximum' } });
        fireEvent.change(screen.getByLabelText(/^Why leave it out/), { target: { value: 'Door open.' } });
        fireEvent.click(screen.getByText('Leave out'));
        await waitFor(() => expect(asked.some((a) => a.what.startsWith('POST'))).toBe(true));
        expect(asked.find((a) => a.what.startsWith('POST'))?.body).toMatchObject({
            date: '2001-06-15',
            element: 'maximum',
            accepted: false,
            note: 'Door open.',
        });
    });
});
