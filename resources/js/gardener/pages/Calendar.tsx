import { Hatches } from '../../charts/Hatches';
import { inWords, joined, spanInShort, type Span } from '../../time/days';
import { own, say } from '../../words/words';
import { Frame } from './Frame';
import { Own } from './Own';
import type { Chance } from '../../charts/Brackets';
import type { CalendarCrop, CalendarProps } from './props';
import { ZoneChart } from './ZoneChart';

type Risks = CalendarProps['ruler']['freezes'][number]['last'];

/** A zone's whole year: its freezes, its ruler, and every crop in a table. */
export function Calendar(props: CalendarProps) {
    const { ruler, zone } = props;
    const light = ruler.freezes.find((freeze) => freeze.threshold === 'light-freeze');
    return (
        <Frame common={props} here="calendar">
            <Hatches />
            <h1>{say('page.calendar.heading', { zone: zone.name })}</h1>
            {light && (
                <p className="frost">
                    {say('page.calendar.freezes', {
                        last: risks(light.last, 'later'),
                        first: risks(light.first, 'earlier'),
                        seasons: ruler.seasons,
                    })}
                </p>
            )}
            <div className="year-ruler">
                <ZoneChart ruler={ruler} routes={[]} label={say('page.calendar.chart')} />
                <p className="key">{say('page.calendar.key')}</p>
            </div>
            <p className="find filter" hidden>
                <label htmlFor="crop">{say('page.calendar.find')}</label>
                <input id="crop" type="search" />
            </p>
            <table className="ruled calendar">
                <thead>
                    <tr>
                        {['crop', 'start-under-cover', 'sow-or-plant', 'set-out', 'harvest'].map((column) => (
                            <th key={column} scope="col">
                                {say(`page.calendar.${column}`)}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {props.crops.map((crop) => (
                        <Row key={crop.slug} crop={crop} base={props.base} starts={ruler.starts} />
                    ))}
                </tbody>
            </table>
            <p role="status" className="no-crop" hidden>
                {say('page.calendar.no-crop')}
            </p>
            {props.changes && <Changes {...props.changes} />}
        </Frame>
    );
}

/** Changes that are read before all of them are asked for. */
const FIRST = 8;

/** What this edition says otherwise than the one before it. */
function Changes({ against, phrases }: NonNullable<CalendarProps['changes']>) {
    const lines = (some: typeof phrases) => (
        <ul>
            {some.map((phrase, i) => (
                <li key={i}>{say(phrase)}</li>
            ))}
        </ul>
    );
    return (
        <section className="changed">
            <h2>{say('page.calendar.changed', { against })}</h2>
            {phrases.length === 0 && <p>{say('page.calendar.nothing-changed', { against })}</p>}
            {lines(phrases.slice(0, FIRST))}
            {phrases.length > FIRST && (
                <details>
                    <summary>{say('page.calendar.more-changed', { changes: phrases.length })}</summary>
                    {lines(phrases.slice(FIRST))}
                </details>
            )}
        </section>
    );
}

function risks(dates: Risks, side: 'later' | 'earlier'): string {
    return dates
        .map((risk) =>
            risk.date === null
                ? say('page.calendar.no-freeze')
                : say(`page.calendar.freeze-${side}`, { day: inWords(risk.date), risk: risk.phrase }),
        )
        .join(', ');
}

function Row({ crop, base, starts }: { crop: CalendarCrop; base: string; starts: string }) {
    const direct = crop.routes.find((route) => route.route === 'direct');
    const transplant = crop.routes.find((route) => route.route === 'transplant');
    const none = say('page.calendar.no-window');
    return (
        <tr data-name={[own(crop.name), crop.name, own(crop.also_called ?? ''), crop.also_called ?? ''].join(' ').toLowerCase()}>
            <th scope="row">
                <a href={`${base}/crops/${crop.slug}`}>
                    <Own text={crop.name} />
                </a>
            </th>
            <Spans title={say('act.start-under-cover.lead')} spans={transplant?.under_cover} />
            <Spans
                title={say(`act.${direct?.act ?? 'sow-outdoors'}.lead`)}
                spans={direct?.windows}
                chances={direct?.chances}
                none={direct && none}
            />
            <Spans
                title={say('act.set-out.lead')}
                spans={transplant?.windows}
                chances={transplant?.chances}
                none={transplant && none}
            />
            <Spans
                title={say('page.calendar.harvest')}
                spans={joined(
                    crop.routes.flatMap((route) => route.harvests),
                    starts,
                )}
            />
        </tr>
    );
}

/** A column's dates; where there is no window its fair chances, and where there are none either, that there is none. */
function Spans(props: { title: string; spans?: Span[]; chances?: Chance[]; none?: string }) {
    const { title, spans = [], chances = [], none } = props;
    const windows = spans.map(spanInShort);
    const fair = windows.length > 0 ? [] : chances;
    const words = windows.length > 0 || fair.length > 0 || !none ? windows : [none];
    return (
        <td data-title={title} className={words.length + fair.length === 0 ? 'blank' : undefined}>
            {words.map((text) => (
                <span key={text}>{text}</span>
            ))}
            {fair.map((chance) => (
                <span key={chance.first} className="fair">
                    {spanInShort(chance)} <small>{say('chance', { of_ten: chance.of_ten })}</small>
                </span>
            ))}
        </td>
    );
}
