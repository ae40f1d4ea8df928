import { expect, it } from 'vitest';
import { readiness } from './season';

it('says when soil is warm enough, with a range where there is one', () => {
    const of = (...dates: (string | null)[]) => readiness({ celsius: 10, now: false, dates });
    expect(of('2026-04-25', '2026-04-27', '2026-05-07')).toBe('Soil of 10 °C: 27 Apr (25 Apr to 7 May).');
    expect(of('2026-04-25', '2026-04-25', '2026-04-25')).toBe('Soil of 10 °C: 25 Apr.');
    expect(of('2026-04-25', '2026-04-27', null)).toBe('Soil of 10 °C: 27 Apr (25 Apr or later).');
    expect(of('2026-05-01', null, null)).toBe('Soil of 10 °C: not in the next weeks (1 May or later).');
    expect(of(null, null, null)).toBe('Soil of 10 °C: not in the next weeks.');
    expect(readiness({ celsius: 10, now: true, dates: [] })).toBe('Soil of 10 °C: now.');
});
