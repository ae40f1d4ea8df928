import { SegmentedControl } from '@mantine/core';
import { Link, useParams, useSearchParams } from 'react-router';
import { useClimate } from '../../api/zones';
import { CalibrationPlot } from './CalibrationPlot';
import { DataTable } from '../../charts/DataTable';
import { monthInShort } from '../../time/days';
import { NoRecord } from '../../ui/NoRecord';
import { RuledTable } from '../../ui/RuledTable';
import { Turned } from '../../ui/Turned';
import { isStandard, STANDARDS } from '../../words/standards';
import { listed, say } from '../../words/words';
import { HoldOrGo } from './HoldOrGo';
import { LoggedRecord } from './LoggedRecord';
import { useTrackRecord, type TrackRecordData } from './queries';

type Kept = NonNullable<TrackRecordData['windows']>;
type Crop = Kept['crops'][number];
type Sum = { runs: number; promised: number | null; kept: number | null };

/** How many of the crops that fell short most are shown. */
const SHOWN = 12;

/** Whether the windows of a zone came true: promised compared with kept, by various groups, and what the log says. */
export function TrackRecord() {
    const { zone = '' } = useParams();
    const [params, setParams] = useSearchParams();
    const asked = params.get('confidence');
    const { data, error } = useTrackRecord(zone, isStandard(asked) ? asked : undefined);
    if (error) return <NoRecord zone={zone} error={error} />;
    if (!data) return null;
    return (
        <main className="page promises">
            <div className="tools">
                <SegmentedControl
                    size="xs"
                    aria-label={say('common.standard-of-proof')}
                    value={data.standard}
                    onChange={(confidence) => setParams({ confidence }, { replace: true })}
                    data={STANDARDS}
                />
            </div>
            <h2>{say('track-record.heading')}</h2>
            {data.windows && data.log ? (
                <Judged zone={zone} standard={data.standard} kept={data.windows} log={data.log} />
            ) : (
                <p role="status">{say('track-record.being-judged', { done: data.done, total: data.total })}</p>
            )}
        </main>
    );
}

function Judged({
    zone,
    standard,
    kept,
    log,
}: {
    zone: string;
    standard: TrackRecordData['standard'];
    kept: Kept;
    log: NonNullable<TrackRecordData['log']>;
}) {
    const { total } = kept;
    const short = kept.crops.filter((crop) => crop.short);
    const turned = kept.crops.filter((crop) => crop.turned !== null);
    return (
        <div className="climate">
            <div>
                <p className="answer">
                    {total.kept === null || total.promised === null
                        ? say('track-record.none')
                        : say('track-record.total', {
                              standard: STANDARDS.find(({ value }) => value === standard)?.label ?? '',
                              kept: hundred(total.kept),
                              promised: hundred(total.promised),
                              crops: kept.crops_judged,
                          })}
                </p>
                <p className="hint">{say('track-record.how')}</p>
                <div className="plotted">
                    <CalibrationPlot bins={kept.bins} label={say('track-record.plot')} />
                    <p className="hint">{say('track-record.plot-key')}</p>
                </div>
                <h3>{say('track-record.least')}</h3>
                <p>{say('track-record.short', { short: short.length, all: kept.crops.length })}</p>
                <Crops zone={zone} crops={kept.crops.slice(0, SHOWN)} />
                <DataTable
                    name={say('track-record.all-crops')}
                    file={`${zone}-track-record`}
                    columns={[
                        say('track-record.crop'),
                        say('track-record.act'),
                        say('track-record.plantings-inside'),
                        say('track-record.harvests'),
                        say('track-record.promised'),
                        say('track-record.kept'),
                        say('track-record.years'),
                    ]}
                    rows={() =>
                        kept.crops.map((crop) => [
                            crop.name,
                            say(`act.${crop.act}`),
                            crop.runs,
                            crop.harvests,
                            crop.promised,
                            crop.kept,
                            crop.years,
                        ])
                    }
                />
                <HoldOrGo zone={zone} />
            </div>
            <div>
                <h3>{say('track-record.by-decade')}</h3>
                <Sums
                    of={say('track-record.decade')}
                    sums={kept.decades.map((one) => [
                        say('track-record.decade-of', { decade: String(one.decade) }),
                        one,
                    ])}
                />
                <FreezeTrend zone={zone} />
                {turned.length > 0 && <Turned zone={zone} crops={turned} />}
                <h3>{say('track-record.by-season')}</h3>
                <Sums
                    of={say('track-record.planted-in')}
                    sums={kept.seasons.map((one) => [
                        `${monthInShort(one.first_month)}–${monthInShort(((one.first_month + 1) % 12) + 1)}`,
                        one,
                    ])}
                />
                <h3>{say('track-record.by-family')}</h3>
                <Sums of={say('track-record.family')} sums={kept.families.map((one) => [one.family, one])} />
                <h3>{say('track-record.by-log')}</h3>
                <LoggedRecord log={log} />
            </div>
        </div>
    );
}

const hundred = (share: number) => Math.round(100 * share);
const percent = (share: number | null) => (share === null ? '–' : say('track-record.share', { share }));

function Sums({ of, sums }: { of: string; sums: [string, Sum][] }) {
    return (
        <RuledTable
            columns={[
                of,
                { number: say('track-record.promised') },
                { number: say('track-record.kept') },
                { number: say('track-record.plantings-inside') },
            ]}
            rows={sums.map(([name, { runs, promised, kept }]) => [
                name,
                name,
                percent(promised),
                percent(kept),
                say('number', { number: runs }),
            ])}
        />
    );
}

function Crops({ zone, crops }: { zone: string; crops: Crop[] }) {
    return (
        <RuledTable
            columns={[
                say('track-record.crop'),
                say('track-record.act'),
                { number: say('track-record.promised') },
                { number: say('track-record.kept') },
                { number: say('track-record.would-be') },
                say('track-record.lost-to'),
            ]}
            rows={crops.map((crop) => [
                `${crop.crop} ${crop.route}`,
                <Link key="crop" to={`/desk/zones/${zone}/planting-windows/${crop.crop}`}>
                    {crop.name}
                </Link>,
                say(`act.${crop.act}`),
                percent(crop.promised),
                crop.short ? <strong key="kept">{percent(crop.kept)}</strong> : percent(crop.kept),
                say('track-record.between', { low: crop.low, high: crop.high, years: crop.years }),
                listed(crop.lost.map(({ outcome }) => say(`outcome.${outcome}.short`))),
            ])}
        />
    );
}

/** Whether spring's last freeze has moved, beside the decades. */
function FreezeTrend({ zone }: { zone: string }) {
    const { data } = useClimate(zone);
    const trend = data?.climate.thresholds[0]?.trend;
    return trend ? <p>{say(trend.phrase)}</p> : null;
}
