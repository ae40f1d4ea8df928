import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { afterEach, expect, it } from 'vitest';
import { flagAt, YearRuler, type RulerData } from './YearRuler';
import { yearScale } from '../time/yearScale';
import { readIn } from '../words/words';

afterEach(() => readIn('metric'));

/** A year that is coldest on January 1, by this much. */
const year = (coldest: number): RulerData => {
    const wave = (i: number) => (1 - Math.cos((2 * Math.PI * i) / 365)) / 2;
    const days = Array.from({ length: 365 }, (_, i) => wave(i));
    return {
        starts: '01-01',
        seasons: 30,
        freeze_chance: days.map((x) => 1 - x),
        hot_chance: days.map((x) => x / 2),
        soil: days.map((x) => coldest + 25 * x),
        day_length: days.map((x) => 8.5 + 7 * x),
    };
};

const drawn = (ruler: RulerData, width = 820) =>
    renderToStaticMarkup(createElement(YearRuler, { scale: yearScale(ruler.starts, width), ruler, labels: 0 }));

it('draws the year it is given, whichever was drawn before', () => {
    const [cold, mild] = [drawn(year(-4)), drawn(year(6))];
    expect(mild).not.toBe(cold);
    expect(drawn(year(-4))).toBe(cold);
    expect(drawn({ ...year(-4), starts: '07-01' })).not.toBe(cold);
    for (const part of ['freeze_chance', 'hot_chance', 'soil', 'day_length'] as const) {
        const other = year(-4);
        other[part] = other[part].map((value, i) => (i > 100 && i < 140 ? value + 0.4 : value));
        expect(drawn(other), part).not.toBe(cold);
        expect(drawn(year(-4)), part).toBe(cold);
    }
});

it('marks the soil in the reader’s units, at each width', () => {
    const [narrow, wide] = [drawn(year(-4), 352), drawn(year(-4))];
    expect(narrow).not.toBe(wide);
    expect(wide).toContain('>15°<');
    expect(narrow).not.toContain('>15°<');
    readIn('us');
    expect(drawn(year(-4))).toContain('>60°<');
    expect(drawn(year(-4), 352)).not.toContain('>60°<');
    readIn('metric');
    expect(drawn(year(-4))).toBe(wide);
});

it('has the flag of a date hide no end of a month’s name, wherever the date is', () => {
    const scale = yearScale('01-01', 747);
    for (let x = 0; x <= scale.width; x++) {
        const at = flagAt(scale, x);
        expect(at, `at ${x} it stands at its line`).toBeGreaterThanOrEqual(Math.min(x, scale.width - 46) - 46);
        expect(at).toBeLessThanOrEqual(x);
        const halves = scale.months.filter(
            ({ x: from }) => at < from + 28 && at + 46 > from + 3 && !(at <= from + 3 && at + 46 >= from + 28),
        );
        expect(halves.length, `at ${x}`).toBe(x > 20 && x < scale.width - 20 ? 0 : halves.length);
    }
});
