import { inCelsius } from '../words/units';
import { say } from '../words/words';
import { beforeSummer, inWords, yearDay, type MonthDay } from './days';

/** For one day: seasons on record, in how many there was another freeze after it, and in how many the first had come by it. */
export type FreezesOfDay = { seasons: number; to_come: number; has_come: number };

/**
 * What a day means for freezes, in words: in the first half of the ruler's year, those still ahead; after it, those that had come.
 *
 * @param limit °C, if other freezes than those of 0 °C are mentioned too
 */
export function freezeSentence(starts: MonthDay, day: MonthDay, freezes: FreezesOfDay, limit?: number): string {
    const toCome = beforeSummer(starts, yearDay(day));
    const which = limit === undefined ? '' : '.of';
    return say(`freeze-sentence.${toCome ? 'still-to-come' : 'had-come'}${which}`, {
        years: toCome ? freezes.to_come : freezes.has_come,
        seasons: freezes.seasons,
        day: inWords(day),
        limit: inCelsius(limit ?? 0),
    });
}
