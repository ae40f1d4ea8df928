import { memo } from 'react';
import { ofRow } from '../../words/units';
import { say } from '../../words/words';
import type { YearScale } from '../../time/yearScale';
import { dateInShort, inShort } from '../../time/days';
import { laned, place, shown } from './lanes';
import type { GroundBed, Span, Occupancy } from './queries';

/** Height of a bed with one lane, and of each further one, px. */
const ROW = 40;
const LANE = 17;

export type Chosen = { bed: number; gap?: Span; stay?: string };

/** How tall a bed is drawn: as many lanes as there are crops side by side in the year. */
export function bedHeight(bed: GroundBed, year: Span): number {
    const lanes = laned(shown(bed.stays, year.from, year.to)).map(({ lane }) => lane);
    return ROW + LANE * Math.max(0, ...lanes);
}

/**
 * Every bed as a line under the year ruler: what grows in it, what is planned, open spaces in white, and where two crops want the same
 * space.
 */
export function BedLines({
    scale,
    beds,
    year,
    chosen,
    onChoose,
}: {
    scale: YearScale;
    beds: GroundBed[];
    year: Span;
    chosen: Chosen | null;
    onChoose: (chosen: Chosen) => void;
}) {
    const heights = beds.map((bed) => bedHeight(bed, year));
    return (
        <g>
            {beds.map((bed, i) => (
                <g key={bed.id} transform={`translate(0 ${sum(heights.slice(0, i))})`}>
                    <BedLine
                        scale={scale}
                        bed={bed}
                        year={year}
                        height={heights[i] ?? 0}
                        chosen={chosen?.bed === bed.id ? chosen : null}
                        onChoose={onChoose}
                    />
                </g>
            ))}
        </g>
    );
}

const sum = (numbers: number[]) => numbers.reduce((all, one) => all + one, 0);

type Line = {
    scale: YearScale;
    bed: GroundBed;
    year: Span;
    height: number;
    /** in this bed */
    chosen: Chosen | null;
    onChoose: (chosen: Chosen) => void;
};

/** One bed. With fifty beds, a change only redraws the one or two it touches. */
const BedLine = memo(
    function BedLine({ scale, bed, year, height, chosen, onChoose }: Line) {
        return (
            <>
                <text x={-106} y={20} fontSize="12.5" fontWeight={chosen ? 700 : 400}>
                    {bed.name}
                </text>
                <text className="quiet" x={-106} y={33} fontSize="10">
                    {measures(bed)}
                </text>
                <line className="rule" x1={0} x2={scale.width} y1={height - 4} y2={height - 4} />
                <Gaps scale={scale} bed={bed} year={year} height={height} chosen={chosen} onChoose={onChoose} />
                {laned(shown(bed.stays, year.from, year.to)).map(({ stay, lane }) => (
                    <StayLine
                        key={stay.key}
                        scale={scale}
                        stay={stay}
                        year={year}
                        y={height - 8 - lane * LANE}
                        chosen={chosen?.stay === stay.key}
                        onChoose={() => onChoose({ bed: bed.id, stay: stay.key })}
                    />
                ))}
                <Conflicts scale={scale} bed={bed} year={year} height={height} />
            </>
        );
    },
    (before, now) =>
        before.bed === now.bed &&
        before.chosen === now.chosen &&
        before.year.from === now.year.from &&
        before.year.to === now.year.to &&
        before.scale.width === now.scale.width,
);

function measures({ length_m, width_m, site }: GroundBed): string {
    return say('ground.measures', {
        length: length_m === null ? 'none' : ofRow(length_m),
        width: width_m === null ? 'none' : ofRow(width_m),
        site: site ?? say('soil.open-ground'),
    });
}

function StayLine({
    scale,
    stay,
    year,
    y,
    chosen,
    onChoose,
}: {
    scale: YearScale;
    stay: Occupancy;
    year: Span;
    y: number;
    chosen: boolean;
    onChoose: () => void;
}) {
    const x = (date: string) => place(scale, year.from, date);
    const picked = stay.first && stay.first < stay.to ? stay.first : stay.to;
    const bar = (from: string, to: string, height: number, fill: string) =>
        x(to) > x(from) && <rect x={x(from)} width={x(to) - x(from)} y={y - height} height={height} fill={fill} />;
    return (
        <g
            className={`stay ${stay.kind}${chosen ? ' chosen' : ''}`}
            role="button"
            tabIndex={0}
            aria-label={stayInWords(stay)}
            aria-pressed={chosen}
            onClick={(event) => {
                event.stopPropagation();
                onChoose();
            }}
            onKeyDown={(event) => event.key === 'Enter' && onChoose()}
        >
            <rect
                x={x(stay.from)}
                width={Math.max(4, x(stay.to) - x(stay.from))}
                y={y - 15}
                height={16}
                fill="transparent"
            />
            {bar(stay.from, picked, 4, stay.kind === 'planned' ? 'var(--stone)' : 'var(--ink)')}
            {stay.kind !== 'lost' && bar(picked, stay.to, 7, 'var(--leaf)')}
            {stay.kind === 'lost' && (
                <path
                    d={`M${x(stay.to) - 3} ${y - 6}l7 7m0 -7l-7 7`}
                    stroke="var(--clay)"
                    strokeWidth="2"
                    fill="none"
                />
            )}
            {stay.from >= year.from && (
                <text x={x(stay.from)} y={y - 9} fontSize="10.5" fontWeight={chosen ? 700 : 400}>
                    {nameOf(stay)}
                </text>
            )}
        </g>
    );
}

function nameOf(stay: Occupancy): string {
    const name = stay.between === null ? stay.name : say('between.name', { name: stay.name });
    return stay.pinned ? say('ground.pinned-name', { name }) : name;
}

export function stayInWords(stay: Occupancy): string {
    return say('ground.stay', {
        crop: [nameOf(stay), stay.variety].filter(Boolean).join(' '),
        kind: say(`ground.kind-${stay.kind}`),
        from: inShort(stay.from.slice(5)),
        first: stay.first ? inShort(stay.first.slice(5)) : 'none',
        to: inShort(stay.to.slice(5)),
        length: ofRow(stay.metres),
    });
}

function Gaps({
    scale,
    bed,
    year,
    height,
    chosen,
    onChoose,
}: {
    scale: YearScale;
    bed: GroundBed;
    year: Span;
    height: number;
    chosen: Chosen | null;
    onChoose: (chosen: Chosen) => void;
}) {
    return shown(bed.gaps, year.from, year.to).map((gap) => {
        const [from, to] = [place(scale, year.from, gap.from), place(scale, year.from, gap.to) + scale.width / 365];
        const here = chosen?.bed === bed.id && chosen.gap?.from === gap.from;
        const words = say('ground.gap', {
            bed: bed.name,
            from: dateInShort(gap.from),
            to: dateInShort(gap.to),
        });
        return (
            <g
                key={gap.from}
                className="gap"
                role="button"
                tabIndex={0}
                aria-label={words}
                aria-pressed={here}
                onClick={(event) => {
                    event.stopPropagation();
                    onChoose({ bed: bed.id, gap });
                }}
                onKeyDown={(event) => event.key === 'Enter' && onChoose({ bed: bed.id, gap })}
            >
                <title>{words}</title>
                <rect x={from} width={Math.max(0, to - from)} y={8} height={height - 12} fill="transparent" />
                {here && (
                    <path
                        d={`M${from + 1} ${height - 12}v7H${to - 1}v-7`}
                        fill="none"
                        stroke="var(--plum)"
                        strokeWidth="1.6"
                    />
                )}
            </g>
        );
    });
}

function Conflicts({ scale, bed, year, height }: { scale: YearScale; bed: GroundBed; year: Span; height: number }) {
    return shown(bed.conflicts, year.from, year.to).map((conflict) => {
        const [from, to] = [place(scale, year.from, conflict.from), place(scale, year.from, conflict.to)];
        return conflict.kind === 'double' ? (
            <rect
                key={conflict.kind + conflict.keys.join()}
                x={from - 1}
                width={Math.max(6, to - from + 2)}
                y={4}
                height={height - 6}
                fill="none"
                stroke="var(--plum)"
                strokeWidth="1.6"
                pointerEvents="none"
            />
        ) : (
            <text
                key={conflict.kind + conflict.keys.join()}
                x={from - 9}
                y={height - 7}
                fontSize="12"
                fontWeight="700"
                fill="var(--plum)"
                className="plum"
                pointerEvents="none"
            >
                *
            </text>
        );
    });
}
