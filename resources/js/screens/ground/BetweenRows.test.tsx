import { fireEvent, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { EDUCATOR, fakeServer, show } from '../../testing';
import { Conflicts } from './Conflicts';
import { OccupancyCard } from './OccupancyCard';
import { usePlantings, type BetweenFit, type GroundBed, type Occupancy } from './queries';
import { bed, stay as sample, undoneBy } from './samples';

const SPAN = { from: '2026-01-01', to: '2026-12-31' };

const stay = (name: string, with_: Partial<Occupancy> = {}) =>
    sample(name, {
        key: `planting ${name}`,
        from: '2026-05-25',
        first: '2026-08-10',
        to: '2026-10-05',
        metres: 6,
        ...with_,
    });

const fit = (name: string, with_: Partial<BetweenFit> = {}): BetweenFit => ({
    crop: name.toLowerCase(),
    name,
    variety: null,
    route: 'direct',
    act: 'sow-outdoors',
    on: '2026-05-25',
    first: '2026-06-20',
    to: '2026-06-29',
    share: 0.9,
    relay: true,
    rows: 3,
    apart_cm: 25,
    against: [],
    ...with_,
});

function Card({ of, on }: { of: Occupancy; on: GroundBed }) {
    return <OccupancyCard zone="bench" bed={on} stay={of} beds={[on]} plantings={usePlantings('bench', SPAN)} />;
}

it('says what goes between the rows and how, what does not and why, and plans one there', async () => {
    const tomato = stay('Tomato');
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/zones/bench/beds/3/between?stay=planting%20Tomato': {
            closes: '2026-07-02',
            room_m: 4,
            fits: [
                fit('Radish'),
                fit('Onion', { relay: false, rows: 1, to: '2026-09-01' }),
                fit('Pumpkin', { against: ['room', 'vines'] }),
                ...Array.from({ length: 8 }, (_, i) => fit(`Leaf ${i + 1}`)),
            ],
        },
        'PUT /api/zones/bench/plantings': { ground: { today: '2026-04-18', ...SPAN, beds: [] }, undo: undoneBy() },
    });
    show(<Card of={tomato} on={bed([tomato])} />);
    fireEvent.click(await screen.findByText('Plant between its rows'));
    await screen.findByText('4 m of its rows are free. They close about 2 July 2026.');
    expect(
        screen.getAllByText(/out by 29 Jun.*, before the rows close; 3 rows in each space, 25 cm from row to row/)
            .length,
    ).toBe(7);
    expect(screen.getByText(/stands beside it until 1 Sep.*; one row in each space/)).toBeTruthy();
    expect(screen.queryByText('Leaf 8')).toBeNull();
    fireEvent.click(screen.getByText('and 2 more'));
    expect(screen.getByText('Leaf 8')).toBeTruthy();
    expect(screen.getByText('One crop does not go there')).toBeTruthy();
    expect(screen.getByText('Pumpkin: too little space between the rows; one runs over the other')).toBeTruthy();
    fireEvent.click(screen.getAllByText('Plan this')[0]!);
    const put = () => asked.find(({ what }) => what.startsWith('PUT'))?.body as { add: unknown[] };
    await expect
        .poll(() => put()?.add)
        .toMatchObject([{ crop: 'radish', bed: 3, on: '2026-05-25', metres: 4, between: 'planting Tomato' }]);
});

it('says what stands between what, and gives it ground of its own', async () => {
    const tomato = stay('Tomato', { key: 'sowing tomatoes', planting: null, kind: 'under-way' });
    const onion = stay('Onion', { between: 'sowing tomatoes' });
    const both = bed([tomato, onion]);
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'PUT /api/zones/bench/plantings': { ground: { today: '2026-04-18', ...SPAN, beds: [] }, undo: undoneBy() },
    });
    show(<Card of={tomato} on={both} />);
    expect(await screen.findByText('Between its rows: Onion.')).toBeTruthy();
    show(<Card of={onion} on={both} />);
    expect(screen.getByText(/It stands between the rows of Tomato/)).toBeTruthy();
    fireEvent.click(screen.getByText('Plant it separately'));
    await expect
        .poll(() => asked.find(({ what }) => what.startsWith('PUT'))?.body)
        .toMatchObject({ change: [{ id: 7, version: 2, bed: 3, metres: 6, between: null }] });
});

it('names a pair that does not go together among the conflicts', () => {
    const pair = [stay('Onion', { key: 'o' }), stay('Pumpkin', { key: 'p' })];
    const conflict = {
        kind: 'between' as const,
        from: '2026-06-01',
        to: '2026-08-20',
        keys: ['o', 'p'],
        why: ['vines' as const],
    };
    show(<Conflicts beds={[bed(pair, [conflict])]} onChoose={() => undefined} />);
    expect(screen.getByText(/Onion does not go between the rows of Pumpkin \(one runs over the other\)/)).toBeTruthy();
});
