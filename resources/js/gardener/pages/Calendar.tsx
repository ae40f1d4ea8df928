import { Hatches } from '../../charts/Hatches';
import { inWords, type MonthDay } from '../../time/days';
import { yearScale } from '../../time/yearScale';
import { say } from '../../words/words';
import { CropTable } from './CropTable';
import { Frame } from './Frame';
import type { CalendarCrop, CalendarProps } from './props';
import { ZoneChart } from './ZoneChart';

type Risks = CalendarProps['ruler']['freezes'][number]['last'];

/** A zone's whole year: its freezes, its ruler, and every crop in a table. */
export function Calendar(props: CalendarProps) {
    const { ruler, zone } = props;
    return (
        <Frame common={props} here="calendar">
            <Hatches />
            <h1>{say('page.calendar.heading', { zone: zone.name })}</h1>
            <p className="frost">{freezesInWords(ruler)}</p>
            {props.track_record && (
                <p>
                    {say('page.calendar.track-record', {
                        standard: props.track_record.standard,
                        kept: Math.round(100 * props.track_record.kept),
                    })}
                </p>
            )}
            {props.waits_for_ground && <p>{say('page.calendar.waits-for-ground')}</p>}
            {props.waits_for_soil && <p>{say('page.calendar.waits-for-soil')}</p>}
            <div className="year-ruler">
                <ZoneChart ruler={ruler} routes={[]} label={say('page.calendar.chart')} />
                <p className="key">{say('page.calendar.key')}</p>
            </div>
            <Filter crops={props.crops} starts={ruler.starts} />
            <CropTable crops={props.crops} base={props.base} starts={ruler.starts} />
            <p role="status" className="no-crop" hidden>
                {say('page.calendar.no-crop')}
            </p>
            {props.changes && <Changes {...props.changes} />}
        </Frame>
    );
}

/** The last and the first light freeze at the risks the calendar uses. */
export function freezesInWords(ruler: CalendarProps['ruler']): string {
    const light = ruler.freezes.find((freeze) => freeze.threshold === 'light-freeze');
    return light
        ? say('page.calendar.freezes', {
              last: risks(light.last, 'later'),
              first: risks(light.first, 'earlier'),
              seasons: ruler.seasons,
          })
        : '';
}

/** Changes shown before "show all". */
const FIRST = 8;

/** How this edition differs from the one before it. */
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

/** Filters for the table, for readers with scripts. */
function Filter({ crops, starts }: { crops: CalendarCrop[]; starts: MonthDay }) {
    const families = [...new Set(crops.map((crop) => crop.family))].sort();
    const months = yearScale(starts, 1).months.map((month) => month.name);
    const first = Number(starts.slice(0, 2));
    return (
        <form className="find filter" role="search" aria-label={say('page.calendar.filter')} hidden>
            <label htmlFor="crop">
                {say('page.calendar.find')}
                <input id="crop" name="crop" type="search" autoComplete="off" />
            </label>
            <label htmlFor="month">
                {say('page.calendar.in-month')}
                <select id="month" name="month">
                    <option value="">{say('page.calendar.any')}</option>
                    {months.map((name, i) => (
                        <option key={name} value={((first - 1 + i) % 12) + 1}>
                            {name}
                        </option>
                    ))}
                </select>
            </label>
            <label htmlFor="family">
                {say('page.calendar.family')}
                <select id="family" name="family">
                    <option value="">{say('page.calendar.any')}</option>
                    {families.map((family) => (
                        <option key={family}>{family}</option>
                    ))}
                </select>
            </label>
            {['cover', 'quick'].map((which) => (
                <label key={which} className="tick">
                    <input name={which} type="checkbox" />
                    {say(`page.calendar.only-${which}`)}
                </label>
            ))}
        </form>
    );
}
