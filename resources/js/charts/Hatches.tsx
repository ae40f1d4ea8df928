import type { Schema } from '../api/client';
import { hasWords, say, type Phrase } from '../words/words';

type Why = Schema['ReasonSpan']['reason'];

/** A hatch for each reason, so it survives a photocopier. All charts on the page share the ids. */
export const HATCH: Record<string, string> = {
    'freeze-to-come': 'url(#hatch-freeze)',
    'cold-soil': 'url(#hatch-soil)',
    heat: 'url(#hatch-heat)',
    'too-late': 'url(#hatch-late)',
    'not-yet-planting-time': 'url(#hatch-wait)',
    harvest: 'var(--leaf)',
    'short-harvest': 'url(#hatch-short)',
    'no-emergence-cold': 'url(#hatch-soil)',
    'no-emergence-hot': 'url(#hatch-warm-soil)',
    'freeze-young': 'url(#hatch-freeze)',
    'freeze-late': 'url(#hatch-freeze-late)',
    'heat-young': 'url(#hatch-heat-young)',
    'no-set': 'url(#hatch-set)',
    'soil-below-minimum': 'url(#hatch-held)',
    'wet-ground': 'url(#hatch-wet)',
    stunted: 'url(#hatch-wait)',
    'day-length': 'url(#hatch-light)',
    'cold-bolt': 'url(#hatch-bolt)',
    'long-day-bolt': 'url(#hatch-long-day)',
    'no-stock': 'url(#hatch-stock)',
    'ground-frozen': 'url(#hatch-ground)',
    'out-of-time': 'url(#hatch-late)',
} satisfies Record<Why | 'harvest', string>;

/** Why a day lies outside the windows when counting back. */
export const REASONS = ['freeze-to-come', 'cold-soil', 'heat', 'too-late', 'not-yet-planting-time'] as const;

const STACKED = {
    harvest: true,
    'short-harvest': true,
    heat: true,
    'no-set': true,
    'cold-bolt': true,
    'long-day-bolt': true,
    'day-length': true,
    'out-of-time': true,
    'freeze-late': true,
    'freeze-young': true,
    'heat-young': true,
    stunted: true,
    'no-emergence-hot': true,
    'no-emergence-cold': true,
    'ground-frozen': true,
    'no-stock': true,
} satisfies Record<Exclude<Why, Exclude<(typeof REASONS)[number], 'heat'> | Held> | 'harvest', true>;

/** Outcomes in the order in which they are stacked in a ribbon, from the bottom up; the compiler asks for the place of a new one. */
export const OUTCOMES = Object.keys(STACKED);

/** Not an outcome: the crop waits for its ground. */
type Held = 'soil-below-minimum' | 'wet-ground';

/** A reason in a few words, for a legend. */
export function reasonInShort({ reason, phrase }: { reason: string; phrase: Phrase }): string {
    // An edition of the first format only has its sentence.
    const keys = [phrase.key, `reason.${reason}`, `outcome.${reason}`].map((key) => `${key}.short`);
    return say(keys.find(hasWords) ?? phrase);
}

export function Hatches() {
    return (
        <svg width="0" height="0" aria-hidden="true" focusable="false" className="hatches">
            <defs>
                <pattern id="hatch-freeze" width="4" height="4" patternUnits="userSpaceOnUse">
                    <path d="M1 0V4" stroke="var(--frost)" strokeWidth="1.4" />
                </pattern>
                <pattern id="hatch-soil" width="5" height="5" patternUnits="userSpaceOnUse">
                    <circle cx="1.3" cy="1.3" r="0.9" fill="var(--frost)" />
                    <circle cx="3.8" cy="3.8" r="0.9" fill="var(--stone)" />
                </pattern>
                <pattern id="hatch-heat" width="5" height="5" patternUnits="userSpaceOnUse">
                    <path d="M0 5L5 0M0 0L5 5" stroke="var(--clay)" strokeWidth="0.9" />
                </pattern>
                <pattern id="hatch-heat-young" width="5" height="5" patternUnits="userSpaceOnUse">
                    <path d="M2.5 0.8V4.2M0.8 2.5H4.2" stroke="var(--clay)" strokeWidth="0.9" />
                </pattern>
                <pattern id="hatch-set" width="6" height="6" patternUnits="userSpaceOnUse">
                    <circle cx="3" cy="3" r="1.7" fill="none" stroke="var(--clay)" strokeWidth="0.9" />
                </pattern>
                <pattern id="hatch-held" width="6" height="5" patternUnits="userSpaceOnUse">
                    <path d="M0 4.2H6" stroke="var(--stone)" strokeWidth="0.8" />
                    <circle cx="3" cy="1.6" r="0.9" fill="var(--frost)" />
                </pattern>
                <pattern id="hatch-wet" width="5" height="6" patternUnits="userSpaceOnUse">
                    <path d="M0 5.2H5" stroke="var(--stone)" strokeWidth="0.8" />
                    <path d="M2.5 0.6V3" stroke="var(--frost)" strokeWidth="1.2" />
                </pattern>
                <pattern id="hatch-late" width="5" height="5" patternUnits="userSpaceOnUse">
                    <path d="M-1 1L1 -1M0 5L5 0M4 6L6 4" stroke="var(--stone)" strokeWidth="1" />
                </pattern>
                <pattern id="hatch-wait" width="6" height="4" patternUnits="userSpaceOnUse">
                    <path d="M0 2H3.5" stroke="var(--stone)" strokeWidth="1" />
                </pattern>
                <pattern id="hatch-short" width="5" height="5" patternUnits="userSpaceOnUse">
                    <rect width="5" height="5" fill="color-mix(in srgb, var(--leaf) 18%, var(--paper))" />
                    <path d="M-1 1L1 -1M0 5L5 0M4 6L6 4" stroke="var(--leaf)" strokeWidth="1.3" />
                </pattern>
                <pattern id="hatch-warm-soil" width="5" height="5" patternUnits="userSpaceOnUse">
                    <circle cx="1.3" cy="1.3" r="0.9" fill="var(--clay)" />
                    <circle cx="3.8" cy="3.8" r="0.9" fill="var(--stone)" />
                </pattern>
                <pattern id="hatch-freeze-late" width="4" height="4" patternUnits="userSpaceOnUse">
                    <path d="M0 1H4" stroke="var(--frost)" strokeWidth="1.3" />
                </pattern>
                <pattern id="hatch-light" width="6" height="6" patternUnits="userSpaceOnUse">
                    <rect width="6" height="6" fill="color-mix(in srgb, var(--straw) 18%, var(--paper))" />
                    <circle cx="1.6" cy="1.6" r="1.1" fill="var(--straw)" />
                    <circle cx="4.6" cy="4.6" r="1.1" fill="var(--straw)" />
                </pattern>
                <pattern id="hatch-long-day" width="6" height="6" patternUnits="userSpaceOnUse">
                    <path d="M0 3L1.5 0L3 3M3 6L4.5 3L6 6" fill="none" stroke="var(--straw)" strokeWidth="1.1" />
                </pattern>
                <pattern id="hatch-stock" width="7" height="7" patternUnits="userSpaceOnUse">
                    <circle cx="3.5" cy="3.5" r="1.6" fill="none" stroke="var(--stone)" strokeWidth="0.9" />
                </pattern>
                <pattern id="hatch-ground" width="5" height="4" patternUnits="userSpaceOnUse">
                    <path d="M0 1H2M3 3H5" stroke="var(--frost)" strokeWidth="1.2" />
                </pattern>
                <pattern id="hatch-bolt" width="6" height="6" patternUnits="userSpaceOnUse">
                    <path d="M0 6L3 0L6 6" fill="none" stroke="var(--straw)" strokeWidth="1.2" />
                </pattern>
            </defs>
        </svg>
    );
}
