import { expect, it } from 'vitest';
import { straightened, type Point } from './straightened';

it('keeps the ends and the corners, and leaves out what lies between', () => {
    const flat: Point[] = Array.from({ length: 365 }, (_, i) => [i, 52]);
    expect(straightened(flat, 0.2)).toEqual([
        [0, 52],
        [364, 52],
    ]);
    const corner: Point[] = [
        [0, 0],
        [1, 1],
        [2, 2],
        [3, 1],
        [4, 0],
    ];
    expect(straightened(corner, 0.2)).toEqual([
        [0, 0],
        [2, 2],
        [4, 0],
    ]);
    expect(straightened(corner.slice(0, 2), 0.2)).toEqual(corner.slice(0, 2));
    expect(straightened([], 0.2)).toEqual([]);
});

it('strays nowhere by more than it may', () => {
    const year: Point[] = Array.from({ length: 365 }, (_, i) => [i, 20 * Math.sin(i / 58) + Math.sin(i * 1.7) / 8]);
    const kept = straightened(year, 0.3);
    expect(kept.length).toBeLessThan(60);
    for (const [x, y] of year) {
        const next = kept.findIndex(([at]) => at >= x);
        const [[x0, y0], [x1, y1]] = [kept[Math.max(0, next - 1)]!, kept[next]!];
        const there = x1 === x0 ? y1 : y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
        // Away from a steep line, the way straight down to it is longer.
        const steep = Math.hypot(1, (y1 - y0) / (x1 - x0 || 1));
        expect(Math.abs(there - y)).toBeLessThanOrEqual(0.3 * steep + 1e-9);
    }
});
