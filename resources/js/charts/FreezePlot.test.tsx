import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { FreezePlot, type SeasonFreezes } from './FreezePlot';
import { yearScale } from '../time/yearScale';

const season = (number: number, first: string | null, last: string | null): SeasonFreezes => ({
    season: number,
    first: first?.slice(5) ?? null,
    last: last?.slice(5) ?? null,
    first_date: first,
    last_date: last,
});

function draw(starts: string, seasons: SeasonFreezes[]) {
    const { container } = render(
        <svg>
            <FreezePlot scale={yearScale(starts, 365)} seasons={seasons} risks={[]} />
        </svg>,
    );
    return [...container.querySelectorAll('g > g')].map((line) => ({
        words: line.querySelector('title')?.textContent,
        until: Number(line.querySelectorAll('rect')[1]?.getAttribute('width')),
        from: Number(line.querySelectorAll('rect')[2]?.getAttribute('x')),
    }));
}

describe('the freeze plot', () => {
    it('joins a spring with the autumn that follows it', () => {
        const [line] = draw('01-01', [
            season(2000, '1999-09-30', '2000-05-02'),
            season(2001, '2000-10-05', '2001-04-20'),
        ]);
        expect(line?.words).toBe('last freeze 2 May 2000, first freeze 5 October 2000');
        expect(line?.until).toBeCloseTo(122);
        expect(line?.from).toBeCloseTo(277);
    });

    it('leaves a line open where there was no freeze, or the next season is not known', () => {
        const lines = draw('01-01', [season(2000, null, null), season(2001, null, '2001-04-20')]);
        expect(lines[0]).toMatchObject({
            words: 'no freeze before summer, no freeze after summer',
            until: 0,
            from: 365,
        });
        expect(lines[1]?.words).toBe('last freeze 20 April 2001, first freeze not known');
        expect(lines[1]?.from).toBe(365);
    });

    it('does not fill a southern year when its first freeze comes after midwinter', () => {
        const [line] = draw('07-01', [
            season(2000, '2000-06-10', '2000-08-20'),
            season(2001, '2001-07-20', '2001-09-02'),
        ]);
        expect(line?.until).toBeCloseTo(51);
        expect(line?.from).toBe(365);
    });
});
