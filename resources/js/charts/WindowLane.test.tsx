import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { WindowLane } from './WindowLane';
import { yearScale } from '../time/yearScale';

const LANE = {
    act: 'sow-outdoors',
    windows: [{ first: '10-19', last: '04-17', days: 181 }],
    under_cover: [],
    harvests: [{ first: '12-12', last: '06-30', days: 201 }],
    reasons: [
        { first: '07-01', last: '10-18', reason: 'cold-soil', phrase: { key: 'reason.cold-soil' } },
        { first: '04-18', last: '06-30', reason: 'too-late', phrase: { key: 'reason.too-late' } },
    ],
};

function draw(starts: string) {
    const { container } = render(
        <svg>
            <WindowLane scale={yearScale(starts, 365)} lane={LANE} />
        </svg>,
    );
    return container;
}

describe('a lane', () => {
    it('draws one bracket where the window fits the ruler, two where it runs over its end', () => {
        expect(draw('07-01').querySelectorAll('.bracket')).toHaveLength(1);
        expect(draw('01-01').querySelectorAll('.bracket')).toHaveLength(2);
    });

    it('says window, harvest and reasons in words', () => {
        const titles = [...draw('07-01').querySelectorAll('title')].map((t) => t.textContent);
        expect(titles).toEqual([
            'the soil is too cold',
            'too late to finish before the freeze',
            'harvest 12 December to 30 June',
            'sow outdoors 19 October to 17 April',
        ]);
    });

    it('aligns reasons and bracket on the same scale', () => {
        const container = draw('07-01');
        const soil = container.querySelector('rect');
        expect(soil?.getAttribute('x')).toBe('0');
        expect(Number(soil?.getAttribute('width'))).toBeCloseTo(110);
        expect(container.querySelector('.bracket')?.getAttribute('d')).toContain('M110 ');
    });
});
