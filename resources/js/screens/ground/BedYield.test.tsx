import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show } from '../../testing';
import type { BedYield } from './queries';
import { sorted, WorthOfGround } from './BedYield';

const row = (change: Partial<BedYield>): BedYield => ({
    crop: 'radish',
    name: 'Radish',
    variety: null,
    route: 'direct',
    act: 'sow-outdoors',
    on: '04-10',
    days: 50,
    share: 0.9,
    amount: 0.945,
    unit: 'kg',
    thirst: 'usual',
    price: null,
    ...change,
});
const KALE = row({ crop: 'kale', name: 'Kale', route: 'transplant', act: 'set-out', amount: 0.3, price: 4 });
const ZINNIA = row({ crop: 'zinnia', name: 'Zinnia', unit: 'stems', amount: 8.9, thirst: 'low' });
const CELERY = row({ crop: 'celery', name: 'Celery', amount: 0.41, thirst: 'high', days: 130 });
const ALL = [row({}), KALE, ZINNIA, CELERY];

const names = () => [...document.querySelectorAll('.worth tbody th')].map((cell) => cell.textContent);

function open(answers: object = {}) {
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/zones/bench/worth': ALL,
        ...answers,
    });
    show(<WorthOfGround zone="bench" />, '/desk/zones/bench/beds', '/desk/zones/:zone/beds');
    const details = document.querySelector('details') as HTMLDetailsElement;
    details.open = true;
    fireEvent(details, new Event('toggle'));
    return asked;
}

describe('worth of the ground', () => {
    it('is sorted by any column, with what is not known last', () => {
        const order = (column: Parameters<typeof sorted>[1], falls: boolean) =>
            sorted(ALL, column, falls).map((one) => one.crop);
        expect(order('crop', false)).toEqual(['celery', 'kale', 'radish', 'zinnia']);
        expect(order('kilograms', true)).toEqual(['radish', 'celery', 'kale', 'zinnia']);
        expect(order('kilograms', false)).toEqual(['kale', 'celery', 'radish', 'zinnia']);
        expect(order('thirst', true)[0]).toBe('celery');
        expect(order('money', true)[0]).toBe('kale');
        expect(order('days', true)[0]).toBe('celery');
    });

    it('is asked for when it is opened, and sorted on a word', async () => {
        open();
        await screen.findByText('Kale, transplanted');
        expect(names()).toEqual(['Celery', 'Kale, transplanted', 'Radish', 'Zinnia']);
        fireEvent.click(screen.getByRole('button', { name: 'harvest per week, kg per m²' }));
        expect(names()).toEqual(['Radish', 'Celery', 'Kale, transplanted', 'Zinnia']);
        expect(
            screen
                .getByRole('columnheader', { name: 'harvest per week, kg per m²', hidden: true })
                .getAttribute('aria-sort'),
        ).toBe('descending');
        const kale = screen.getByText('Kale, transplanted').closest('tr') as HTMLElement;
        expect([...within(kale).getAllByRole('cell')].map((cell) => cell.textContent)).toEqual([
            'transplant 10 Apr',
            '50',
            '90%',
            '0.3',
            '',
            '',
            '1.2',
            'typical',
        ]);
        expect(within(screen.getByText('Celery').closest('tr') as HTMLElement).getByText('high')).toBeTruthy();
    });

    it('keeps a price, forgets one, and says what was wrong with it', async () => {
        const asked = open({
            'PUT /api/prices/radish': { crop: 'radish', price: 3.5 },
            'PUT /api/prices/kale': { crop: 'kale', price: null },
            'PUT /api/prices/zinnia': new Refused(422, {
                message: 'Enter a price from 0.01 to 100,000 per kilogram or stem.',
            }),
        });
        const price = async (label: string, value: string) => {
            const field = await screen.findByLabelText(label);
            fireEvent.change(field, { target: { value } });
            fireEvent.blur(field);
        };
        await price('Your price of Radish, per kilogram', '3.5');
        await waitFor(() => expect(asked.find((a) => a.what.startsWith('PUT'))?.body).toEqual({ price: 3.5 }));
        await screen.findByText('3.31');
        await price('Your price of Kale, per kilogram', '');
        await waitFor(() =>
            expect(asked.filter((a) => a.what.startsWith('PUT')).at(-1)?.body).toEqual({ price: null }),
        );
        await price('Your price of Zinnia, per stem', '0');
        await screen.findByText(/Enter a price from 0.01 to 100,000/);
        expect(asked.filter((a) => a.what.startsWith('PUT'))).toHaveLength(3);
    });
});
