import { inWords } from '../../time/days';
import { say } from '../../words/words';
import type { EmbedProps } from './props';
import { Tasks } from './Tasks';
import { Withdrawn } from './Withdrawn';

/** This week in a zone, small enough for a frame on a county's page; its links open the full calendar. */
export function Embed({ base, zone, week, guidance, withdrawn, edition }: EmbedProps) {
    return (
        <main className="embed">
            <h1>
                <a href={`${base}/this-week`} target="_top">
                    {zone.name}
                </a>
            </h1>
            {withdrawn ? (
                <Withdrawn notice={withdrawn} number={edition.number} />
            ) : (
                <>
                    <p>{say('page.week.heading', { first: inWords(week.first), last: inWords(week.last) })}</p>
                    {week.tasks.length === 0 && <p>{say('page.week.nothing')}</p>}
                    <Tasks tasks={week.tasks} base={base} />
                </>
            )}
            <footer>
                <p>{guidance.map((phrase) => say(phrase)).join(' ')}</p>
            </footer>
        </main>
    );
}
