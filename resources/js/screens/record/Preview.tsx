import { say, withMinus } from '../../words/words';
import { Button, Checkbox, Group } from '@mantine/core';
import { useState } from 'react';
import type { RecordPreview } from '../../api/client';
import { dateInWords } from '../../time/days';

const ORDERS = { 'year-first': 'year first', 'day-first': 'day first', 'month-first': 'month first' };

/** Fewer cold seasons than this make a first guess of every date. */
const ENOUGH_SEASONS = 10;

const UNITS = { celsius: '°C', 'tenths-celsius': 'tenths of °C', fahrenheit: '°F' };

/** What was understood of a file, before anything is saved. */
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
    const whole = preview.years.filter((year) => year.complete).length;
    return (
        <section aria-label="What was understood">
            <h2>What was understood of {preview.file.name}</h2>
            <div className="columns">
                <div>
                    <table className="ruled">
                        <tbody>
                            <tr>
                                <th scope="row">Days</th>
                                <td>
                                    {dateInWords(preview.first)} to {dateInWords(preview.last)}, {preview.rows} rows
                                </td>
                            </tr>
                            <tr>
                                <th scope="row">Format</th>
                                <td>
                                    {say(`record-format.${preview.format}`)}
                                    {preview.station !== null && `, station ${preview.station}`}
                                </td>
                            </tr>
                            <tr>
                                <th scope="row">Columns</th>
                                <td>
                                    date “{preview.columns.date}”, minimum “{preview.columns.minimum}”, maximum “
                                    {preview.columns.maximum}”,{' '}
                                    {preview.delimiter === null ? 'of fixed width' : `parted by ${preview.delimiter}`}
                                </td>
                            </tr>
                            <tr>
                                <th scope="row">Dates</th>
                                <td>read with the {ORDERS[preview.date_order]}</td>
                            </tr>
                            <tr>
                                <th scope="row">Unit</th>
                                <td>
                                    {UNITS[preview.unit]},{' '}
                                    {preview.unit_stated ? 'as the file says' : 'concluded from the values'}
                                </td>
                            </tr>
                            {preview.update && (
                                <tr>
                                    <th scope="row">Against the record in use</th>
                                    <td>{updateInWords(preview.update)}</td>
                                </tr>
                            )}
                            <tr>
                                <th scope="row">Years</th>
                                <td>
                                    {preview.years.length}, of which {whole} without a missing day
                                </td>
                            </tr>
                            <tr>
                                <th scope="row">Longer gaps</th>
                                <td>
                                    {preview.gaps.length === 0
                                        ? 'none'
                                        : preview.gaps
                                              .map((gap) => `${gap.days} days from ${dateInWords(gap.first)}`)
                                              .join('; ')}
                                </td>
                            </tr>
                            <tr>
                                <th scope="row">First days, °C</th>
                                <td>
                                    {preview.sample
                                        .map((day) => withMinus(`${day.minimum ?? '–'} / ${day.maximum ?? '–'}`))
                                        .join(', ')
                                        }
                                </td>
                            </tr>
                        </tbody>
                    </table>
                    {preview.cold_seasons < ENOUGH_SEASONS && (
                        <p className="warning">
                            {preview.cold_seasons === 0
                                ? 'There is no complete cold season in it, so no date can be worked out.'
                                : say('preview.few-seasons', { seasons: preview.cold_seasons })}
                        </p>
                    )}
                    {preview.doubtful && (
                        <div className="warning">
                            <p>
                                {2 * preview.contradicted > preview.rows / 2
                                    ? `${preview.contradicted} days are given twice with different values. Are these rows of two places? If a column names them, choose it above.`
                                    : 'Most values of the days both have are different. Is this file of the same station, in the same unit? If not, choose another station above, or cancel.'}
                            </p>
                            <Checkbox
                                label="It is of this station, and in this unit"
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
                            Import and compute
                        </Button>
                        <Button variant="subtle" color="gray" onClick={onLeave}>
                            Cancel
                        </Button>
                    </Group>
                </div>
                <div>
                    <Completeness years={preview.years} />
                    {preview.refused_count > 0 && (
                        <>
                            <h3>Rows that cannot be read and will be left out: {preview.refused_count}</h3>
                            <table className="ruled">
                                <tbody>
                                    {preview.refused.slice(0, 8).map((row) => (
                                        <tr key={`${row.line}${row.column}`}>
                                            <td>line {row.line}</td>
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
                                Doubtful values{preview.update && ' of the record so updated'}, kept and not used:{' '}
                                {preview.marks_count}
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
                </div>
            </div>
        </section>
    );
}

/** A column a year, as high as the share of its days that are on record. */
function Completeness({ years }: { years: RecordPreview['years'] }) {
    const width = 560;
    const step = width / Math.max(1, years.length);
    const every = Math.ceil(40 / step);
    return (
        <svg className="chart" viewBox={`0 0 ${width} 66`} width="100%" role="img" aria-label="Days on record by year">
            <text x={0} y={10} className="quiet">
                days on record by year
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
                        <title>{`${year.year}: ${year.days} days`}</title>
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
    return `${update.new} values new, ${update.changed} changed, ${update.unchanged} the same, ${update.kept} only in the record`;
}
