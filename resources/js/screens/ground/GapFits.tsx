import { useState } from 'react';
import { ofRow } from '../../words/units';
import { dateInShort, inShort } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { say, perLength } from '../../words/words';
import { useFits, type Fit, type GroundBed, type Span, type usePlantings } from './queries';

/** How many are shown before the rest is asked for. */
const [EATEN, FLOWERS] = [12, 4];

/** What fits in an open space, best first, with its reason; one click puts it in the bed. */
export function GapFits({
    zone,
    bed,
    gap,
    year,
    plantings,
}: {
    zone: string;
    bed: GroundBed;
    gap: Span;
    year: Span;
    plantings: ReturnType<typeof usePlantings>;
}) {
    // What fits is figured from the year on screen onward.
    const span = { from: gap.from < year.from ? year.from : gap.from, to: gap.to };
    const { data, error } = useFits(zone, bed.id, span);
    const plan = ({ crop, variety, route, on }: Fit) =>
        plantings.change({
            add: [
                {
                    key: crypto.randomUUID(),
                    crop,
                    variety,
                    route: route as 'direct' | 'transplant',
                    bed: bed.id,
                    on,
                    metres: data?.free_m ?? bed.length_m ?? 10,
                    pinned: false,
                },
            ],
        });
    const [fits, broken] = [
        data?.fits.filter((fit) => !fit.breaks) ?? [],
        data?.fits.filter((fit) => fit.breaks) ?? [],
    ];
    const flowers = fits.filter((fit) => fit.unit === 'stems');
    return (
        <>
            <h2>{say('ground.gap-of', { bed: bed.name, from: dateInShort(span.from) })}</h2>
            <p>{say('ground.gap-until', { to: dateInShort(span.to), length: ofRow(data?.free_m ?? 0) })}</p>
            <Problem error={error} />
            {data && fits.length === 0 && <p>{say('ground.nothing-fits')}</p>}
            <FitList fits={fits.filter((fit) => fit.unit !== 'stems')} first={EATEN} onPlan={plan} />
            {flowers.length > 0 && (
                <>
                    <h3>{say('ground.for-the-vase')}</h3>
                    <FitList fits={flowers} first={FLOWERS} onPlan={plan} />
                </>
            )}
            {broken.length > 0 && (
                <p className="hint">
                    {say('ground.last-for-rest', {
                        crops: broken
                            .slice(0, 8)
                            .map((fit) =>
                                say('ground.rests', {
                                    crop: fit.name,
                                    after: fit.breaks?.name ?? '',
                                    years: fit.breaks?.years ?? 3,
                                }),
                            )
                            .join('; '),
                    })}
                </p>
            )}
            <p className="hint">{say('ground.worth-is')}</p>
        </>
    );
}

function FitList({ fits, first, onPlan }: { fits: Fit[]; first: number; onPlan: (fit: Fit) => void }) {
    const [all, setAll] = useState(false);
    const shown = all ? fits : fits.slice(0, first);
    return (
        <>
            <ul className="fits">
                {shown.map((fit) => (
                    <li key={`${fit.crop} ${fit.variety} ${fit.route}`}>
                        <strong>{[fit.name, fit.variety].filter(Boolean).join(' ')}</strong>
                        <Action onClick={() => onPlan(fit)}>{say('ground.plan')}</Action>
                        <p>
                            {say('ground.fit', {
                                act: say(`act.${fit.act}`),
                                on: inShort(fit.on.slice(5)),
                                first: inShort(fit.first.slice(5)),
                            })}
                        </p>
                        <p className="hint">{why(fit)}</p>
                    </li>
                ))}
            </ul>
            {shown.length < fits.length && (
                <Action onClick={() => setAll(true)}>
                    {say('folded.and-more', { more: fits.length - shown.length })}
                </Action>
            )}
        </>
    );
}

function why(fit: Fit): string {
    if (fit.is_cover) return say('ground.cover');
    return [
        fit.feeds && say('ground.feeds'),
        say('ground.worth', {
            share: fit.share,
            unit: fit.unit ?? 'none',
            grams_a_metre: Math.round(1000 * fit.a_metre_and_day),
            stems: Math.round(10 * perLength(fit.a_metre_and_day)) / 10,
        }),
    ]
        .filter(Boolean)
        .join(' ');
}
