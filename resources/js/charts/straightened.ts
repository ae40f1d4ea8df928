export type Point = [x: number, y: number];

/**
 * A line without the points that the line through the others passes within this many px (Ramer, 1972; Douglas and Peucker, 1973). A year of
 * days becomes a few dozen points, a flat winter two, and looks the same.
 */
export function straightened(points: Point[], within: number): Point[] {
    if (points.length < 3) return points;
    const kept = new Set([0, points.length - 1]);
    const pieces: [from: number, to: number][] = [[0, points.length - 1]];
    for (let piece = pieces.pop(); piece !== undefined; piece = pieces.pop()) {
        const at = farthest(points, piece, within);
        if (at === null) continue;
        kept.add(at);
        pieces.push([piece[0], at], [at, piece[1]]);
    }
    return points.filter((_, i) => kept.has(i));
}

/** The point between two that is farthest from the line through them, and farther than this; the first of several. */
function farthest(points: Point[], [from, to]: [number, number], within: number): number | null {
    const [first, last] = [points[from] as Point, points[to] as Point];
    const [width, height] = [last[0] - first[0], last[1] - first[1]];
    const length = Math.hypot(width, height) || 1;
    let away = within;
    let at: number | null = null;
    for (let i = from + 1; i < to; i++) {
        const [x, y] = points[i] as Point;
        const off = Math.abs(width * (first[1] - y) - (first[0] - x) * height) / length;
        if (off > away) [away, at] = [off, i];
    }
    return at;
}
