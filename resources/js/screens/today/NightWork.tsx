import { inWords } from '../../time/days';
import { inCelsius } from '../../words/units';
import { CollapsedList } from '../../ui/CollapsedList';
import { say } from '../../words/words';
import type { TodayData } from './queries';

type Nights = NonNullable<TodayData['nights']>;

/** The evening's work before a freeze: what may be out and would not stand it, and the least cover that would do. */
export function NightWork({ nights }: { nights: Nights }) {
    if (nights.expected.length === 0) return null;
    const covers = [...new Set(nights.tender.filter((one) => one.stage !== 'under-cover').map((one) => one.cover))];
    const carried = nights.tender.filter((one) => one.stage === 'under-cover');
    return (
        <section className="nights">
            <h3>{say('today.night-work')}</h3>
            {nights.expected.map((night) => (
                <p key={night.date}>
                    {say('today.night', {
                        day: inWords(night.date.slice(5)),
                        celsius: inCelsius(night.celsius),
                        members: night.members,
                        of: night.of,
                    })}
                </p>
            ))}
            {covers.map((cover) => (
                <p key={cover ?? ''}>
                    {say(cover === null ? 'today.no-cover-keeps' : 'today.cover-with', { cover: cover ?? '' })}{' '}
                    <CollapsedList
                        items={nights.tender
                            .filter((one) => one.stage !== 'under-cover' && one.cover === cover)
                            .map((one) =>
                                say('today.tender-one', {
                                    crop: one.name,
                                    stage: say(`stage.${one.stage}`),
                                    celsius: inCelsius(one.kills),
                                }),
                            )}
                    />
                </p>
            ))}
            {carried.length > 0 && (
                <p>
                    {say('today.carry-in')} <CollapsedList items={carried.map((one) => one.name)} />
                </p>
            )}
            {nights.tender.length === 0 && <p>{say('today.nothing-tender-out')}</p>}
            <p className="hint">{say('today.night-care')}</p>
        </section>
    );
}
