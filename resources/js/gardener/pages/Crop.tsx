import { DerivationTable } from '../../charts/DerivationTable';
import { Hatches, reasonInShort } from '../../charts/Hatches';
import { BestSign, BracketSign, HarvestSign, HatchSign } from '../../charts/Legend';
import { chanceInWords, joined, spanInShort, spanInWords, type MonthDay, type Span } from '../../time/days';
import { inCentimetres } from '../../words/units';
import { listed, say } from '../../words/words';
import { RoomAndStems, SeedTable, SowAgain } from './CropGround';
import { CropWater } from './CropWater';
import { Frame } from './Frame';
import { Own } from './Own';
import type { CropProps, Route, Variety } from './props';
import { ZoneChart } from './ZoneChart';

/** One crop in a zone: the short answer first, then cautions, the picture, how, and why. */
export function Crop(props: CropProps) {
    const { crop, ruler, base } = props;
    return (
        <Frame common={props} here="crop">
            <Hatches />
            <h1>
                <Own text={crop.name} />
            </h1>
            <p className="latin">
                <em>{crop.latin}</em>, {crop.family}
            </p>
            {crop.routes.map((route) => (
                <Answer key={route.route} route={route} starts={ruler.starts} />
            ))}
            <CropCautions crop={crop} />
            <div className="year-ruler">
                <ZoneChart ruler={ruler} routes={crop.routes} label={say('page.crop.chart', { crop: crop.name })} />
                <Legend routes={crop.routes} />
            </div>
            <Varieties varieties={crop.varieties ?? []} starts={ruler.starts} />
            <SowAgain routes={crop.routes} />
            <How crop={crop} />
            <SeedTable crop={crop} />
            <CropWater routes={crop.routes} />
            <Why routes={crop.routes} />
            <p>
                <a href={base}>{say('page.crop.all', { zone: props.zone.name })}</a>,{' '}
                <a href={`${base}/paper/crop.pdf?crop=${crop.slug}`}>{say('sheet.crop.name')}</a>
            </p>
        </Frame>
    );
}

export function CropCautions({ crop }: Pick<CropProps, 'crop'>) {
    if (crop.cautions.length === 0) return null;
    return (
        <section className="cautions">
            <h2>{say('page.care')}</h2>
            <ul>
                {crop.cautions.map((caution) => (
                    <li key={caution.code}>{say(caution.phrase)}</li>
                ))}
            </ul>
        </section>
    );
}

export function How({ crop }: Pick<CropProps, 'crop'>) {
    return (
        <section>
            <h2>{say('page.crop.how')}</h2>
            <p>
                {say('page.crop.spacing', {
                    depth: inCentimetres(crop.depth_cm),
                    apart: inCentimetres(crop.spacing_cm),
                    rows: inCentimetres(crop.row_cm),
                })}{' '}
                <RoomAndStems crop={crop} /> {crop.notes && <Own text={crop.notes} />}
            </p>
        </section>
    );
}

/** Each date with the lines by which it was reached. */
export function Why({ routes }: { routes: Route[] }) {
    return routes.map((route) => (
        <section key={route.route}>
            <h2>{say('page.crop.why', { act: say(`act.${route.act}`) })}</h2>
            <DerivationTable lines={route.derivation ?? []} />
        </section>
    ));
}

export function Answer({ route, starts }: { route: Route; starts: MonthDay }) {
    const spans = (of: Span[]) => listed(of.map(spanInWords));
    const act = say(`act.${route.act}`);
    const chances = route.chances ?? [];
    if (route.windows.length === 0) {
        return (
            <p className="answer">
                {[
                    chances.length > 0
                        ? say('page.crop.only-fair', { act, chances: listed(chances.map(chanceInWords)) })
                        : say('page.crop.no-window', { act }),
                    ...(route.no_window?.phrases ?? []).map((phrase) => say(phrase)),
                ].join(' ')}
            </p>
        );
    }
    const best = (route.evidence ?? []).flatMap((evidence) => evidence.span ?? []);
    const more = [
        best.length > 0 && say('page.crop.best', { spans: spans(best) }),
        chances.length > 0 && listed(chances.map(chanceInWords)),
        route.under_cover.length > 0 && say('page.crop.start-under-cover', { spans: spans(route.under_cover) }),
        route.harvests.length > 0 && say('page.crop.harvest', { spans: spans(joined(route.harvests, starts)) }),
    ].filter((part) => part !== false);
    return (
        <p className="answer">
            <strong>{say(`act.${route.act}.lead`)}</strong> {[spans(route.windows), ...more].join('; ')}.
        </p>
    );
}

/** The varieties with their own dates, quickest first. */
export function Varieties({ varieties, starts }: { varieties: Variety[]; starts: MonthDay }) {
    if (varieties.length === 0) return null;
    const dates = (route: Variety['routes'][number]) =>
        [...route.windows.map(spanInShort), ...(route.windows.length > 0 ? [] : route.chances.map(chanceInWords))].join(
            ', ',
        ) || say('page.crop.variety-no-window');
    return (
        <section>
            <h2>{say('page.crop.varieties')}</h2>
            <table className="ruled">
                <tbody>
                    {[...varieties]
                        .sort((a, b) => a.days - b.days)
                        .map((variety) => (
                            <tr key={variety.name}>
                                <th scope="row">
                                    {variety.name}
                                    <small>
                                        {[
                                            say('page.crop.variety-days', { days: variety.days }),
                                            ...variety.tags.map((tag) => say(`tag.${tag}`)),
                                        ].join(', ')}
                                    </small>
                                </th>
                                <td>
                                    {variety.routes.map((route) => (
                                        <span key={route.route} className="line">
                                            {say(`act.${route.act}.lead`)} {dates(route)}
                                        </span>
                                    ))}
                                    <span className="line">
                                        {say('page.calendar.harvest')}{' '}
                                        {joined(
                                            variety.routes.flatMap((route) => route.harvests),
                                            starts,
                                        )
                                            .map(spanInShort)
                                            .join(', ') || say('page.crop.none')}
                                    </span>
                                </td>
                            </tr>
                        ))}
                </tbody>
            </table>
        </section>
    );
}

export function Legend({ routes }: { routes: Route[] }) {
    const reasons = new Map(routes.flatMap((route) => route.reasons.map((span) => [span.reason, span])));
    return (
        <ul className="key legend">
            <BracketSign name="bracket" />
            {routes.some((route) => route.evidence?.length) && <BestSign />}
            {routes.some((route) => route.chances?.length) && <BracketSign name="fair" />}
            {routes.some((route) => route.under_cover.length > 0) && <BracketSign name="cover" />}
            {routes.some((route) => route.harvests.length > 0) && <HarvestSign />}
            {[...reasons.values()].map((span) => (
                <HatchSign key={span.reason} of={span.reason} words={reasonInShort(span)} />
            ))}
        </ul>
    );
}
