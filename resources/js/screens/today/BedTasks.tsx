import { Link } from 'react-router';
import { useGroundTasks } from '../../api/log';
import { dateAfter, inShort } from '../../time/days';
import { say } from '../../words/words';

/** Days ahead that are shown. */
const AHEAD = 7;

const SHOWN = 8;

/** Tasks in the beds in the coming days. */
export function BedTasks({ zone, today }: { zone: string; today: string }) {
    const { data } = useGroundTasks(zone, { from: today, to: dateAfter(today, AHEAD) });
    if (!data || data.length === 0) return null;
    // What starts now comes before what has been going on for weeks.
    const tasks = [...data.filter((task) => task.on >= today), ...data.filter((task) => task.on < today)];
    return (
        <section>
            <h3>{say('today.tasks')}</h3>
            <ul className="bed-tasks">
                {tasks.slice(0, SHOWN).map((task) => (
                    <li key={`${task.stay} ${task.key}`}>
                        {task.on < today && task.to
                            ? say('today.task-until', { to: inShort(task.to.slice(5)) })
                            : inShort(task.on.slice(5))}
                        :{' '}
                        {say(`task.${task.key}`, {
                            crop: task.name,
                            bed: task.bed.name,
                            for: inShort(task.for.slice(5)),
                            plants: task.plants ?? 0,
                        })}
                    </li>
                ))}
            </ul>
            <p className="hint">{say('ground.tasks-care')}</p>
            <p>
                <Link to={`/desk/zones/${zone}/beds`}>
                    {data.length > SHOWN
                        ? say('today.tasks-more', { more: data.length - SHOWN })
                        : say('today.tasks-ground')}
                </Link>
            </p>
        </section>
    );
}
