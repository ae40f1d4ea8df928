import { useUnderWay } from '../../api/log';
import type { Schema } from '../../api/client';
import { daysBetween, inShort } from '../../time/days';
import { say } from '../../words/words';

type Sowing = Schema['UnderWay'];

const SHOWN = 12;

/** What the log says is growing, and how this season continues for each: what was seen, otherwise what to expect. */
export function UnderWay({ zone, today }: { zone: string; today: string }) {
    const { data } = useUnderWay(zone);
    if (!data || data.length === 0) return null;
    return (
        <section className="under-way" id="under-way">
            <h3>{say('under-way.heading')}</h3>
            <table className="ruled dense">
                <thead>
                    <tr>
                        {['crop', 'where', 'in', 'up', 'thin', 'first-pick', 'word'].map((column) => (
                            <th key={column} scope="col">
                                {say(`under-way.column-${column}`)}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {data.slice(0, SHOWN).map((sowing) => (
                        <tr key={sowing.key}>
                            <th scope="row">{[sowing.name, sowing.variety].filter(Boolean).join(' ')}</th>
                            <td>{sowing.bed?.name}</td>
                            <td className="nowrap">{begun(sowing)}</td>
                            <td className="nowrap">{up(sowing)}</td>
                            <td className="nowrap">{thin(sowing)}</td>
                            <td className="nowrap">{firstPick(sowing)}</td>
                            <td>{late(sowing, data, today) ?? word(sowing)}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {data.length > SHOWN && <p className="hint">{say('under-way.more', { more: data.length - SHOWN })}</p>}
        </section>
    );
}

/** How much is growing, with a link to it. */
export function StandsAlready({ zone }: { zone: string }) {
    const { data } = useUnderWay(zone);
    if (!data || data.length === 0) return null;
    return (
        <p className="stands">
            <a href="#under-way">{say('under-way.stands', { sowings: data.length })}</a>
        </p>
    );
}

const day = (date: string) => inShort(date.slice(5));

function begun({ days, under_cover }: Sowing): string {
    if (days.set_out) return say('under-way.set-out', { day: day(days.set_out) });
    return say(under_cover ? 'under-way.under-cover' : 'under-way.sown', { day: day(days.sown ?? '') });
}

/** A date that was seen is shown as it is; one that is expected has a range. */
function span([early, middle, late]: string[]): string {
    return early === late
        ? say('under-way.about', { day: day(middle ?? '') })
        : say('under-way.between', { day: day(middle ?? ''), early: day(early ?? ''), late: day(late ?? '') });
}

function up({ days, goes_on }: Sowing): string {
    if (days.up) return day(days.up);
    return goes_on?.up ? span(goes_on.up) : '';
}

function thin({ days, goes_on }: Sowing): string {
    if (days.thinned) return day(days.thinned);
    if (goes_on?.set_out && !days.set_out) return say('under-way.set-out-on', { day: day(goes_on.set_out) });
    return goes_on?.thin ? day(goes_on.thin) : '';
}

function firstPick({ days, goes_on }: Sowing): string {
    if (days.first_picked) return say('under-way.picked', { day: day(days.first_picked) });
    return goes_on?.first_pick ? span(goes_on.first_pick) : '';
}

function word({ goes_on, days }: Sowing): string {
    if (!goes_on) return say('under-way.no-season');
    if (goes_on.of === 0) return '';
    if (goes_on.harvests === 0 && goes_on.loss && !days.first_picked) {
        if (goes_on.set_out && !days.set_out) {
            return say('under-way.too-early', { loss: say(`outcome.${goes_on.loss}.short`) });
        }
        return say('under-way.lost-by-the-model', { loss: say(`outcome.${goes_on.loss}.short`) });
    }
    return say('under-way.harvests', { harvests: goes_on.harvests, of: goes_on.of, cold: goes_on.cold });
}

/** What is sown and should be up: how late it is, and whether seedlings of the same crop are waiting indoors. */
function late({ crop, days, goes_on, under_cover }: Sowing, all: Sowing[], today: string): string | null {
    const expected = goes_on?.up?.[2];
    if (under_cover || days.up || !expected || expected >= today) return null;
    const isReady = ({ days, under_cover, goes_on }: Sowing) =>
        under_cover && !days.set_out && !!goes_on?.set_out && goes_on.set_out <= today;
    const spares = all.some((other) => other.crop === crop && isReady(other));
    return say(spares ? 'under-way.late-spares' : 'under-way.late', { days: daysBetween(expected, today) });
}
