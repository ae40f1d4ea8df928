import { dateAfter, inShort } from '../../time/days';
import { say } from '../../words/words';
import { useGroundTasks } from '../../api/log';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { useTaskFeed } from './queries';

/** Days ahead that are shown. */
const AHEAD = 42;

/** Tasks for what is planned, in the coming weeks, with the reason, and the caution where it matters. */
export function Tasks({ zone, from }: { zone: string; from: string }) {
    const { data } = useGroundTasks(zone, { from, to: dateAfter(from, AHEAD) });
    const feed = useTaskFeed(zone);
    if (!data || data.length === 0) return null;
    return (
        <section>
            <h3>{say('ground.tasks')}</h3>
            <table className="ruled dense">
                <tbody>
                    {data.map((task) => (
                        <tr key={`${task.stay} ${task.key}`}>
                            <td className="nowrap">
                                {task.to
                                    ? say('ground.from-to', {
                                          from: inShort(task.on.slice(5)),
                                          to: inShort(task.to.slice(5)),
                                      })
                                    : inShort(task.on.slice(5))}
                            </td>
                            <td>
                                {say(`task.${task.key}`, {
                                    crop: task.name,
                                    bed: task.bed.name,
                                    for: inShort(task.for.slice(5)),
                                    plants: task.plants ?? 0,
                                })}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="hint">{say('ground.tasks-care')}</p>
            <p>
                <Action onClick={() => feed.mutate()}>{say('ground.feed-make')}</Action>
            </p>
            {feed.data && (
                <p role="status">
                    {say('ground.feed-is')} <span className="token">{feed.data.url}</span>
                </p>
            )}
            <Problem error={feed.error} />
        </section>
    );
}
