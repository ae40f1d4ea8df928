import type { MouseEvent, ReactNode } from 'react';
import { monthDay } from '../time/days';
import { dayAt } from './pointer';
import { useWidth } from './useWidth';
import { DateCursor, RULER_HEIGHT, YearRuler, type RulerData } from './YearRuler';
import { yearScale, type YearScale } from '../time/yearScale';

/** Room for labels left of the axis, and to its right, px. */
export const LABELS = 106;
export const RIGHT = 6;

/** The year ruler with charts under it on the same axis, and one date through all of them, moved with the pointer. */
export function RuledChart({
    ruler,
    day,
    onDay,
    below,
    label,
    isPicture = true,
    children,
}: {
    ruler: RulerData;
    day: number;
    onDay: (day: number) => void;
    /** height of what is under the ruler, px */
    below: number;
    label: string;
    /** whether it is only to look at; otherwise, parts of it can be chosen */
    isPicture?: boolean;
    children: (scale: YearScale) => ReactNode;
}) {
    const { ref, width } = useWidth();
    const scale = yearScale(ruler.starts, Math.max(200, (width || 800) - LABELS - RIGHT));
    const height = RULER_HEIGHT + below;
    const point = (event: MouseEvent<SVGSVGElement>) => {
        const at = dayAt(event, scale, LABELS);
        if (at !== null) onDay(at);
    };
    return (
        <div ref={ref}>
            <svg
                className="chart"
                width="100%"
                height={height}
                onClick={point}
                onMouseMove={point}
                role={isPicture ? 'img' : 'group'}
                aria-label={label}
            >
                {width !== null && (
                    <g transform={`translate(${LABELS} 0)`}>
                        <YearRuler scale={scale} ruler={ruler} labels={LABELS} />
                        <g transform={`translate(0 ${RULER_HEIGHT})`}>{children(scale)}</g>
                        <DateCursor scale={scale} day={day} height={height} label={monthDay(day)} />
                    </g>
                )}
            </svg>
        </div>
    );
}
