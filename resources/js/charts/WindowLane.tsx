import { say, type Phrase } from '../words/words';
import { daysUntil, yearDay, spanInWords, type Span } from '../time/days';
import { BestSpans, Brackets, Chances, type Chance } from './Brackets';
import { HATCH } from './Hatches';
import type { YearScale } from '../time/yearScale';

export type LaneData = {
    act: string;
    windows: Span[];
    under_cover: Span[];
    harvests: Span[];
    best?: Span[];
    chances?: Chance[];
    reasons?: { first: string; last: string; reason: string; phrase: Phrase }[];
};

export const LANE_HEIGHT = 24;

/** Top of the strip of reasons, its height, and the position of the harvest line below it, px from the lane's top. */
const STRIP = { top: 9, height: 8 };
const HARVEST_AT = 20.5;

/** One way of growing a crop: its windows as brackets, and the reasons between them. */
export function WindowLane({ scale, lane }: { scale: YearScale; lane: LaneData }) {
    return (
        <g>
            {(lane.reasons ?? []).flatMap((span) =>
                scale.pieces({ ...span, days: length(span) }).map((piece) => (
                    <rect
                        key={span.first + piece.from}
                        x={piece.from}
                        width={Math.max(0, piece.to - piece.from)}
                        y={STRIP.top}
                        height={STRIP.height}
                        fill={HATCH[span.reason]}
                    >
                        <title>{say(span.phrase)}</title>
                    </rect>
                )),
            )}
            <line
                className="rule"
                x1={0}
                x2={scale.width}
                y1={STRIP.top + STRIP.height}
                y2={STRIP.top + STRIP.height}
            />
            {lane.harvests.flatMap((span) =>
                scale.pieces(span).map((piece) => (
                    <line
                        key={`h${span.first}${piece.from}`}
                        className="harvest"
                        x1={piece.from}
                        x2={piece.to}
                        y1={HARVEST_AT}
                        y2={HARVEST_AT}
                    >
                        <title>{say('window-lane.harvest', { span: spanInWords(span) })}</title>
                    </line>
                )),
            )}
            <Brackets
                scale={scale}
                spans={lane.under_cover}
                at={2}
                drop={4}
                name="cover"
                act={say('act.start-under-cover')}
            />
            <Brackets
                scale={scale}
                spans={lane.windows}
                at={6}
                drop={STRIP.top + STRIP.height - 6}
                name="bracket"
                act={say(`act.${lane.act}`)}
            />
            <Chances scale={scale} spans={lane.chances ?? []} at={6} act={say(`act.${lane.act}`)} />
            <BestSpans scale={scale} spans={lane.best ?? []} at={7} />
        </g>
    );
}

function length(span: { first: string; last: string }): number {
    return daysUntil(yearDay(span.first), yearDay(span.last)) + 1;
}
