import { fireEvent, screen, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { EDUCATOR, fakeServer, show } from '../../testing';
import { GapFits } from './GapFits';
import { usePlantings, type Fit } from './queries';
import { bed, undoneBy } from './samples';

const SPAN = { from: '2026-06-18', to: '2026-08-05' };

const fit = (name: string, with_: Partial<Fit> = {}): Fit => ({
    crop: name.toLowerCase(),
    name,
    family: 'Brassicaceae',
    variety: null,
    route: 'direct',
    act: 'sow-outdoors',
    on: '2026-06-20',
    first: '2026-07-20',
    to: '2026-08-01',
    share: 0.8,
    a_metre_and_day: 0.0415,
    unit: 'kg',
    feeds: false,
    is_cover: false,
    breaks: null,
    ...with_,
});

function Panel() {
    return <GapFits zone="bench" bed={bed()} gap={SPAN} year={SPAN} plantings={usePlantings('bench', SPAN)} />;
}

it('lists what is eaten, then what is cut, each with its own measure, and plans one on a word', async () => {
    const eaten = Array.from({ length: 14 }, (_, i) => fit(`Crop ${i + 1}`));
    const flowers = [fit('Zinnia', { a_metre_and_day: 0.381, unit: 'stems' })];
    const beans = fit('Bean', { breaks: { name: 'Pea', from: '2025-04-01', to: '2025-07-01', years: 3 } });
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/zones/bench/beds/3/fits': { free_m: 6, fits: [...eaten, ...flowers, beans] },
        'PUT /api/zones/bench/plantings': { ground: { today: '2026-04-18', ...SPAN, beds: [] }, undo: undoneBy() },
    });
    show(<Panel />);
    await screen.findByText('Crop 12');
    expect(screen.queryByText('Crop 13')).toBeNull();
    expect(screen.getAllByText('harvest in 80% of years; 42 g per meter of row and day').length).toBe(12);
    const [, vase] = screen.getAllByRole('list');
    expect(screen.getByRole('heading', { name: 'For the vase' })).toBeTruthy();
    expect(within(vase!).getByText('harvest in 80% of years; 0.4 stems per meter of row and day')).toBeTruthy();
    expect(screen.getByText(/Bean/)).toBeTruthy();
    fireEvent.click(screen.getByText('and 2 more'));
    expect(screen.getByText('Crop 14')).toBeTruthy();
    fireEvent.click(within(vase!).getByText('Plan this'));
    await screen.findByText('Zinnia');
    await expect
        .poll(() => asked.find(({ what }) => what.startsWith('PUT'))?.body)
        .toMatchObject({ add: [{ crop: 'zinnia', bed: 3, on: '2026-06-20', metres: 6 }] });
});
