import { describe, expect, it } from 'vitest';
import { besideDots } from './labels';

const at = (x: number, y: number, text = '50 °F May 20') => ({ x, y, text });
const places = (...dots: ReturnType<typeof at>[]) =>
    besideDots(dots, { width: 600, fontSize: 10 }).map(({ label }) => [label.anchor, label.dy]);

describe('Labels beside dots', () => {
    it('stand up and right of their dots where nothing is in the way', () => {
        expect(places(at(10, 50), at(200, 50))).toEqual([
            ['start', -5],
            ['start', -5],
        ]);
    });

    it('make way for those before them: below, then on the left', () => {
        // Each is 66 px wide and 11.5 px high.
        expect(places(at(100, 50), at(120, 50), at(110, 50))).toEqual([
            ['start', -5],
            ['start', 13],
            ['end', -5],
        ]);
        expect(places(at(100, 50), at(120, 62))).toEqual([
            ['start', -5],
            ['start', -5],
        ]);
    });

    it('stay within the chart, and stand in the first place where there is none', () => {
        expect(places(at(560, 50))).toEqual([['end', -5]]);
        expect(places(at(100, 50), at(100, 50), at(100, 50), at(100, 50), at(100, 50)).at(-1)).toEqual(['start', -5]);
    });
});
