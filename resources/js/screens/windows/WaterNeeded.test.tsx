import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, show, type AnswerTo } from '../../testing';
import { yearDay } from '../../time/days';
import { WaterNeeded } from './WaterNeeded';

const ground = (name: string, times: number) => ({
    ground: name,
    waterings: [times - 2, times, times + 2],
    mm: [300, 380.4, 410],
    week: [40, 44.5, 50],
    sprinklings: [4, 8.6, 12],
    litres_per_m: 114.1,
});
const water = { years: 26, enough: 3, row_cm: 30, grounds: [ground('sand', 20), ground('loam', 11)] };

function open(route: 'direct' | 'transplant', answer: AnswerTo<'GET /api/zones/basin/windows/carrot/water'>) {
    fakeServer({ 'GET /api/session': EDUCATOR, 'GET /api/zones/basin/windows/carrot/water': answer });
    show(<WaterNeeded zone="basin" crop="carrot" route={route} day={yearDay('04-20')} />);
}

describe('Water that a sowing needs', () => {
    it('is told by ground, for its thirstiest week, until it is up, and for a row of any length', async () => {
        open('direct', water);
        expect((await screen.findByRole('row', { name: /^Sand/ })).textContent).toBe('Sand18–22380.4 mm');
        expect(screen.getByRole('row', { name: /^Loam/ }).textContent).toBe('Loam9–13380.4 mm');
        screen.getByText(
            /it uses 44\.5 mm\. An inch a week, rain included, was enough in 3 of 26 years\. .* about 9 times/,
        );
        screen.getByText(/a row of 3(\.0)? m takes 342\.3 L in all/);
        fireEvent.change(screen.getByRole('textbox', { name: /^Row length/ }), { target: { value: '10' } });
        await waitFor(() => screen.getByText(/takes 1,?141(\.0)? L in all/));
        screen.getByText(/Watering limits of your district come first/);
    });

    it('of what is set out needs no sprinkling', async () => {
        open('transplant', water);
        await screen.findByRole('row', { name: /^Sand/ });
        expect(screen.queryByText(/sprinkle/)).toBeNull();
    });

    it('is not told without rain on record', async () => {
        fakeServer({ 'GET /api/session': EDUCATOR, 'GET /api/zones/basin/windows/carrot/water': null });
        show(<WaterNeeded zone="basin" crop="carrot" route="direct" day={110} />);
        await screen.findByText(/^No rain on record/);
        expect(screen.queryByRole('table')).toBeNull();
    });

    it('says so where no year came to harvest', async () => {
        open('direct', { years: 0, enough: 0, row_cm: 30, grounds: [] });
        await screen.findByText(/^No year came to harvest/);
        expect(screen.queryByRole('table')).toBeNull();
    });
});
