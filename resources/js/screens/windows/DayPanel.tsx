import { say } from '../../words/words';
import type { Windows } from './queries';
import { contains, daysUntil, hoursInWords, inShort, inWords, monthDay, yearDay } from '../../time/days';
import { freezeSentence } from '../../time/freezes';
import { groundName } from '../../words/grounds';
import { inCelsius } from '../../words/units';
import { nextOpening, outcomesOn } from '../../charts/OutcomeRibbon';

/** A window that closes within this many days is a last chance; one that opens later than that is not worth waiting for. */
const LAST_CHANCE = 14;
const HOLD = 90;

type Item = { key: string; crop: string; name: string; words: string; why?: string; order: number };

/** What a date means here, in words: freeze, soil, light, and every crop: sow it, wait, or too late. */
export function DayPanel({
    data,
    ground,
    day,
    onChoose,
}: {
    data: Windows;
    /** the site's, and the share of years in which it can be worked on the day; null without rain on record */
    ground: { kind: string; workable: number | null };
    day: number;
    onChoose: (crop: string) => void;
}) {
    const { ruler } = data;
    const i = day - 1;
    const freezes = {
        seasons: ruler.seasons,
        to_come: ruler.freeze_to_come[i] ?? 0,
        has_come: ruler.freeze_has_come[i] ?? 0,
    };
    return (
        <>
            <h2>{say('common.on', { day: inWords(monthDay(day)) })}</h2>
            <p>{freezeSentence(ruler.starts, monthDay(day), freezes)}</p>
            <p>{say('day.soil', { soil: inCelsius(Math.round(ruler.soil[i] ?? 0)) })}</p>
            <p>{say('day-panel.the-day-is-long', { day_length: hoursInWords(ruler.day_length[i] ?? 0) })}</p>
            {ground.workable !== null && (
                <p>
                    {say('day-panel.workable', {
                        ground: groundName(ground.kind),
                        of_ten: Math.round(10 * ground.workable),
                    })}
                </p>
            )}
            {sort(data, day).map(({ group, items }) => (
                <section key={group}>
                    <h3>{say(`day-panel.${group}`)}</h3>
                    {items.length === 0 && <p className="hint">{say('day-panel.nothing')}</p>}
                    <ul>
                        {items.map((item) => (
                            <li key={item.key}>
                                <a
                                    href={`?crop=${item.crop}`}
                                    onClick={(event) => {
                                        event.preventDefault();
                                        onChoose(item.crop);
                                    }}
                                >
                                    {item.name}
                                </a>
                                <span>{item.words}</span>
                                {item.why && <small>{item.why}</small>}
                            </li>
                        ))}
                    </ul>
                </section>
            ))}
        </>
    );
}

/** Crops by what the day allows: soonest to close first, soonest to open first. */
function sort(data: Windows, day: number): { group: string; items: Item[] }[] {
    const groups: Record<string, Item[]> = {
        'sow-outdoors': [],
        plant: [],
        'start-under-cover': [],
        'set-out': [],
        fair: [],
        hold: [],
    };
    for (const crop of data.crops) {
        for (const route of crop.routes) {
            const came = route.ribbon ? outcomesOn(route.ribbon, day) : [];
            const harvests = came.find((c) => c.outcome === 'harvest');
            const years = harvests ? say('day-panel.of', { years: harvests.years, of: harvests.of }) : '';
            const worst = came.find((c) => c.outcome !== 'harvest');
            const item = { key: crop.slug + route.route, crop: crop.slug, name: crop.name };
            const open = route.windows.find((span) => contains(span, day));
            if (open) {
                const left = open.days >= 365 ? 365 : daysUntil(day, yearDay(open.last));
                groups[route.act]?.push({
                    ...item,
                    order: left,
                    words: years || closes(left, open.last),
                    why: years !== '' && left < LAST_CHANCE ? closes(left, open.last) : undefined,
                });
            } else if (route.fair?.some((span) => contains(span, day))) {
                groups['fair']?.push({
                    ...item,
                    order: -(harvests?.years ?? 0),
                    words: years,
                    why: say(`act.${route.act}`),
                });
            } else {
                const next = nextOpening(route.windows, day);
                if (next && next.days <= HOLD) {
                    groups['hold']?.push({
                        ...item,
                        order: next.days,
                        words: `${say(`act.${route.act}`)} ${inShort(next.span.first)}`,
                        why:
                            worst &&
                            say('windows.worst', {
                                outcome: say(`outcome.${worst.outcome}.short`),
                                lost: worst.years,
                                years: worst.of,
                            }),
                    });
                }
            }
            const cover = route.under_cover.find((span) => contains(span, day));
            if (cover) {
                const left = cover.days >= 365 ? 365 : daysUntil(day, yearDay(cover.last));
                groups['start-under-cover']?.push({ ...item, order: left, words: closes(left, cover.last) });
            }
        }
    }
    // Few zones plant at any one time, and an empty heading would only puzzle people.
    return Object.entries(groups)
        .filter(([group, items]) => group !== 'plant' || items.length > 0)
        .map(([group, items]) => ({
            group,
            items: items.sort((a, b) => a.order - b.order || a.name.localeCompare(b.name)),
        }));
}

function closes(left: number, last: string): string {
    if (left >= 365) return say('day-panel.all-year');
    if (left === 0) return say('day-panel.last-day');
    return left < LAST_CHANCE
        ? say('day-panel.days-left', { left: left + 1 })
        : say('day-panel.to', { last: inShort(last) });
}
