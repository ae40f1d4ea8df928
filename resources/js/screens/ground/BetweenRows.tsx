import { useState } from 'react';
import { dateInShort, dateInWords, inShort } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { inCentimetres, ofRow } from '../../words/units';
import { say } from '../../words/words';
import { useBetween, type BetweenFit, type GroundBed, type Occupancy, type usePlantings } from './queries';

/** How many of the crops that fit are shown before the rest is asked for. */
const FIRST = 8;

/** A second crop between the rows of one that grows or is planned: what fits there, how, and what does not, and why. */
export function BetweenRows({
    zone,
    bed,
    stay,
    plantings,
}: {
    zone: string;
    bed: GroundBed;
    stay: Occupancy;
    plantings: ReturnType<typeof usePlantings>;
}) {
    const [asked, setAsked] = useState(false);
    const [all, setAll] = useState(false);
    const { data, error } = useBetween(zone, bed.id, stay.key, asked);
    if (!asked) return <Action onClick={() => setAsked(true)}>{say('between.ask')}</Action>;
    const good = data?.fits.filter((fit) => fit.against.length === 0) ?? [];
    const not = new Map(
        data?.fits
            .filter((fit) => fit.against.length > 0)
            .map((fit) => [`${nameOf(fit)}: ${whyNot(fit.against)}`, fit] as const),
    );
    const plan = ({ crop, variety, route, on }: BetweenFit) =>
        plantings.change({
            add: [
                {
                    key: crypto.randomUUID(),
                    crop,
                    variety,
                    route,
                    bed: bed.id,
                    on,
                    metres: data?.room_m ?? stay.metres,
                    pinned: false,
                    between: stay.key,
                },
            ],
        });
    return (
        <section aria-label={say('between.heading')}>
            <h3>{say('between.heading')}</h3>
            <Problem error={error} />
            {data && (
                <p>
                    {data.room_m > 0
                        ? say('between.room', { room: ofRow(data.room_m), closes: dateInWords(data.closes) })
                        : say('between.full')}
                </p>
            )}
            {data && data.room_m > 0 && good.length === 0 && <p>{say('between.nothing')}</p>}
            <ul className="fits">
                {(all ? good : good.slice(0, FIRST)).map((fit) => (
                    <li key={keyOf(fit)}>
                        <strong>{nameOf(fit)}</strong>
                        <Action onClick={() => plan(fit)}>{say('ground.plan')}</Action>
                        <p>
                            {say('ground.fit', {
                                act: say(`act.${fit.act}`),
                                on: inShort(fit.on.slice(5)),
                                first: inShort(fit.first.slice(5)),
                            })}
                        </p>
                        <p className="hint">
                            {say(fit.relay ? 'between.relay' : 'between.companion', {
                                to: dateInShort(fit.to),
                                rows: fit.rows,
                                apart: inCentimetres(fit.apart_cm),
                            })}
                        </p>
                    </li>
                ))}
            </ul>
            {!all && good.length > FIRST && (
                <Action onClick={() => setAll(true)}>{say('folded.and-more', { more: good.length - FIRST })}</Action>
            )}
            {not.size > 0 && (
                <details>
                    <summary>{say('between.not', { crops: not.size })}</summary>
                    {[...not].map(([line, fit]) => (
                        <p key={line}>
                            {nameOf(fit)}: {whyNot(fit.against)}
                        </p>
                    ))}
                </details>
            )}
            <p className="hint">{say('between.rules')}</p>
        </section>
    );
}

/** Why two crops do not go together, in words. */
export function whyNot(against: BetweenFit['against']): string {
    return against.map((why) => say(`between.not-${why}`)).join('; ');
}

const keyOf = (fit: BetweenFit) => `${fit.crop} ${fit.variety} ${fit.route}`;

const nameOf = (fit: BetweenFit) => [fit.name, fit.variety].filter(Boolean).join(' ');
