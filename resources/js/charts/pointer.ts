import type { MouseEvent } from 'react';
import type { YearScale } from '../time/yearScale';

/**
 * The day under the pointer, when it is clicked, or dragged with the button held.
 *
 * @param left px from the chart's edge to the scale's beginning
 * @returns null outside the scale
 */
export function dayAt(event: MouseEvent<SVGSVGElement>, scale: YearScale, left: number): number | null {
    if (event.type === 'mousemove' && event.buttons !== 1) return null;
    const x = event.clientX - event.currentTarget.getBoundingClientRect().left - left;
    return x >= 0 && x <= scale.width ? scale.day(x) : null;
}
