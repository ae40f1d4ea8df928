import { Checkbox } from '@mantine/core';
import { Link } from 'react-router';
import { dateAfter, dateInWords, daysBetween, monthDayOf } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { Measured } from './Measured';
import { usePacketDays, usePackets, useSavePacket, type View, type SeasonAct, type TodayData } from './queries';
import { sentence } from './sentences';

/** Everything about one task: what waiting costs, how much time is left, and which varieties still fit. */
export function Reading({
    zone,
    data,
    act,
    view,
    onClose,
}: {
    zone: string;
    view: View;
    data: TodayData;
    act: SeasonAct;
    onClose: () => void;
}) {
    const { data: left } = usePacketDays(zone, act, sownOn(data.on, act), view);
    const { data: packets = [] } = usePackets();
    const save = useSavePacket();
    const outcomes = Object.entries(act.ribbon)
        .map(([outcome, days]) => ({ outcome, count: days[0] ?? 0 }))
        .filter(({ count }) => count > 0)
        .sort((a, b) => b.count - a.count);
    return (
        <>
            <h2>{act.name}</h2>
            <p className="hint">
                {say('today.act-on', { act: say(`act.${act.act}.lead`), day: dateInWords(data.on) })}
            </p>
            <p>
                <strong>{say(`pile.${act.pile}`)}.</strong> {sentence(act)}.
            </p>
            {act.first && (
                <p>
                    {say('today.first-harvest', {
                        kind: act.kind,
                        usual: dateInWords(act.first[1] ?? ''),
                        early: dateInWords(act.first[0] ?? ''),
                        late: dateInWords(act.first[2] ?? ''),
                    })}
                    {act.first_a_week_on &&
                        ` ${say('today.waiting-costs', { kind: act.kind, days: daysBetween(act.first[1] ?? '', act.first_a_week_on) })}`}
                </p>
            )}
            {act.slack !== null && <p>{say('today.slack', { days: act.slack })}</p>}
            {act.of > 0 && (
                <p>
                    {say(act.margin >= 0 ? 'today.margin' : 'today.short-of-standard', { years: Math.abs(act.margin) })}
                </p>
            )}
            {left && (
                <p>
                    {left.packet_days === null
                        ? say('today.no-packet-days')
                        : say('today.packet-days', { days: left.packet_days })}
                </p>
            )}
            <p>{say(act.frost_tolerant ? 'today.frost-tolerant' : 'today.frost-tender')}</p>
            <Measured zone={zone} data={data} act={act} />
            <table className="ruled dense">
                <tbody>
                    {outcomes.map(({ outcome, count }) => (
                        <tr key={outcome}>
                            <td>{say(`outcome.${outcome}.short`)}</td>
                            <td className="number nowrap">{say('today.of', { count, of: act.of })}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {act.varieties.length > 0 && (
                <>
                    <h3>{say('common.varieties')}</h3>
                    <table className="ruled dense">
                        <tbody>
                            {act.varieties.map((variety) => (
                                <tr key={variety.name}>
                                    <th scope="row">{variety.name}</th>
                                    <td>
                                        {[
                                            say('page.crop.variety-days', { days: variety.days }),
                                            ...variety.tags.map((tag) => say(`tag.${tag}`)),
                                        ].join(', ')}
                                    </td>
                                    <td>
                                        {say(variety.fits ? 'today.variety-fits' : 'today.variety-does-not', {
                                            harvests: variety.harvests,
                                            of: variety.of,
                                        })}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </>
            )}
            <Checkbox
                size="xs"
                label={say('today.i-have-it')}
                checked={packets.includes(act.crop)}
                onChange={(event) => save.mutate({ crop: act.crop, has: event.currentTarget.checked })}
            />
            <Problem error={save.error} />
            <p>
                <Link to={`/desk/zones/${zone}/planting-windows/${act.crop}?on=${data.on.slice(5)}&route=${act.route}`}>
                    {say('crop-panel.open-its-dossier')}
                </Link>
            </p>
            <p>
                <Action onClick={onClose}>{say('today.back-to-the-day')}</Action>
            </p>
        </>
    );
}

/** The day of the year on which the task, or the transplanting it leads to, is done. */
function sownOn(on: string, act: SeasonAct): string {
    return monthDayOf(dateAfter(on, act.set_out_after));
}
