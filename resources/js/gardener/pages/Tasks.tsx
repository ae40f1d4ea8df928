import type { ReactNode } from 'react';
import { inWords } from '../../time/days';
import { say } from '../../words/words';
import { Own } from './Own';
import type { Task } from './props';

const ACTS = ['sow-outdoors', 'plant', 'start-under-cover', 'set-out'];

/** What to do in a week, task by task. */
export function Tasks({ tasks, base, more }: { tasks: Task[]; base: string; more?: (task: Task) => ReactNode }) {
    return ACTS.filter((act) => tasks.some((task) => task.act === act)).map((act) => (
        <section key={act}>
            <h2>{say(`act.${act}.lead`)}</h2>
            <ul className="tasks">
                {tasks
                    .filter((task) => task.act === act)
                    .map((task) => (
                        <TaskItem key={task.crop + task.opens} base={base} task={task} soon={task.last_chance}>
                            {when(task)}
                            {more?.(task)}
                        </TaskItem>
                    ))}
            </ul>
        </section>
    ));
}

/** A crop, and what is said about it. */
export function TaskItem(props: {
    base: string;
    task: Pick<Task, 'crop' | 'name'>;
    soon?: boolean;
    children: ReactNode;
}) {
    return (
        <li>
            <a href={`${props.base}/crops/${props.task.crop}`}>
                <Own text={props.task.name} />
            </a>
            <span className={props.soon ? 'soon' : undefined}>{props.children}</span>
        </li>
    );
}

function when(task: Task): string {
    return [time(task), ...(task.of_ten ? [say('chance', { of_ten: task.of_ten })] : [])].join('; ');
}

function time(task: Task): string {
    if (task.closes === null) return say('span.all-year');
    return task.opening
        ? say('page.week.opens', { day: inWords(task.opens) })
        : say('page.week.until', { day: inWords(task.closes) });
}
