import { say, temperatureRange, temperatureTicks } from '../../words/words';
import { asRead, inCelsius, inCentimetres, moreCelsius } from '../../words/units';
import { Button, FileInput, Group, NativeSelect, TextInput } from '@mantine/core';
import { line } from 'd3-shape';
import { useState } from 'react';
import { type Schema } from '../../api/client';
import { useCalibration } from './queries';
import { asMeasured, useSaveSite, useSites } from '../../api/sites';
import { useCan } from '../../access/session';
import { DataTable } from '../../charts/DataTable';
import { dateInWords } from '../../time/days';
import { Problem } from '../../ui/Problem';

type Calibration = Schema['Calibration'];

/** Probe readings compared with a site's soil model; the result can be saved as a site of the zone. */
export function Readings({ zone }: { zone: string }) {
    const mayEdit = useCan('edit-sites');
    const { data: sites } = useSites();
    const [file, setFile] = useState<File | null>(null);
    const [site, setSite] = useState<number>();
    const [depth, setDepth] = useState<number>();
    const here = (sites ?? []).filter((s) => s.zone === null || s.zone === zone);
    const chosen = site ?? here[0]?.id;
    const { data: found, error, isFetching } = useCalibration(zone, file, chosen, depth);
    // Another file or site may have no readings at the depth chosen before.
    const bring = (readings: File | null, at: number | undefined) => {
        setFile(readings);
        setSite(at);
        setDepth(undefined);
    };
    return (
        <section>
            <h2>{say('readings.soil-readings-against-the-model')}</h2>
            <p className="hint">{say('readings.a-loggers-file-timestamp-depth')}</p>
            {mayEdit ? (
                <Group align="end" gap="sm">
                    <NativeSelect
                        label={say('readings.taken-at')}
                        value={String(chosen ?? '')}
                        onChange={(event) => bring(file, Number(event.currentTarget.value))}
                        data={here.map((s) => ({ value: String(s.id), label: s.name }))}
                    />
                    <FileInput
                        label={say('readings.readings')}
                        placeholder={say('common.choose-a-file')}
                        miw={260}
                        accept=".csv,.txt,.tsv,.gz,text/csv,text/plain"
                        value={file}
                        onChange={(readings) => bring(readings, site)}
                        clearable
                        clearButtonProps={{ 'aria-label': say('common.remove-the-file') }}
                    />
                    {found && found.depths.length > 1 && (
                        <NativeSelect
                            label={say('readings.depth')}
                            value={String(found.depth)}
                            onChange={(event) => setDepth(Number(event.currentTarget.value))}
                            data={found.depths.map((d) => ({
                                value: String(d.depth),
                                label: say('readings.cm-readings', {
                                    depth: inCentimetres(100 * d.depth),
                                    readings: d.readings,
                                }),
                            }))}
                        />
                    )}
                </Group>
            ) : (
                <p>{say('readings.calibrating-a-site-is-the')}</p>
            )}
            {isFetching && <p role="status">{say('readings.holding-the-readings-against-the')}</p>}
            <Problem error={error} unanswered={say('readings.the-file-did-not-reach')} />
            {found && <Found zone={zone} found={found} />}
        </section>
    );
}

function Found({ zone, found }: { zone: string; found: Calibration }) {
    const [name, setName] = useState(`${found.site.name}, measured`);
    const save = useSaveSite();
    const degrees = (value: number) => say(moreCelsius(Math.round(10 * value) / 10));
    const keep = () =>
        save.mutate(
            asMeasured(
                found,
                zone,
                name,
                say('readings.from-readings-at-cm-error', {
                    used: found.used,
                    depth: inCentimetres(Math.round(found.depth * 100)),
                    error_before: degrees(found.error_before),
                    error_after: degrees(found.error_after),
                }),
            ),
        );
    return (
        <div className="climate">
            <div>
                <h3>{say('readings.readings-as-daily-means-and')}</h3>
                <Comparison points={found.points} />
                <DataTable
                    name={say('readings.readings-and-model')}
                    file={`${zone}-readings`}
                    columns={[
                        'date',
                        { name: say('readings.reading-as-daily-mean'), measure: 'celsius' },
                        { name: say('readings.model-before'), measure: 'celsius' },
                        { name: say('readings.model-after'), measure: 'celsius' },
                    ]}
                    rows={() => found.points.map((p) => [p.date, p.reading, p.before, p.after])}
                />
            </div>
            <div>
                <h3>{say('readings.what-they-say')}</h3>
                <p>
                    {say('readings.of-readings-count-at-cm', {
                        used: found.used,
                        readings: found.readings,
                        depth: inCentimetres(Math.round(found.depth * 100)),
                        name: found.site.name,
                    })}
                </p>
                <table className="ruled">
                    <tbody>
                        <tr>
                            <th scope="row">{say('readings.mean-error-before')}</th>
                            <td className="number">{degrees(found.error_before)}</td>
                        </tr>
                        <tr>
                            <th scope="row">{say('readings.mean-error-after')}</th>
                            <td className="number">{degrees(found.error_after)}</td>
                        </tr>
                        <tr>
                            <th scope="row">{say('readings.added-to-the-soil')}</th>
                            <td className="number">{degrees(found.offset)}</td>
                        </tr>
                        <tr>
                            <th scope="row">{say('common.rate')}</th>
                            <td className="number">
                                {found.rate} {found.rate_fitted ? say('readings.fitted') : say('readings.as-it-was')}
                            </td>
                        </tr>
                    </tbody>
                </table>
                {!found.rate_fitted && <p className="hint">{say('readings.the-rate-is-fitted-from')}</p>}
                {save.isSuccess ? (
                    <p role="status">{say('readings.kept-as-the-zone-is', { name: save.data.name })}</p>
                ) : (
                    <Group align="end" gap="xs" mt="sm">
                        <TextInput
                            size="xs"
                            label={say('readings.keep-it-as-a-site')}
                            value={name}
                            onChange={(event) => setName(event.currentTarget.value)}
                        />
                        <Button size="xs" loading={save.isPending} onClick={keep}>
                            {say('readings.keep-it')}
                        </Button>
                    </Group>
                )}
                <Problem error={save.error} />
            </div>
        </div>
    );
}

const WIDTH = 760;
const HEIGHT = 250;
const LEFT = 56;

function Comparison({ points }: { points: Calibration['points'] }) {
    const days = points.map((p) => Date.parse(p.date) / 86_400_000);
    const values = points.flatMap((p) => [p.reading, p.before, p.after]);
    const [low, high] = temperatureRange(values, { metric: 5, us: 10 });
    const from = Math.min(...days);
    const span = Math.max(1, Math.max(...days) - from);
    const x = (i: number) => LEFT + 6 + ((WIDTH - LEFT - 20) * ((days[i] ?? 0) - from)) / span;
    const y = (celsius: number) => 8 + ((HEIGHT - 36) * (high - celsius)) / Math.max(1, high - low);
    const path = (value: (p: Calibration['points'][number]) => number) =>
        line<Calibration['points'][number]>()
            .x((_, i) => x(i))
            .y((p) => y(value(p)))(points) ?? '';
    return (
        <svg
            className="chart"
            viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
            width="100%"
            role="img"
            aria-label={say('readings.readings-as-daily-means-with')}
        >
            {temperatureTicks(low, high).map((celsius) => (
                <g key={celsius}>
                    <line className="rule" x1={LEFT} x2={WIDTH} y1={y(celsius)} y2={y(celsius)} />
                    <text className="quiet" x={LEFT - 8} y={y(celsius) + 4} textAnchor="end">
                        {say(inCelsius(celsius))}
                    </text>
                </g>
            ))}
            <path d={path((p) => p.before)} fill="none" stroke="var(--stone)" strokeDasharray="4 3" strokeWidth="1.4" />
            <path d={path((p) => p.after)} fill="none" stroke="var(--ink)" strokeWidth="1.6" />
            {points.map((p, i) => (
                <circle
                    key={i}
                    cx={x(i)}
                    cy={y(p.reading)}
                    r="3"
                    fill="var(--paper)"
                    stroke="var(--clay)"
                    strokeWidth="1.4"
                >
                    <title>{`${dateInWords(p.date)}: ${say(asRead(p.reading))}`}</title>
                </circle>
            ))}
            <text className="quiet" x={LEFT} y={HEIGHT - 4}>
                {points[0] && dateInWords(points[0].date)}
            </text>
            <text className="quiet" x={WIDTH} y={HEIGHT - 4} textAnchor="end">
                {dateInWords(points.at(-1)?.date ?? '2001-01-01')}
            </text>
            <text className="quiet" x={WIDTH / 2} y={HEIGHT - 4} textAnchor="middle">
                {say('readings.circles-readings-dashed-model-before')}
            </text>
        </svg>
    );
}
