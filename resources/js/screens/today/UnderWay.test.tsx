import { act, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { fakeServer, show } from '../../testing';
import { StandsAlready, UnderWay } from './UnderWay';

type Sowing = Schema['UnderWay'];

const sowing = (name: string, days: Partial<Sowing['days']>, goes_on: Partial<Schema['GoesOn']> | null): Sowing => ({
    key: name,
    crop: name,
    name,
    variety: null,
    bed: { garden: 'School', name: 'Bed 3', site: null },
    under_cover: days.sown !== undefined && goes_on?.set_out !== undefined && goes_on.set_out !== null,
    days: {
        sown: null,
        set_out: null,
        up: null,
        thinned: null,
        first_picked: null,
        last_picked: null,
        lost: null,
        ...days,
    },
    cause: null,
    metres: 3,
    kilograms: null,
    stems: null,
    quality: null,
    goes_on: goes_on && {
        up: null,
        set_out: null,
        thin: null,
        first_pick: null,
        harvests: 20,
        cold: 0,
        of: 29,
        loss: null,
        members: 29,
        ...goes_on,
    },
});

const row = async (name: string) => {
    const head = await screen.findByRole('rowheader', { name });
    return within(head.closest('tr')!)
        .getAllByRole('cell')
        .map((cell) => cell.textContent);
};

describe('what stands already', () => {
    it('has what was seen, else what is to be expected with its span', async () => {
        fakeServer({
            'GET /api/zones/bench/under-way': [
                sowing(
                    'Radish',
                    { sown: '2026-04-09' },
                    {
                        up: ['2026-04-24', '2026-04-26', '2026-04-27'],
                        thin: '2026-05-10',
                        first_pick: ['2026-05-19', '2026-05-24', '2026-05-30'],
                        cold: 2,
                    },
                ),
                sowing(
                    'Spinach',
                    { sown: '2026-04-06', up: '2026-04-16' },
                    { harvests: 0, cold: 29, loss: 'freeze-young' },
                ),
                sowing('Tomato', { sown: '2026-03-25' }, { set_out: '2026-05-06', harvests: 0, loss: 'freeze-young' }),
                sowing('Kale', { set_out: '2026-03-01', first_picked: '2026-04-15' }, { harvests: 0, loss: 'heat' }),
                sowing('Pea', { sown: '2026-04-12' }, null),
            ],
        });
        show(<UnderWay zone="bench" today="2026-04-18" />);
        expect(await row('Radish')).toEqual([
            'Bed 3',
            'sown 9 Apr',
            '26 Apr (24 Apr to 27 Apr)',
            '10 May',
            '24 May (19 May to 30 May)',
            'harvest in 20 of 29 years, lost to cold in 2',
        ]);
        expect((await row('Spinach')).slice(2)).toEqual([
            '16 Apr',
            '',
            '',
            'probably lost (killed by frost young): cover it, or check it and log what you find',
        ]);
        expect((await row('Tomato')).slice(1)).toEqual([
            'indoors 25 Mar',
            '',
            'transplant 6 May',
            '',
            'if transplanted then, probably lost (killed by frost young): keep it indoors longer',
        ]);
        expect((await row('Kale')).slice(4)).toEqual(['harvested 15 Apr', 'harvest in 0 of 29 years']);
        expect((await row('Pea')).at(-1)).toBe('this season is not known');
    });

    it('says how late a sowing is that should be up, and whether spares are ready', async () => {
        const due = { up: ['2026-04-10', '2026-04-12', '2026-04-13'] };
        fakeServer({
            'GET /api/zones/bench/under-way': [
                sowing('Kale', { sown: '2026-04-01' }, due),
                { ...sowing('Carrot', { sown: '2026-04-01' }, due), bed: null },
                { ...sowing('Beet', { sown: '2026-04-01', up: '2026-04-14' }, {}), bed: null },
                { ...sowing('Spare', { sown: '2026-03-01' }, { set_out: '2026-04-18' }), crop: 'Kale' },
            ],
        });
        show(<UnderWay zone="bench" today="2026-04-18" />);
        expect((await row('Kale')).at(-1)).toBe('5 days late; your spare seedlings are ready to take its place');
        expect((await row('Carrot')).at(-1)).toBe('5 days late: look, and log what you find');
        expect((await row('Beet')).at(-1)).toBe('harvest in 20 of 29 years');
    });

    it('is nothing where nothing stands', async () => {
        const asked = fakeServer({ 'GET /api/zones/bench/under-way': [] });
        const { container } = show(
            <>
                <UnderWay zone="bench" today="2026-04-18" />
                <StandsAlready zone="bench" />
            </>,
        );
        await waitFor(() => expect(asked).toHaveLength(1));
        await act(async () => undefined);
        expect(container.querySelector('section, .stands')).toBeNull();
    });
});
