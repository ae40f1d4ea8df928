/** An outcome ribbon as the server packs it: for each outcome, a text of runs of years (in `width` digits) and sow days (in one). */
export type PackedRibbon = { years: number; width: number; outcomes: Record<string, string> };

const DIGITS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_';

const VALUES = new Map([...DIGITS].map((digit, value) => [digit, value]));

/** Years of each outcome by sow day, 365 for each. */
export function unpacked({ years, width, outcomes }: PackedRibbon): {
    years: number;
    outcomes: Record<string, number[]>;
} {
    return {
        years,
        outcomes: Object.fromEntries(
            Object.entries(outcomes).map(([outcome, runs]) => {
                const counts: number[] = [];
                for (let at = 0; at < runs.length; at += width + 1) {
                    let count = 0;
                    for (let i = 0; i < width; i++) count = count * DIGITS.length + value(runs[at + i]);
                    for (let day = value(runs[at + width]); day > 0; day--) counts.push(count);
                }
                return [outcome, counts];
            }),
        ),
    };
}

function value(digit: string | undefined): number {
    const found = VALUES.get(digit ?? '');
    if (found === undefined) throw new RangeError(digit);
    return found;
}
