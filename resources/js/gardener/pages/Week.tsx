import { dateInWords, daysUntil, inWords, monthDayOf, yearDay } from '../../time/days';
import { freezeSentence } from '../../time/freezes';
import { readiness, standing } from '../../time/season';
import { inCelsius, ofRain } from '../../words/units';
import { own, say } from '../../words/words';
import { Frame } from './Frame';
import { Own } from './Own';
import type { SeasonNow, Task, WeekProps } from './props';
import { TaskItem, Tasks } from './Tasks';

/** What can be done in one week, soonest to close first. */
export function Week(props: WeekProps) {
    const { week, base, freezes, season } = props;
    const tasks = week.tasks.filter((task) => !isOver(task, week.first, props.on));
    const closing = tasks.filter((task) => task.last_chance);
    return (
        <Frame common={props} here="week">
            <h1>{say('page.week.heading', { first: inWords(week.first), last: inWords(week.last) })}</h1>
            {/* This season's own chance replaces the record's, because two counts of freezes would seem to contradict each other. */}
            {!season?.freezes && <p className="frost">{freezeSentence(freezes.starts, week.first, freezes)}</p>}
            <Advice advisories={props.advisories ?? []} />
            {season && <Season season={season} />}
            <nav className="weeks" aria-label={say('page.weeks')}>
                <a href={`${base}/weeks/${props.previous}`} rel="prev">
                    {say('page.week.before')}
                </a>
                <a href={`${base}/weeks/${props.next}`} rel="next">
                    {say('page.week.after')}
                </a>
            </nav>
            {tasks.length === 0 && <NothingToDo {...props} />}
            {closing.length > 0 && (
                <section className="closing">
                    <h2>{say('page.week.last-chance')}</h2>
                    <ul className="tasks">
                        {closing.map((task) => (
                            <TaskItem key={task.crop + task.act + task.opens} base={base} task={task} soon>
                                {say('page.week.act-until', {
                                    act: say(`act.${task.act}`),
                                    day: inWords(task.closes ?? week.last),
                                })}
                            </TaskItem>
                        ))}
                    </ul>
                </section>
            )}
            <div className="groups">
                <Tasks tasks={tasks} base={base} more={(task) => <ThisSeason season={season} task={task} />} />
            </div>
            <Cautions {...props} />
        </Frame>
    );
}

/** Whether a task's last day is in the week, and before the day the page was made for. */
function isOver({ closes }: Task, first: string, on: string | undefined): boolean {
    if (!closes || !on) return false;
    const since = (day: string) => daysUntil(yearDay(first), yearDay(day));
    return since(closes) < since(monthDayOf(on)) && since(closes) < 7;
}

function NothingToDo({ base, opens_next }: WeekProps) {
    return (
        <>
            <p>{say('page.week.nothing')}</p>
            {opens_next.length > 0 && (
                <section>
                    <h2>{say('page.week.opens-next')}</h2>
                    <ul className="tasks">
                        {opens_next.map((task) => (
                            <TaskItem key={task.crop + task.act} base={base} task={task}>
                                {say('page.week.act-from', { act: say(`act.${task.act}`), day: inWords(task.opens) })}
                            </TaskItem>
                        ))}
                    </ul>
                </section>
            )}
            <p>
                <a href={base}>{say('page.whole-year')}</a>
            </p>
        </>
    );
}

/** Each caution once, with its crops. */
function Cautions({ week, cautions }: WeekProps) {
    const crops = new Map(week.tasks.filter((task) => cautions[task.crop]).map((task) => [task.crop, task.name]));
    const said = (crop: string) => (cautions[crop] ?? []).map((phrase) => say(phrase));
    const all = [...new Set([...crops.keys()].flatMap(said))];
    if (all.length === 0) return null;
    return (
        <section className="cautions">
            <h2>{say('page.care')}</h2>
            <ul>
                {all.map((words) => (
                    <li key={words}>
                        <strong>
                            {[...crops]
                                .filter(([crop]) => said(crop).includes(words))
                                .map(([, name]) => own(name))
                                .join(', ')}
                        </strong>{' '}
                        {words}
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** Advisories. A withdrawn one stays with the reason until it would have expired. */
function Advice({ advisories }: { advisories: NonNullable<WeekProps['advisories']> }) {
    if (advisories.length === 0) return null;
    return (
        <section className="advice" aria-label={say('page.season.advice')}>
            {advisories.map((one) => (
                <div key={one.published_on + one.text}>
                    {one.withdrawn ? (
                        <p>
                            <s>
                                <Own text={one.text} />
                            </s>{' '}
                            {say('page.season.withdrawn', {
                                day: dateInWords(one.withdrawn.on),
                                reason: one.withdrawn.reason,
                            })}
                        </p>
                    ) : (
                        <p>
                            <Own text={one.text} />
                        </p>
                    )}
                    <p className="by">
                        {say('page.season.advised', {
                            author: one.author,
                            day: dateInWords(one.published_on),
                            until: dateInWords(one.until),
                        })}
                    </p>
                </div>
            ))}
        </section>
    );
}

/** How the season is going, on the day the page was made. */
function Season({ season }: { season: SeasonNow }) {
    const next = season.ready.find((ready) => !ready.now && ready.dates[1]);
    const warm = season.ready.filter((ready) => ready.now).at(-1);
    return (
        <section className="season">
            <h2>{say('page.season.heading', { day: dateInWords(season.on) })}</h2>
            <p>{standing(season.position, season.freezes, season.on)}</p>
            <p>{[warm, next].map((ready) => ready && readiness(ready)).join(' ')}</p>
            {season.nights?.expected.slice(0, 1).map((night) => (
                <p key={night.date} className="soon">
                    {say('page.season.night', {
                        day: inWords(night.date.slice(5)),
                        celsius: inCelsius(night.celsius),
                    })}
                </p>
            ))}
            <Ground ground={season.ground} />
            <Water water={season.water} />
            {season.water_rules && (
                <p>
                    <strong>{say('page.season.water-rules')}</strong> <Own text={season.water_rules} />
                </p>
            )}
            <p>{say('page.season.rest')}</p>
            <p className="made">
                {say('page.season.made', { ends: dateInWords(season.record_ends), members: season.members })}
                {season.outlook === 'simulated' && ` ${say('page.season.simulated')}`}
            </p>
        </section>
    );
}

function Ground({ ground }: { ground: SeasonNow['ground'] }) {
    if (!ground) return null;
    if (ground.fit) return <p>{say('page.season.ground-fit')}</p>;
    return (
        <p>
            {say('page.season.ground-not')}{' '}
            {ground.half && say('page.season.ground-by', { day: inWords(monthDayOf(ground.half)) })}
        </p>
    );
}

/** What gardens lose in a week now, compared with what rain brings. */
function Water({ water }: { water: SeasonNow['water'] }) {
    if (!water) return null;
    return (
        <p>
            {water.et0 > water.rain
                ? say('page.season.water', { taken: ofRain(water.et0), fallen: ofRain(water.rain) })
                : say('page.season.rain-is-enough')}
        </p>
    );
}

/** What this season means for one task. */
function ThisSeason({ season, task }: { season: WeekProps['season']; task: Task }) {
    const act = season?.acts[`${task.crop}.${task.act}`];
    if (!act || act.pile === 'go') return null;
    const pile = act.pile === 'hold-a-week' ? 'hold' : act.pile;
    return (
        <small>
            {say(`page.season.${pile}`, {
                day: act.until ? inWords(act.until.slice(5)) : '',
                harvests: act.harvests,
                of: act.of,
            })}
        </small>
    );
}
