import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { readAs } from '../../words/words';
import { seedNeed } from '../seedNeed';
import { reckonSeed } from '../seedTable';
import { CROP_SHEET, ROUTE } from '../../testing';
import { RoomAndStems, SeedTable, SowAgain, SowAgainInWords } from './CropGround';
import type { CropProps, Route } from './props';
import { ReadingHere } from './reading';

const radish: CropProps['crop'] = {
    ...CROP_SHEET,
    depth_cm: 1.5,
    per_square_foot: 16,
    seed: { per_station: 1, thinned_to: 1, germination: 0.8, per_gram: 90 },
    cut: null,
};
const sown = (again: Route['again']): Route => ({ ...ROUTE, again });
const said = (crop: Partial<CropProps['crop']>) =>
    render(<RoomAndStems crop={{ ...radish, ...crop }} />).container.textContent;
const rows = () =>
    [...document.querySelectorAll('table.seed tbody tr:not([hidden])')].map((row) =>
        [...row.children].map((cell) => cell.textContent),
    );

afterEach(() => {
    cleanup();
    readAs({ language: 'en', units: 'metric', own: {} });
});

describe('seed for a row', () => {
    it('is counted up to whole seeds, and weighed up to what is enough', () => {
        expect(seedNeed({ ...radish, seed: { per_station: 1, germination: 0.8, per_gram: 90 } }, 3, 'metric')).toEqual({
            plants: 60,
            seeds: 75,
            weight: 0.9,
        });
        expect(seedNeed({ ...radish, seed: null }, 0.26, 'metric')).toEqual({ plants: 6, seeds: null, weight: null });
        const beans = { spacing_cm: 10, seed: { per_station: 2, germination: 0.8, per_gram: 4 } };
        expect(seedNeed(beans, 10, 'metric')).toEqual({ plants: 100, seeds: 250, weight: 63 });
        expect(seedNeed(beans, 10, 'us')).toEqual({ plants: 100, seeds: 250, weight: 2.21 });
    });

    it('stands in a table without a script, and of the length that is typed with one', () => {
        render(<SeedTable crop={radish} />);
        expect(rows()).toEqual([
            ['1 m', '20', '25', '0.3'],
            ['3 m', '60', '75', '0.9'],
            ['5 m', '100', '125', '1.4'],
            ['10 m', '200', '250', '2.8'],
        ]);
        expect(screen.getByText(/^One seed for each plant. Of good seed about 80% comes up/)).toBeTruthy();
        reckonSeed(document);
        const typed = screen.getByLabelText('metres, yours');
        expect(rows()[4]).toEqual(['metres, yours ', '', '', '']);
        fireEvent.input(typed, { target: { value: '2.5' } });
        expect(rows()[4]).toEqual(['metres, yours ', '50', '63', '0.7']);
        for (const wrong of ['0', '-3', '1001', '']) {
            fireEvent.input(typed, { target: { value: wrong } });
            expect(rows()[4]).toEqual(['metres, yours ', '', '', '']);
        }
    });

    it('is told in feet and ounces to whoever measures so', () => {
        const reading = { prefix: '/en-f', language: 'en', units: 'us' as const };
        readAs({ ...reading, own: {} });
        render(
            <ReadingHere here={{ reading, readings: [], path: '/' }}>
                <SeedTable crop={radish} />
            </ReadingHere>,
        );
        expect(rows()[1]).toEqual(['10 ft', '61', '77', '0.03']);
        reckonSeed(document);
        fireEvent.input(screen.getByLabelText('feet, yours'), { target: { value: '10' } });
        expect(rows()[4]?.slice(1)).toEqual(['61', '77', '0.03']);
    });

    it('is plants alone of what is not counted in seeds, and nothing of an edition that did not tell', () => {
        render(<SeedTable crop={{ ...radish, start: 'clove', seed: null }} />);
        expect(screen.getByText('How many plants')).toBeTruthy();
        expect(rows()[0]).toEqual(['1 m', '20']);
        cleanup();
        const old = { ...radish };
        delete old.seed;
        expect(render(<SeedTable crop={old} />).container.textContent).toBe('');
    });
});

describe('a crop’s room and stems', () => {
    it('are plants to a square, or squares to a plant', () => {
        expect(said({})).toBe('16 to a square of 30 cm.');
        expect(said({ per_square_foot: 1 })).toBe('One to a square of 30 cm.');
        expect(said({ per_square_foot: 0.25 })).toBe('One to 4 squares of 30 cm.');
        expect(said({ per_square_foot: null })).toBe('');
    });

    it('say how a flower gives, when it is cut and how long it keeps', () => {
        const cut = { stems_per_plant: 18, branches: true, vase_days: 6, at: 'first-petals' as const };
        expect(said({ per_square_foot: null, cut })).toBe(
            'It gives stem after stem, about 18 a plant; cut as the first petals lift; keeps about 6 days in the vase.',
        );
        expect(
            said({ per_square_foot: null, cut: { stems_per_plant: 1, branches: false, vase_days: null, at: null } }),
        ).toBe('One stem a plant.');
    });
});

describe('sowing again', () => {
    const again = [
        { on: '04-01', first: '05-01', last: '05-10' },
        { on: '04-11', first: '05-11', last: '05-20' },
    ];

    it('is told day by day with what is picked when, and in a sentence on paper', () => {
        render(<SowAgain routes={[sown(again), sown([])]} />);
        expect([...document.querySelectorAll('li')].map((row) => row.textContent)).toEqual([
            '1 Apr harvest 1 May to 10 May',
            '11 Apr harvest 11 May to 20 May',
        ]);
        expect(document.querySelectorAll('ol')).toHaveLength(1);
        cleanup();
        render(<SowAgainInWords routes={[sown(again)]} />);
        expect(document.body.textContent).toBe('For an even supply, sow outdoors on 1 Apr and 11 Apr.');
    });

    it('is not spoken of where one sowing is enough, or an edition did not tell', () => {
        expect(render(<SowAgain routes={[sown([]), sown(undefined)]} />).container.textContent).toBe('');
    });
});
