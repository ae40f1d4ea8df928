export type Point = [x: number, y: number];

/**
 * A line without the points that the line through the others passes within this many px (Ramer, 1972; Douglas and Peucker, 1973). A year of
 * days becomes a few dozen points, a flat winter two, and looks the same.
 */
export function straightened(points: Point[], within: number): Point[] {
    const [first, last] = [points[0], points[points.length - 1]];
    if (points.length < 3 || first === undefined || last === undefined) return points;
    const [width, height] = [last[0] - first[0], last[1] - first[1]];
    const length = Math.hypot(width, height) || 1;
    let [farthest, at] = [within, 0];
    points.forEach(([x, y], i) => {
        const away = Math.abs(width * (first[1] - y) - (first[0] - x) * height) / length;
        if (away > farthest) [farthest, at] = [away, i];
    });
    if (at === 0) return [first, last];
    return [...straightened(points.slice(0, at + 1), within), ...straightened(points.slice(at), within).slice(1)];
}
