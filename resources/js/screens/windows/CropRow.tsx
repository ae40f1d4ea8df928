import { memo } from 'react';
import { BestSpans, Brackets, Chances } from '../../charts/Brackets';
import { OutcomeRibbon } from '../../charts/OutcomeRibbon';
import { WindowLane } from '../../charts/WindowLane';
import { chanceInWords, spanInWords } from '../../time/days';
import type { YearScale } from '../../time/yearScale';
import { listed, say } from '../../words/words';
import { inLines, LANE, type Crop } from './rows';

/** Room for names and tasks left of the scale, px. */
export const LABELS = 186;

export const CropRow = memo(function CropRow({
    crop,
    y,
    height,
    scale,
    starts,
    chosen,
    stop,
    onChoose,
    onOpen,
    onStep,
}: {
    crop: Crop;
    y: number;
    height: number;
    scale: YearScale;
    starts: string;
    chosen: boolean;
    /** the only row that Tab reaches; arrows continue from it */
    stop: boolean;
    onChoose: (crop: string) => void;
    /** shows it, whether or not it was shown */
    onOpen: (crop: string) => void;
    /** to the next row, or the one before */
    onStep: (to: number) => void;
}) {
    return (
        <g
            id={`row-${crop.slug}`}
            className="row"
            transform={`translate(0 ${y})`}
            onClick={(event) => {
                // Beside the names, a click also sets the date and opens the crop.
                if (event.nativeEvent.offsetX < LABELS) {
                    event.stopPropagation();
                    onChoose(crop.slug);
                } else onOpen(crop.slug);
            }}
        >
            <rect
                id={`stop-${crop.slug}`}
                className={chosen ? 'chosen' : undefined}
                fill="transparent"
                width="100%"
                height={height - 2}
                tabIndex={stop ? 0 : -1}
                role="button"
                aria-pressed={chosen}
                aria-label={rowInWords(crop)}
                onKeyDown={(event) => {
                    if (event.key === 'Enter' || event.key === ' ') {
                        event.preventDefault();
                        onChoose(crop.slug);
                    } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
                        event.preventDefault();
                        onStep(event.key === 'ArrowDown' ? 1 : -1);
                    }
                }}
            />
            <g aria-hidden="true">
                {crop.routes.map((route, i) => (
                    <g key={route.route} transform={`translate(0 ${i * LANE + 2})`}>
                        {i === 0 &&
                            inLines(crop.name).map((line, n) => (
                                <text key={line} className="name" x={0} y={17 + 15 * n}>
                                    {line}
                                </text>
                            ))}
                        <text className="quiet" x={LABELS - 10} y={17} textAnchor="end" fontSize="10.5">
                            {say(`act.${route.act}`)}
                        </text>
                        <g transform={`translate(${LABELS} 0)`}>
                            {route.ribbon ? (
                                <>
                                    <OutcomeRibbon
                                        scale={scale}
                                        ribbon={route.ribbon}
                                        starts={starts}
                                        top={RIBBON.top}
                                        height={RIBBON.height}
                                        step={5}
                                    />
                                    <Brackets
                                        scale={scale}
                                        spans={route.under_cover}
                                        at={0}
                                        drop={4}
                                        name="cover"
                                        act={say('act.start-under-cover')}
                                    />
                                    <Brackets
                                        scale={scale}
                                        spans={route.windows}
                                        at={4}
                                        drop={6}
                                        name={crop.school === 'own' ? 'own' : 'bracket'}
                                        act={say(`act.${route.act}`)}
                                    />
                                    <Chances
                                        scale={scale}
                                        spans={route.chances ?? []}
                                        at={4}
                                        act={say(`act.${route.act}`)}
                                    />
                                    <BestSpans scale={scale} spans={route.best ?? []} at={5} />
                                </>
                            ) : (
                                <WindowLane scale={scale} lane={route} />
                            )}
                        </g>
                    </g>
                ))}
            </g>
        </g>
    );
});

/** "Spinach: sow outdoors March 31 to July 10; set out: no window here." */
function rowInWords(crop: Crop): string {
    const ways = crop.routes.map((route) => {
        const act = say(`act.${route.act}`);
        if (route.windows.length > 0) return `${act} ${listed(route.windows.map(spanInWords))}`;
        return route.chances?.length
            ? `${act}, ${listed(route.chances.map(chanceInWords))}`
            : say('windows.no-window', { act });
    });
    return `${crop.name}: ${ways.join('; ')}.`;
}

/** The ribbon in its lane, px. */
const RIBBON = { top: 8, height: 17 };
