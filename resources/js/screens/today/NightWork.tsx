import { inShort } from '../../time/days';
import { inCelsius } from '../../words/units';
import { say } from '../../words/words';
import type { TodayData } from './queries';

type Nights = NonNullable<TodayData['nights']>;

/** The evening's work before a freeze: what may be out and would die, and the lightest cover that would save it. */
export function NightWork({ nights }: { nights: Nights }) {
    if (nights.expected.length === 0) return null;
    const covers = [...new Set(nights.tender.filter((one) => one.stage !== 'under-cover').map((one) => one.cover))];
    const carried = nights.tender.filter((one) => one.stage === 'under-cover');
    return (
        <section className="nights">
            <h3>{say('today.night-work')}</h3>
            <p>{say('today.nights', { nights: nights.expected.length })}</p>
            <table className="ruled dense">
                <tbody>
                    {nights.expected.map((night) => (
                        <tr key={night.date}>
                            <th scope="row">{say('today.night-to', { day: inShort(night.date.slice(5)) })}</th>
                            <td className="number nowrap">{say(inCelsius(night.celsius))}</td>
                            <td className="nowrap">{say('today.of', { count: night.members, of: night.of })}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {covers.map((cover) => {
                const kept = nights.tender.filter((one) => one.stage !== 'under-cover' && one.cover === cover);
                return (
                    <Folded
                        key={cover ?? ''}
                        title={say(cover === null ? 'today.no-cover-keeps' : 'today.cover-with', {
                            cover: cover ?? '',
                            crops: kept.length,
                        })}
                        items={kept.map((one) =>
                            say('today.tender-one', {
                                crop: one.name,
                                stage: say(`stage.${one.stage}`),
                                celsius: inCelsius(one.kills),
                            }),
                        )}
                    />
                );
            })}
            {carried.length > 0 && (
                <Folded
                    title={say('today.carry-in', { crops: carried.length })}
                    items={carried.map((one) => one.name)}
                />
            )}
            {nights.tender.length === 0 && <p>{say('today.nothing-tender-out')}</p>}
            <p className="hint">{say('today.night-care')}</p>
        </section>
    );
}

/** How many, and which ones, for those who want to know. */
function Folded({ title, items }: { title: string; items: string[] }) {
    return (
        <details>
            <summary>{title}</summary>
            <ul className="evidence">
                {items.map((item) => (
                    <li key={item}>{item}</li>
                ))}
            </ul>
        </details>
    );
}
