import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, show } from '../testing';
import { DemoClock } from './DemoClock';

const demonstration = { first: '2026-04-18', last: '2028-04-17' };

describe('the demonstration’s clock', () => {
    it('says which day it is and moves a day, a week, or to any day', async () => {
        let today = '2026-04-18';
        const session = () => ({ ...EDUCATOR, today, demonstration });
        const asked = fakeServer({
            'GET /api/session': session,
            'PUT /api/demo-clock': (body: { today: string }) => {
                today = body.today;
                return session();
            },
        });
        show(<DemoClock />);
        fireEvent.click(await screen.findByText('One week later'));
        expect(await screen.findByText('Demonstration: today is 25 April 2026')).toBeTruthy();
        fireEvent.click(screen.getByText('One day later'));
        expect(await screen.findByText('Demonstration: today is 26 April 2026')).toBeTruthy();
        fireEvent.click(screen.getByText('Another day'));
        fireEvent.change(screen.getByLabelText(/Day to show/), {
            target: { value: '2027-02-01' },
        });
        fireEvent.click(screen.getByText('Go to this day'));
        expect(await screen.findByText('Demonstration: today is 1 February 2027')).toBeTruthy();
        await waitFor(() => expect(screen.queryByText('Go to this day')).toBeNull());
        expect(asked.filter((a) => a.what.startsWith('PUT')).map((a) => a.body)).toEqual([
            { today: '2026-04-25' },
            { today: '2026-04-26' },
            { today: '2027-02-01' },
        ]);
    });

    it('is not there outside the demonstration', async () => {
        const asked = fakeServer({ 'GET /api/session': EDUCATOR });
        show(<DemoClock />);
        await waitFor(() => expect(asked).toHaveLength(1));
        expect(document.querySelector('.demo-clock')).toBeNull();
    });
});
