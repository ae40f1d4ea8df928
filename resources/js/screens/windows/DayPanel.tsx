import { say } from '../../words/words';
import type { Windows } from '../../api/client';
import { contains, daysUntil, hoursInWords, inShort, inWords, monthDay, yearDay } from '../../time/days';
import { freezeSentence } from '../../time/freezes';
import { inCelsius } from '../../words/units';
import { nextOpening, outcomesOn } from '../../charts/OutcomeRibbon';

/** A window that closes within so many days is a last chance; one that opens later than that is not worth holding for. */
const LAST_CHANCE = 14;
const HOLD = 90;

type Item = { key: string; crop: string; name: string; words: string; why?: string; order: number };

/** What a date means here, in words: freeze, soil, light, and every crop: sow it, hold it, or too late. */
export function DayPanel({ data, day, onChoose }: { data: Windows; day: number; onChoose: (crop: string) => void }) {
    const { ruler } = data;
    const i = day - 1;
    const freezes = {
        seasons: ruler.seasons,
        to_come: ruler.freeze_to_come[i] ?? 0,
        has_come: ruler.freeze_has_come[i] ?? 0,
    };
    return (
        <>
            <h2>On {inWords(monthDay(day))}</h2>
            <p>{freezeSentence(ruler.starts, monthDay(day), freezes)}</p>
            <p>{say('day.soil', { soil: inCelsius(Math.round(ruler.soil[i] ?? 0)) })}</p>
            <p>The day is {hoursInWords(ruler.day_length[i] ?? 0)} long.</p>
            {sort(data, day).map(({ title, items }) => (
                <section key={title}>
                    <h3>{title}</h3>
                    {items.length === 0 && <p className="hint">nothing</p>}
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

/** Crops by what the day allows: what closes soonest first, what opens soonest first. */
function sort(data: Windows, day: number): { title: string; items: Item[] }[] {
    const groups: Record<string, Item[]> = {
        'Sow outdoors': [],
        'Start under cover': [],
        'Set out': [],
        'A fair chance': [],
        Hold: [],
    };
    for (const crop of data.crops) {
        for (const route of crop.routes) {
            const came = route.ribbon ? outcomesOn(route.ribbon, day) : [];
            const harvests = came.find((c) => c.outcome === 'harvest');
            const years = harvests ? `${harvests.years} of ${harvests.of}` : '';
            const worst = came.find((c) => c.outcome !== 'harvest');
            const item = { key: crop.slug + route.route, crop: crop.slug, name: crop.name };
            const open = route.windows.find((span) => contains(span, day));
            if (open) {
                const left = open.days >= 365 ? 365 : daysUntil(day, yearDay(open.last));
                groups[route.route === 'direct' ? 'Sow outdoors' : 'Set out']?.push({
                    ...item,
                    order: left,
                    words: years || closes(left, open.last),
                    why: years !== '' && left < LAST_CHANCE ? closes(left, open.last) : undefined,
                });
            } else if (route.fair?.some((span) => contains(span, day))) {
                groups['A fair chance']?.push({
                    ...item,
                    order: -(harvests?.years ?? 0),
                    words: years,
                    why: say(`act.${route.act}`),
                });
            } else {
                const next = nextOpening(route.windows, day);
                if (next && next.days <= HOLD) {
                    groups['Hold']?.push({
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
                groups['Start under cover']?.push({ ...item, order: left, words: closes(left, cover.last) });
            }
        }
    }
    return Object.entries(groups).map(([title, items]) => ({
        title,
        items: items.sort((a, b) => a.order - b.order || a.name.localeCompare(b.name)),
    }));
}

function closes(left: number, last: string): string {
    if (left >= 365) return 'all year';
    if (left === 0) return 'last day';
    return left < LAST_CHANCE ? `${left + 1} days left` : `to ${inShort(last)}`;
}
