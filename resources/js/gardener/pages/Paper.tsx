import type { ReactNode } from 'react';
import { Hatches } from '../../charts/Hatches';
import { SquareCode } from '../../charts/SquareCode';
import { dateInWords, inWords } from '../../time/days';
import { yearScale } from '../../time/yearScale';
import { inMetres } from '../../words/units';
import { say } from '../../words/words';
import { freezesInWords } from './Calendar';
import { Answer, CropCautions, How, Varieties, Why } from './Crop';
import { SowAgainInWords } from './CropGround';
import { CropTable, Lanes, Months } from './CropTable';
import { Own } from './Own';
import type { CalendarCrop, PaperProps } from './props';
import { Tasks } from './Tasks';
import { Withdrawn } from './Withdrawn';
import { ZoneChart } from './ZoneChart';

/** A printable calendar: its title, its body, and its source; printed by a browser, or made into a PDF by the server. */
export function Paper(props: PaperProps) {
    const { zone, edition } = props;
    return (
        <main className={`sheet ${props.sheet} ${props.size}`}>
            <Hatches />
            <header>
                <h1>{title(props)}</h1>
                <p>{say('sheet.of', { zone: zone.name, district: zone.district, height: inMetres(zone.height_m) })}</p>
            </header>
            {props.withdrawn ? <Withdrawn notice={props.withdrawn} number={edition.number} /> : <Body {...props} />}
            <footer>
                <SquareCode name={say('sheet.code')} text={props.url} />
                <div>
                    <p>
                        <a href={props.url}>{props.url}</a>
                    </p>
                    <p>
                        {say('sheet.edition', {
                            number: edition.number,
                            date: dateInWords(edition.published_on),
                            author: edition.published_by,
                        })}
                    </p>
                    <p>{props.guidance.map((phrase) => say(phrase)).join(' ')}</p>
                </div>
            </footer>
        </main>
    );
}

function title(props: PaperProps): ReactNode {
    switch (props.sheet) {
        case 'crop':
            return props.crop && <Own text={props.crop.name} />;
        case 'week':
            return say('page.week.heading', { first: inWords(props.week.first), last: inWords(props.week.last) });
        default:
            return say(`sheet.${props.sheet}.title`, { zone: props.zone.name });
    }
}

function Body(props: PaperProps) {
    switch (props.sheet) {
        case 'year':
            return <Fridge {...props} />;
        case 'wall':
            return <Wall {...props} />;
        case 'week':
            return <WeekSheet {...props} />;
        case 'crop':
            return <CropPaper {...props} />;
        case 'leaflet':
            return <Leaflet {...props} />;
    }
}

/** A year of some crops, in large type. */
function Fridge({ crops, base, ruler }: PaperProps) {
    const type = crops.length <= 12 ? 'large' : crops.length <= 24 ? 'middle' : 'small';
    return (
        <div className={type}>
            <p className="frost">{freezesInWords(ruler)}</p>
            <CropTable crops={crops} base={base} starts={ruler.starts} />
        </div>
    );
}

/** Columns of the wall calendar, with about the same number of lines each. */
const COLUMNS = 3;

/** Every crop's windows under one year, for a wall. */
function Wall({ crops, ruler }: PaperProps) {
    const lines = crops.reduce((sum, crop) => sum + crop.routes.length, 0);
    const columns: CalendarCrop[][] = Array.from({ length: COLUMNS }, () => []);
    let before = 0;
    for (const crop of crops) {
        columns[Math.min(COLUMNS - 1, Math.floor((before * COLUMNS) / lines))]?.push(crop);
        before += crop.routes.length;
    }
    return (
        <>
            <p className="frost">{freezesInWords(ruler)}</p>
            <div className="columns">
                {columns.map((some, i) => (
                    <WallColumn key={i} crops={some} starts={ruler.starts} />
                ))}
            </div>
            <p className="key">{say('sheet.wall.key')}</p>
        </>
    );
}

const WALL_LANE = 440;

function WallColumn({ crops, starts }: { crops: CalendarCrop[]; starts: string }) {
    const scale = yearScale(starts, WALL_LANE);
    return (
        <table className="ruled">
            <thead>
                <tr>
                    <th scope="col">{say('page.calendar.crop')}</th>
                    <td>
                        <Months scale={scale} />
                    </td>
                </tr>
            </thead>
            <tbody>
                {crops.map((crop) => (
                    <tr key={crop.slug}>
                        <th scope="row">
                            <Own text={crop.name} />
                            {crop.routes.map((route) => (
                                <small key={route.route}>{say(`act.${route.act}`)}</small>
                            ))}
                        </th>
                        <td>
                            <Lanes crop={crop} scale={scale} />
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

/** With more tasks than this, it needs a third column to fit on one page. */
const MANY = 60;

function WeekSheet({ week, base }: PaperProps) {
    return week.tasks.length === 0 ? (
        <p>{say('page.week.nothing')}</p>
    ) : (
        <div className={week.tasks.length > MANY ? 'groups many' : 'groups'}>
            <Tasks tasks={week.tasks} base={base} />
        </div>
    );
}

function CropPaper({ crop, ruler }: PaperProps) {
    if (!crop) return null;
    return (
        <>
            {crop.routes.map((route) => (
                <Answer key={route.route} route={route} starts={ruler.starts} />
            ))}
            <CropCautions crop={crop} />
            <div className="year-ruler">
                <ZoneChart ruler={ruler} routes={crop.routes} label={say('page.crop.chart', { crop: crop.name })} />
            </div>
            <SowAgainInWords routes={crop.routes} />
            <How crop={crop} />
            <Varieties varieties={crop.varieties ?? []} starts={ruler.starts} />
            <Why routes={crop.routes} />
        </>
    );
}

/** What a zone's calendar is, and what comes next in it; a handout. */
function Leaflet({ week, base, ruler, zone }: PaperProps) {
    return (
        <>
            <p>{say('sheet.leaflet.what', { zone: zone.name, seasons: ruler.seasons })}</p>
            <p className="frost">{freezesInWords(ruler)}</p>
            <div className="year-ruler">
                <ZoneChart ruler={ruler} routes={[]} label={say('page.calendar.chart')} />
                <p className="key">{say('page.calendar.key')}</p>
            </div>
            <h2>{say('sheet.leaflet.now', { first: inWords(week.first), last: inWords(week.last) })}</h2>
            <div className="groups">
                <Tasks tasks={week.tasks.filter((task) => task.last_chance || task.opening)} base={base} />
            </div>
            <p>{say('sheet.leaflet.more', { more: week.tasks.length })}</p>
            <h2>{say('sheet.leaflet.how')}</h2>
            <p>{say('sheet.leaflet.reading')}</p>
        </>
    );
}
