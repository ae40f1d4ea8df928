import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { RiskCurve, type RiskCurveData } from './RiskCurve';
import { yearScale } from '../time/yearScale';

/** Thirty years whose last freeze comes on sow day 120 in each, and whose first on day 280. */
const risk: RiskCurveData = {
    starts: '01-01',
    seasons: 30,
    thresholds: [
        {
            threshold: 'light-freeze',
            celsius: 0,
            to_come: Array.from({ length: 365 }, (_, i) => (i < 120 ? 30 : 0)),
            has_come: Array.from({ length: 365 }, (_, i) => (i >= 279 ? 30 : 0)),
        },
    ],
};

function points(path: Element | null | undefined): [number, number][] {
    return [...(path?.getAttribute('d') ?? '').matchAll(/([\d.]+),([\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]);
}

describe('RiskCurve', () => {
    it('draws freezes to come until midsummer and freezes that have come after it', () => {
        const { container } = render(
            <svg>
                <RiskCurve scale={yearScale('01-01', 365)} risk={risk} />
            </svg>,
        );
        const curve = points(container.querySelector('path'));
        const at = (day: number) => curve.find(([x]) => x === day - 0.5)?.[1] ?? NaN;
        expect(at(120)).toBeLessThan(at(121));
        expect(at(250)).toBe(at(150));
        expect(at(280)).toBe(at(120));
    });

    it('lays another zone over it, in another hemisphere too, on the same days', () => {
        const south = { ...risk, starts: '07-01' };
        const { container } = render(
            <svg>
                <RiskCurve scale={yearScale('07-01', 365)} risk={south} other={south} />
            </svg>,
        );
        const [other, own] = [...container.querySelectorAll('path')];
        expect(own?.getAttribute('d')).toBe(other?.getAttribute('d'));
        expect(own?.getAttribute('stroke')).not.toBe(other?.getAttribute('stroke'));
    });
});
