import { inWords } from '../../time/days';
import { say } from '../../words/words';
import { CropTable } from './CropTable';
import { Frame } from './Frame';
import { LetterForm } from './Letter';
import { Own } from './Own';
import type { MineProps } from './props';
import { Tasks } from './Tasks';
import { useAddress } from './reading';

/** A gardener's own page: the crops they chose, kept in the address and by their browser, and what they can export. */
export function Mine(props: MineProps) {
    const { zone, base, chosen, crops, week } = props;
    const query = `crops=${chosen.join(',')}`;
    return (
        <Frame common={props} here="mine">
            <h1>{say('page.mine.heading', { zone: zone.name })}</h1>
            {crops.length === 0 ? (
                <p>{say('page.mine.none')}</p>
            ) : (
                <>
                    <section>
                        <h2>{say('page.mine.week', { first: inWords(week.first), last: inWords(week.last) })}</h2>
                        {week.tasks.length === 0 && <p>{say('page.mine.nothing')}</p>}
                        <div className="groups">
                            <Tasks tasks={week.tasks} base={base} />
                        </div>
                    </section>
                    <section>
                        <h2>{say('page.mine.year')}</h2>
                        <CropTable crops={crops} base={base} starts={props.starts} />
                    </section>
                    <Take {...props} query={query} />
                </>
            )}
            <LetterForm zone={zone.slug} crops={chosen.join(',')} />
            <Choose {...props} />
        </Frame>
    );
}

/** The same crops as a feed, on paper and as a link. */
function Take({ base, query, host, papers }: MineProps & { query: string }) {
    const feed = (events: string) => `${base}/calendar.ics?${query}${events}`;
    const webcal = (events: string) => `${host.replace(/^https?:/, 'webcal:')}${feed(events)}`;
    return (
        <section className="taking">
            <h2>{say('page.mine.take')}</h2>
            <ul>
                <li>
                    {say('page.mine.feed-short')} <a href={webcal('&events=short')}>{say('page.mine.subscribe')}</a>,{' '}
                    <a href={feed('&events=short')}>{say('page.take.feed')}</a>
                </li>
                <li>
                    {say('page.mine.feed-long')} <a href={webcal('')}>{say('page.mine.subscribe')}</a>,{' '}
                    <a href={feed('')}>{say('page.take.feed')}</a>
                </li>
                <li>
                    {say('sheet.year.name')}{' '}
                    {papers.map((size, i) => (
                        <span key={size}>
                            {i > 0 && ', '}
                            <a href={`${base}/paper/year.pdf?${query}&size=${size}`}>{say(`sheet.size.${size}`)}</a>
                        </span>
                    ))}
                </li>
                <li>
                    {say('page.mine.table')} <a href={`${base}/calendar.csv?${query}`}>{say('page.take.table')}</a>
                </li>
                <li>
                    {say('page.mine.share')} <a href={`${base}/mine?${query}`}>{`${host}${base}/mine?${query}`}</a>
                </li>
            </ul>
        </section>
    );
}

/** All crops of the calendar to choose from. Each box has its own name, so the form works without scripts. */
function Choose({ base, all, chosen }: MineProps) {
    const address = useAddress();
    return (
        <form className="choose" action={`${base}/mine`} method="get">
            <h2>{say(chosen.length > 0 ? 'page.mine.change' : 'page.mine.choose')}</h2>
            <div className="boxes">
                {all.map((crop) => (
                    <label key={crop.slug} className="tick">
                        <input type="checkbox" name={crop.slug} value="1" defaultChecked={chosen.includes(crop.slug)} />
                        <Own text={crop.name} />
                    </label>
                ))}
            </div>
            <button type="submit">{say('page.mine.show')}</button>
            <p className="made">
                {say('page.mine.kept')} <a href={address('/privacy')}>{say('office.privacy.title')}</a>
            </p>
        </form>
    );
}
