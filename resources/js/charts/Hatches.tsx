import type { ReactNode } from 'react';

/** A hatch for each reason, so that a photocopy still reads. Ids are shared by every chart on the page. */
export const HATCH: Record<string, string> = {
    'freeze-to-come': 'url(#hatch-freeze)',
    'cold-soil': 'url(#hatch-soil)',
    heat: 'url(#hatch-heat)',
    'too-late': 'url(#hatch-late)',
    'not-yet-planting-time': 'url(#hatch-wait)',
};

export const REASONS: Record<string, string> = {
    'freeze-to-come': 'freeze to come',
    'cold-soil': 'soil too cold',
    heat: 'ripens in heat',
    'too-late': 'too late',
    'not-yet-planting-time': 'not planting time',
};

export function Hatches() {
    return (
        <svg width="0" height="0" aria-hidden="true" focusable="false" style={{ position: 'absolute' }}>
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
                <pattern id="hatch-late" width="5" height="5" patternUnits="userSpaceOnUse">
                    <path d="M-1 1L1 -1M0 5L5 0M4 6L6 4" stroke="var(--stone)" strokeWidth="1" />
                </pattern>
                <pattern id="hatch-wait" width="6" height="4" patternUnits="userSpaceOnUse">
                    <path d="M0 2H3.5" stroke="var(--stone)" strokeWidth="1" />
                </pattern>
            </defs>
        </svg>
    );
}

/** A small picture of a sign, for a legend. */
export function Swatch({ children }: { children: ReactNode }) {
    return (
        <svg className="chart swatch" width="22" height="11" aria-hidden="true">
            {children}
        </svg>
    );
}
