import { say, withMinus, units } from '../../words/words';
import { toUnits } from '../../words/units';
import { Button, Checkbox, Group } from '@mantine/core';
import { useState } from 'react';
import type { RecordPreview } from '../../api/client';
import { dateInWords } from '../../time/days';

const ORDERS = {
    'year-first': say('common.year-first'),
    'day-first': say('common.day-first'),
    'month-first': say('common.month-first'),
};

/** With fewer cold seasons than this, every date is preliminary. */
const ENOUGH_SEASONS = 10;

const UNITS = { celsius: '°C', 'tenths-celsius': say('common.tenths-of-c'), fahrenheit: '°F' };

/** How a file was read, before anything is saved. */
export function Preview({
    preview,
    busy,
    onKeep,
    onLeave,
}: {
    preview: RecordPreview;
    busy: boolean;
    onKeep: (confirmed: boolean) => void;
    onLeave: () => void;
}) {
    const [confirmed, setConfirmed] = useState(false);
    return (
        <section aria-label={say('preview.what-was-understood')}>
            <h2>{say('preview.what-was-understood-of', { name: preview.file.name })}</h2>
            <div className="columns">
                <div>
                    <Understood preview={preview} />
                    {preview.cold_seasons < ENOUGH_SEASONS && (
                        <p className="warning">
                            {preview.cold_seasons === 0
                                ? say('preview.there-is-no-complete-cold')
                                : say('preview.few-seasons', { seasons: preview.cold_seasons })}
                        </p>
                    )}
                    {preview.doubtful && (
                        <div className="warning">
                            <p>
                                {2 * preview.contradicted > preview.rows / 2
                                    ? say('preview.days-are-given-twice-with', { contradicted: preview.contradicted })
                                    : say('preview.most-values-of-the-days')}
                            </p>
                            <Checkbox
                                label={say('preview.it-is-of-this-station')}
                                checked={confirmed}
                                onChange={(event) => setConfirmed(event.currentTarget.checked)}
                            />
                        </div>
                    )}
                    <Group mt="md">
                        <Button
                            onClick={() => onKeep(confirmed)}
                            loading={busy}
                            disabled={preview.doubtful && !confirmed}
                        >
                            {say('preview.import-and-compute')}
                        </Button>
                        <Button variant="subtle" color="gray" onClick={onLeave}>
                            {say('common.cancel')}
                        </Button>
                    </Group>
                </div>
                <div>
                    <Completeness years={preview.years} />
                    <LeftOut preview={preview} />
                </div>
            </div>
        </section>
    );
}

function Understood({ preview }: { preview: RecordPreview }) {
    const whole = preview.years.filter((year) => year.complete).length;
    return (
        <table className="ruled">
            <tbody>
                <tr>
                    <th scope="row">{say('common.days')}</th>
                    <td>
                        {say('preview.to-rows', {
                            first: dateInWords(preview.first),
                            last: dateInWords(preview.last),
                            rows: preview.rows,
                        })}
                    </td>
                </tr>
                <tr>
                    <th scope="row">{say('preview.format')}</th>
                    <td>
                        {say(`record-format.${preview.format}`)}
                        {preview.station !== null && say('preview.station', { station: preview.station })}
                    </td>
                </tr>
                <tr>
                    <th scope="row">{say('preview.columns')}</th>
                    <td>
                        {say('preview.date-minimum-maximum', {
                            date: preview.columns.date,
                            minimum: preview.columns.minimum,
                            maximum: preview.columns.maximum,
                            value:
                                preview.delimiter === null
                                    ? say('preview.of-fixed-width')
                                    : say('preview.parted-by', { delimiter: preview.delimiter }),
                        })}
                    </td>
                </tr>
                <tr>
                    <th scope="row">{say('common.dates')}</th>
                    <td>{say('preview.read-with-the', { orders: ORDERS[preview.date_order] })}</td>
                </tr>
                <tr>
                    <th scope="row">{say('common.unit')}</th>
                    <td>
                        {UNITS[preview.unit]},{' '}
                        {preview.unit_stated
                            ? say('preview.as-the-file-says')
                            : say('preview.concluded-from-the-values')}
                    </td>
                </tr>
                {(['rain', 'snow'] as const).map((what) => {
                    const depth = preview.depths[what];
                    return (
                        depth && (
                            <tr key={what}>
                                <th scope="row">{say(`preview.${what}`)}</th>
                                <td>
                                    {say('preview.depth', {
                                        column: depth.column,
                                        unit: say(`depth-unit.${depth.unit}`),
                                    })}
                                    ,{' '}
                                    {depth.stated
                                        ? say('preview.as-the-file-says')
                                        : say('preview.as-goes-with-the-temperatures')}
                                </td>
                            </tr>
                        )
                    );
                })}
                {preview.update && (
                    <tr>
                        <th scope="row">{say('preview.against-the-record-in-use')}</th>
                        <td>{updateInWords(preview.update)}</td>
                    </tr>
                )}
                <tr>
                    <th scope="row">{say('preview.years')}</th>
                    <td>{say('preview.of-which-without-a-missing', { years: preview.years.length, whole })}</td>
                </tr>
                <tr>
                    <th scope="row">{say('preview.longer-gaps')}</th>
                    <td>
                        {preview.gaps.length === 0
                            ? say('common.none')
                            : preview.gaps
                                  .map((gap) =>
                                      say('preview.days-from', {
                                          days: gap.days,
                                          first: dateInWords(gap.first),
                                      }),
                                  )
                                  .join('; ')}
                    </td>
                </tr>
                <tr>
                    <th scope="row">{say('preview.first-days-temperature')}</th>
                    <td>{preview.sample.map((day) => `${shown(day.minimum)} / ${shown(day.maximum)}`).join(', ')}</td>
                </tr>
            </tbody>
        </table>
    );
}

function shown(celsius: number | null): string {
    return celsius === null ? '–' : withMinus(String(toUnits('celsius', celsius, units())));
}

/** Rows that cannot be read, and values that are kept but not used. */
function LeftOut({ preview }: { preview: RecordPreview }) {
    return (
        <>
            {preview.refused_count > 0 && (
                <>
                    <h3>{say('preview.rows-that-cannot-be-read', { refused_count: preview.refused_count })}</h3>
                    <table className="ruled">
                        <tbody>
                            {preview.refused.slice(0, 8).map((row) => (
                                <tr key={`${row.line}${row.column}`}>
                                    <td>{say('preview.line', { line: row.line })}</td>
                                    <td>{row.column}</td>
                                    <td>{say(row.phrase)}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </>
            )}
            {preview.marks_count > 0 && (
                <>
                    <h3>
                        {say('preview.doubtful-values-kept-and-not', {
                            update: preview.update && ' ' + say('preview.of-the-record-so-updated'),
                            marks_count: preview.marks_count,
                        })}
                    </h3>
                    <table className="ruled">
                        <tbody>
                            {preview.marks.slice(0, 10).map((mark) => (
                                <tr key={mark.date + mark.element + mark.rule}>
                                    <td>{dateInWords(mark.date)}</td>
                                    <td>{mark.element}</td>
                                    <td>{say(`quality.${mark.rule}`)}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </>
            )}
        </>
    );
}

/** One column per year, as tall as the share of its days that are on record. */
function Completeness({ years }: { years: RecordPreview['years'] }) {
    const width = 560;
    const step = width / Math.max(1, years.length);
    const every = Math.ceil(40 / step);
    return (
        <svg
            className="chart"
            viewBox={`0 0 ${width} 66`}
            width="100%"
            role="img"
            aria-label={say('preview.days-on-record-by-year')}
        >
            <text x={0} y={10} className="quiet">
                {say('preview.days-on-record-by-year-2')}
            </text>
            <line className="rule" x1={0} x2={width} y1={16} y2={16} />
            <line className="ink" x1={0} x2={width} y1={50} y2={50} />
            {years.map((year, i) => (
                <g key={year.year}>
                    <rect
                        x={i * step + 1}
                        width={Math.max(1, step - 2)}
                        y={50 - (34 * year.days) / 366}
                        height={(34 * year.days) / 366}
                        fill="var(--stone)"
                    >
                        <title>{say('preview.days', { year: year.year, days: year.days })}</title>
                    </rect>
                    {i % every === 0 && (
                        <text
                            x={i === 0 ? 1 : i * step + step / 2}
                            y={63}
                            textAnchor={i === 0 ? 'start' : 'middle'}
                            className="quiet"
                        >
                            {year.year}
                        </text>
                    )}
                </g>
            ))}
        </svg>
    );
}

/** "730 values new, 2 changed, 21 170 the same, 0 only in the record". */
export function updateInWords(update: NonNullable<RecordPreview['update']>): string {
    return say('preview.values-new-changed-the-same', {
        new: update.new,
        changed: update.changed,
        unchanged: update.unchanged,
        kept: update.kept,
    });
}
