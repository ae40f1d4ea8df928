import { render, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { ROUTE } from '../../testing';
import { CropWater } from './CropWater';
import type { Route } from './props';

const water = (times: [number, number, number], sprinklings: number): Schema['SowingWater'] => ({
    years: 29,
    enough: 4,
    row_cm: 30,
    grounds: ['sand', 'loam', 'clay'].map((ground, i) => ({
        ground,
        waterings: times.map((n) => n + 10 - 5 * i),
        mm: [300, 381, 420],
        week: [30, 38.1, 44],
        sprinklings: [0, sprinklings, 9],
        litres_per_m: 100,
    })),
});

const route = (
    act: 'sow-outdoors' | 'set-out',
    evidence: { best: string; water?: Schema['SowingWater'] }[],
): Route => ({
    ...ROUTE,
    route: act === 'set-out' ? 'transplant' : 'direct',
    act,
    evidence: evidence.map((one) => ({ harvests: 29, years: 30, slack: 0, from_first: null, from_last: null, ...one })),
});

const cells = () =>
    screen
        .getAllByRole('row')
        .slice(1)
        .map((row) =>
            within(row)
                .getAllByRole('cell')
                .map((cell) => cell.textContent),
        );

describe('The water of a crop', () => {
    it('is told by window and by ground, with the rule of an inch and the seedbed', () => {
        render(
            <CropWater
                routes={[
                    route('sow-outdoors', [
                        { best: '04-20', water: water([9, 11, 13], 5.6) },
                        { best: '07-10', water: water([4, 4, 4], 0) },
                    ]),
                    route('set-out', [{ best: '05-02' }]),
                ]}
            />,
        );
        expect(cells()).toEqual([
            ['19 to 23', '14 to 18', '9 to 13', '381.0 mm'],
            ['14', '9', '4', '381.0 mm'],
        ]);
        expect(screen.getAllByRole('rowheader').map((head) => head.textContent)).toEqual([
            'Sow outdoors, 20 Apr',
            'Sow outdoors, 10 Jul',
        ]);
        expect(document.body.textContent).toContain('In its thirstiest week it uses about 38.1 mm.');
        expect(document.body.textContent).toContain('is enough in 4 of 29 years');
        expect(document.body.textContent).toContain('sprinkle it about 6 times');
    });

    it('has no seedbed where it is transplanted, and nothing is said without rain on record', () => {
        const { unmount } = render(
            <CropWater routes={[route('set-out', [{ best: '05-02', water: water([4, 5, 6], 3) }])]} />,
        );
        expect(document.body.textContent).not.toContain('sprinkle');
        unmount();
        const { container } = render(<CropWater routes={[route('set-out', [{ best: '05-02' }])]} />);
        expect(container.textContent).toBe('');
    });

    it('says where rain keeps the seedbed moist', () => {
        render(<CropWater routes={[route('sow-outdoors', [{ best: '04-20', water: water([1, 1, 1], 0) }])]} />);
        expect(document.body.textContent).toContain('Rain usually keeps the top of the soil moist');
    });
});
