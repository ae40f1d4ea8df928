import type { Schema } from '../api/client';
import { spanInWords, type Span } from '../time/days';
import type { YearScale } from '../time/yearScale';
import { say } from '../words/words';

export type Chance = Schema['Chance'];

/** The meaning of a bracket: a window, a fair chance, its start indoors, an educator's own dates, another method's. */
export type BracketName = 'bracket' | 'fair' | 'cover' | 'own' | 'other';

/** Spans as brackets that open downward. One that continues past the end of the ruler has no tick there. */
export function Brackets({
    scale,
    spans,
    at,
    drop,
    name,
    act,
}: {
    scale: YearScale;
    spans: Span[];
    /** height of the bracket's line, and how far its ticks reach below it, px */
    at: number;
    drop: number;
    name: BracketName;
    act: string;
}) {
    return spans.flatMap((span) =>
        scale.pieces(span).map((piece) => (
            <path
                key={`${name}${span.first}${piece.from}`}
                className={name}
                d={[
                    piece.openLeft ? '' : `M${piece.from} ${at + drop}V${at}`,
                    `M${piece.from} ${at}H${piece.to}`,
                    piece.openRight ? '' : `V${at + drop}`,
                ].join('')}
            >
                <title>{`${act} ${spanInWords(span)}`}</title>
            </path>
        )),
    );
}

/** Days of a fair chance, which look different from windows by their line. */
export function Chances({ scale, spans, at, act }: { scale: YearScale; spans: Chance[]; at: number; act: string }) {
    return spans.map((span) => (
        <Brackets
            key={span.first}
            scale={scale}
            spans={[span]}
            at={at}
            drop={4}
            name="fair"
            act={`${act}, ${say('chance', { of_ten: span.of_ten })}:`}
        />
    ));
}

/** The best dates of each window: a heavier stroke along its bracket. */
export function BestSpans({ scale, spans, at }: { scale: YearScale; spans: Span[]; at: number }) {
    return spans.flatMap((span) =>
        scale.pieces(span).map((piece) => (
            <path key={`best${span.first}${piece.from}`} className="best" d={`M${piece.from} ${at}H${piece.to}`}>
                <title>{say('best-spans.best', { span: spanInWords(span) })}</title>
            </path>
        )),
    );
}
