import { expect, it } from 'vitest';
import { flagAt } from './YearRuler';
import { yearScale } from '../time/yearScale';

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
