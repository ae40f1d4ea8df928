import { dateInShort } from '../../time/days';
import { Action } from '../../ui/Action';
import { say } from '../../words/words';
import { whyNot } from './BetweenRows';
import type { Chosen } from './BedLines';
import type { GroundBed } from './queries';

/** What does not work as planned, with what would fix it; and what to do next if everything works. */
export function Conflicts({ beds, onChoose }: { beds: GroundBed[]; onChoose: (chosen: Chosen) => void }) {
    const all = beds.flatMap((bed) => bed.conflicts.map((conflict) => ({ bed, conflict })));
    return (
        <>
            <h2>{say('ground.reading')}</h2>
            <p>{say('ground.how')}</p>
            {all.length === 0 ? (
                <p>{say('ground.no-conflict')}</p>
            ) : (
                <>
                    <h3>{say('ground.conflicts', { conflicts: all.length })}</h3>
                    {all.map(({ bed, conflict }) => {
                        const stays = conflict.keys.map((key) => bed.stays.find((stay) => stay.key === key));
                        const [first, second] = stays;
                        return (
                            <p key={bed.id + conflict.kind + conflict.keys.join()} className="own-hand">
                                {say(`ground.conflict-${conflict.kind}`, {
                                    bed: bed.name,
                                    from: dateInShort(conflict.from),
                                    to: dateInShort(conflict.to),
                                    first: first?.name ?? '',
                                    second: second?.name ?? '',
                                    family: first?.family ?? '',
                                    all: stays.map((stay) => stay?.name).join(', '),
                                    why: whyNot(conflict.why),
                                })}{' '}
                                <Action
                                    onClick={() =>
                                        onChoose({
                                            bed: bed.id,
                                            stay:
                                                conflict.keys.find((key) => key.startsWith('planting')) ??
                                                conflict.keys[0],
                                        })
                                    }
                                >
                                    {say('ground.look')}
                                </Action>
                            </p>
                        );
                    })}
                </>
            )}
        </>
    );
}
