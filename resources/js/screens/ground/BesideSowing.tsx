import { Action } from '../../ui/Action';
import { dateInShort } from '../../time/days';
import { say } from '../../words/words';
import { usePlantingSpares, type Occupancy, type usePlantings } from './queries';

/** Seedlings to raise beside a planned sowing that often fails: why, how many, and when; planned with it, or not. */
export function BesideSowing({
    zone,
    bed,
    stay,
    plantings,
}: {
    zone: string;
    bed: number;
    stay: Occupancy;
    plantings: ReturnType<typeof usePlantings>;
}) {
    const { data: spares } = usePlantingSpares(zone, stay);
    if (!spares || stay.planting === null) return null;
    const planting = { id: stay.planting, version: stay.version ?? 0 };
    const plan = (isPlanned: boolean) =>
        plantings.change({
            change: [{ ...planting, bed, on: stay.from, metres: stay.metres, pinned: stay.pinned, spares: isPlanned }],
        });
    return (
        <section aria-label={say('spares.title')}>
            <h3>{say('spares.title')}</h3>
            <p>
                {say('spares.fails', { failed: spares.failed, years: spares.years })}{' '}
                {spares.until === null
                    ? say('spares.too-late')
                    : say(stay.spares ? 'spares.planned' : 'spares.could', {
                          plants: spares.plants,
                          start: dateInShort(spares.start),
                          ready: dateInShort(spares.ready),
                          until: dateInShort(spares.until),
                      })}
            </p>
            {(spares.until !== null || stay.spares) && (
                <Action onClick={() => plan(!stay.spares)}>{say(stay.spares ? 'spares.none' : 'spares.plan')}</Action>
            )}
        </section>
    );
}
