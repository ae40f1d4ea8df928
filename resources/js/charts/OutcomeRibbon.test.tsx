import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { ExpectedCurve, nextOpening, OutcomeRibbon, outcomesOn, stack, type Ribbon } from './OutcomeRibbon';
import { yearScale } from '../time/yearScale';

const days = (value: (i: number) => number) => Array.from({ length: 365 }, (_, i) => value(i));

/** Ten years: a harvest from sow day 101 to 200, frozen young before, too late after. */
const ribbon: Ribbon = {
    years: 10,
    expected: [],
    reliability: days((i) => (i >= 100 && i < 200 ? 1 : 0)),
    outcomes: {
        'freeze-young': days((i) => (i < 100 ? 10 : i < 150 ? 2 : 0)),
        harvest: days((i) => (i >= 100 && i < 150 ? 8 : i >= 150 && i < 200 ? 10 : 0)),
        'freeze-late': days((i) => (i >= 200 ? 10 : 0)),
    },
};

describe('the outcome ribbon', () => {
    it('stands every outcome on the one before, harvest on the ground, up to all the years', () => {
        const layers = stack(ribbon, '01-01', 1);
        expect(layers.map((l) => l.outcome)).toEqual(['harvest', 'freeze-late', 'freeze-young']);
        const top = Math.max(...layers.map((l) => l.to[120] ?? 0));
        expect(layers[0]?.to[120]).toBeCloseTo(0.8);
        expect(top).toBeCloseTo(1);
    });

    it('starts at midwinter in the south', () => {
        const north = stack(ribbon, '01-01', 1)[0]?.to;
        const south = stack(ribbon, '07-01', 1)[0]?.to;
        expect(south?.[0]).toBe(north?.[181]);
    });

    it('draws one closed shape an outcome, without a gap or a NaN', () => {
        const { container } = render(
            <svg>
                <OutcomeRibbon
                    scale={yearScale('01-01', 730)}
                    ribbon={ribbon}
                    starts="01-01"
                    top={0}
                    height={20}
                    step={5}
                />
            </svg>,
        );
        const paths = [...container.querySelectorAll('path')].map((p) => p.getAttribute('d') ?? '');
        expect(paths).toHaveLength(3);
        for (const d of paths) {
            expect(d).toMatch(/^M.*Z$/);
            expect(d).not.toContain('NaN');
        }
        expect(paths[0]).toMatch(/^M200\.0 4\.0H210\.0/);
    });

    it('tells the years of each outcome on a day, the most frequent first', () => {
        expect(outcomesOn(ribbon, 120)).toEqual([
            { outcome: 'harvest', years: 8, of: 10 },
            { outcome: 'freeze-young', years: 2, of: 10 },
        ]);
    });

    it('finds the next window over the turn of the year', () => {
        const spans = [
            { first: '03-01', last: '04-01', days: 32 },
            { first: '08-01', last: '08-20', days: 20 },
        ];
        expect(nextOpening(spans, 300)).toEqual({ span: spans[0], days: 125 });
        expect(nextOpening([], 1)).toBeNull();
    });

    it('draws what to expect from the ruler’s first day on, its top a whole harvest', () => {
        const { container } = render(
            <svg>
                <ExpectedCurve
                    scale={yearScale('07-01', 365)}
                    expected={days((i) => (i === 181 ? 1 : 0))}
                    top={10}
                    height={40}
                />
            </svg>,
        );
        // July 1 is the 182nd day of the year, and the first of a southern ruler.
        expect(container.querySelector('path')?.getAttribute('d')).toMatch(/^M0\.5 10\.0L1\.5 50\.0L/);
    });
});
