/** Position of a text beside a dot: its anchor, and px to the right of the dot and down. */
type Place = { anchor: 'start' | 'end'; dx: number; dy: number };

/** Possible positions, best first: up and right of its dot, below, and then on the left. */
const PLACES: Place[] = [
    { anchor: 'start', dx: 7, dy: -5 },
    { anchor: 'start', dx: 7, dy: 13 },
    { anchor: 'end', dx: -7, dy: -5 },
    { anchor: 'end', dx: -7, dy: 13 },
];

/** Approximate width of a character, and height of a line, in font sizes. */
const WIDE = 0.55;
const HIGH = 1.15;

/**
 * Labels beside dots that do not cover each other: each takes the first position that is free of those before it, and of the edges, or else
 * the first position.
 */
export function besideDots<T extends { x: number; y: number; text: string }>(
    dots: T[],
    { width, fontSize }: { width: number; fontSize: number },
): (T & { label: Place })[] {
    const taken: { left: number; right: number; top: number; bottom: number }[] = [];
    return dots.map((dot) => {
        const long = dot.text.length * fontSize * WIDE;
        const box = ({ anchor, dx, dy }: Place) => {
            const left = dot.x + dx - (anchor === 'end' ? long : 0);
            return { left, right: left + long, top: dot.y + dy - fontSize * HIGH, bottom: dot.y + dy };
        };
        const isFree = (place: Place) => {
            const { left, right, top, bottom } = box(place);
            return (
                left >= 0 &&
                right <= width &&
                taken.every((t) => left >= t.right || right <= t.left || top >= t.bottom || bottom <= t.top)
            );
        };
        const label = PLACES.find(isFree) ?? PLACES[0]!;
        taken.push(box(label));
        return { ...dot, label };
    });
}
