import type { Windows } from '../../api/client';
import {
    beforeSummer,
    contains,
    daysUntil,
    hoursInWords,
    inShort,
    inWords,
    monthDay,
    sowDay,
    type Span,
} from '../../charts/days';

const SOON_DAYS = 28;

type Item = { key: string; crop: string; name: string; words: string; days: number };

/** What a date means here, in words: freeze, soil, light, and what can be sown. */
export function DayPanel({ data, day, onChoose }: { data: Windows; day: number; onChoose: (crop: string) => void }) {
    const { ruler } = data;
    const date = inWords(monthDay(day));
    const i = day - 1;
    const towardsSummer = beforeSummer(ruler.starts, day);
    const count = towardsSummer ? ruler.freeze_to_come[i] : ruler.freeze_has_come[i];
    const groups = sort(data, day);
    return (
        <>
            <h2>On {date}</h2>
            <p>
                {towardsSummer ? 'A freeze still came on or after this day' : 'The first freeze had come by this day'}{' '}
                in {count} of {ruler.seasons} seasons.
            </p>
            <p>
                Soil is usually{' '}
                {Math.round(ruler.soil[i] ?? 0)
                    .toString()
                    .replace('-', '−')}{' '}
                °C at 5 cm.
            </p>
            <p>The day is {hoursInWords(ruler.day_length[i] ?? 0)} long.</p>
            {groups.map(({ title, items }) => (
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
                            </li>
                        ))}
                    </ul>
                </section>
            ))}
        </>
    );
}

/** Crops by what the day allows: open windows, those that close soonest first, then what opens within four weeks. */
function sort(data: Windows, day: number): { title: string; items: Item[] }[] {
    const open: Record<string, Item[]> = { 'Sow outdoors': [], 'Start under cover': [], 'Set out': [] };
    const soon: Item[] = [];
    for (const crop of data.crops) {
        for (const route of crop.routes) {
            const acts: [string, string, Span[]][] = [
                [route.route === 'direct' ? 'Sow outdoors' : 'Set out', route.act, route.windows],
                ['Start under cover', 'start under cover', route.under_cover],
            ];
            for (const [title, act, spans] of acts) {
                for (const span of spans) {
                    const key = `${crop.slug}${act}${span.first}`;
                    if (contains(span, day)) {
                        const allYear = span.days >= 365;
                        const left = allYear ? 365 : daysUntil(day, sowDay(span.last));
                        open[title]?.push({
                            key,
                            crop: crop.slug,
                            name: crop.name,
                            days: left,
                            words: allYear
                                ? 'all year'
                                : left < 14
                                  ? left === 0
                                      ? 'last day'
                                      : `${left + 1} days left`
                                  : `to ${inShort(span.last)}`,
                        });
                    } else if (daysUntil(day, sowDay(span.first)) <= SOON_DAYS) {
                        soon.push({
                            key,
                            crop: crop.slug,
                            name: crop.name,
                            days: daysUntil(day, sowDay(span.first)),
                            words: `${act} ${inShort(span.first)}`,
                        });
                    }
                }
            }
        }
    }
    const inOrder = (items: Item[]) => items.sort((a, b) => a.days - b.days || a.name.localeCompare(b.name));
    return [
        ...Object.entries(open).map(([title, items]) => ({ title, items: inOrder(items) })),
        { title: 'Opens within four weeks', items: inOrder(soon) },
    ];
}
