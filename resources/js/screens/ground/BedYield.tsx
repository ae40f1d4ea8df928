import { useState } from 'react';
import { TakeCsv } from '../../charts/DataTable';
import { inShort } from '../../time/days';
import { Problem } from '../../ui/Problem';
import { MeasureInput } from '../../ui/MeasureInput';
import { labeled } from '../../ui/measure';
import { toUnits, type Measure } from '../../words/units';
import { say, units } from '../../words/words';
import { useSavePrice, useBedYields, type BedYield } from './queries';

/** A column to sort by: its key, and its content; null: not known. */
const COLUMNS = {
    crop: nameOf,
    on: (row: BedYield) => row.on,
    days: (row: BedYield) => row.days,
    share: (row: BedYield) => row.share,
    kilograms: (row: BedYield) => (row.unit === 'kg' ? row.amount : null),
    stems: (row: BedYield) => (row.unit === 'stems' ? row.amount : null),
    price: (row: BedYield) => row.price,
    money: (row: BedYield) => row.price && row.price * row.amount,
    thirst: (row: BedYield) => row.thirst && ['low', 'usual', 'high'].indexOf(row.thirst),
};

type Column = keyof typeof COLUMNS;

const IN_WORDS: Column[] = ['crop', 'on', 'thirst'];

/** What the numbers of a column measure. */
const MEASURES: Partial<Record<Column, Measure>> = { kilograms: 'kg_per_m2' };

function heading(column: Column): string {
    const measure = MEASURES[column];
    return measure ? labeled(say(`worth.column-${column}`), measure) : say(`worth.column-${column}`);
}

function toReader(measure: Measure, value: number | null): number | null {
    return value === null ? null : toUnits(measure, value, units());
}

/** What each crop yields per square meter and week of its space, at the person's own prices: a table to sort, not a verdict. */
export function WorthOfGround({ zone }: { zone: string }) {
    const [open, setOpen] = useState(false);
    return (
        <details className="behind" onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary>{say('worth.heading')}</summary>
            {open && <WorthTable zone={zone} />}
        </details>
    );
}

function WorthTable({ zone }: { zone: string }) {
    const { data, error } = useBedYields(zone);
    const save = useSavePrice(zone);
    const [by, setBy] = useState<{ column: Column; falls: boolean }>({ column: 'crop', falls: false });
    if (!data) return <Problem error={error} />;
    const rows = sorted(data, by.column, by.falls);
    return (
        <>
            <p className="hint">{say('worth.how')}</p>
            <Problem error={save.error} />
            <div className="scroll worth" tabIndex={0}>
                <table className="ruled dense">
                    <thead>
                        <tr>
                            {(Object.keys(COLUMNS) as Column[]).map((column) => (
                                <th
                                    key={column}
                                    scope="col"
                                    className={IN_WORDS.includes(column) ? undefined : 'number'}
                                    aria-sort={column !== by.column ? undefined : by.falls ? 'descending' : 'ascending'}
                                >
                                    <button
                                        type="button"
                                        className="plain"
                                        onClick={() =>
                                            setBy({
                                                column,
                                                // Numbers sort from the largest down.
                                                falls: column === by.column ? !by.falls : !IN_WORDS.includes(column),
                                            })
                                        }
                                    >
                                        {heading(column)}
                                    </button>
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {rows.map((row) => (
                            <tr key={`${row.crop} ${row.variety} ${row.route}`}>
                                <th scope="row">{nameOf(row)}</th>
                                <td className="nowrap">
                                    {say('ground.act-on', { act: say(`act.${row.act}`), day: inShort(row.on) })}
                                </td>
                                <td className="number">{row.days}</td>
                                <td className="number">{say('worth.share', { share: row.share })}</td>
                                <td className="number">{told(toReader('kg_per_m2', COLUMNS.kilograms(row)))}</td>
                                <td className="number">{told(toReader('per_m2', COLUMNS.stems(row)))}</td>
                                <td className="number">
                                    <Price
                                        key={row.price ?? 'none'}
                                        row={row}
                                        onKeep={(price) => save.mutate({ crop: row.crop, price })}
                                    />
                                </td>
                                <td className="number">{told(toReader('per_m2', COLUMNS.money(row)))}</td>
                                <td>{row.thirst && say(`worth.thirst-${row.thirst}`)}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            <TakeCsv
                file={`${zone}-worth`}
                columns={(Object.keys(COLUMNS) as Column[]).map((column) =>
                    MEASURES[column]
                        ? { name: say(`worth.column-${column}`), measure: MEASURES[column] }
                        : say(`worth.column-${column}`),
                )}
                rows={() =>
                    rows.map((row) => [
                        nameOf(row),
                        row.on,
                        row.days,
                        row.share,
                        COLUMNS.kilograms(row),
                        COLUMNS.stems(row),
                        row.price,
                        rounded(COLUMNS.money(row)),
                        row.thirst && say(`worth.thirst-${row.thirst}`),
                    ])
                }
            />
        </>
    );
}

/** What is not known comes last, in either direction. */
export function sorted(rows: BedYield[], column: Column, falls: boolean): BedYield[] {
    const of = COLUMNS[column];
    return [...rows].sort((a, b) => {
        const [x, y] = [of(a), of(b)];
        if (x === null || y === null) return Number(x === null) - Number(y === null);
        const order = typeof x === 'string' ? x.localeCompare(String(y)) : x - Number(y);
        return falls ? -order : order;
    });
}

function Price({ row, onKeep }: { row: BedYield; onKeep: (price: number | null) => void }) {
    const [value, setValue] = useState<number | string>(row.price ?? '');
    const keep = () => {
        const price = value === '' ? null : Number(value);
        if (price !== row.price) onKeep(price);
    };
    return (
        <MeasureInput
            measure={row.unit === 'kg' ? 'price_per_kg' : 'price'}
            size="xs"
            w={80}
            hideControls
            aria-label={say('worth.price-of', { crop: row.name, unit: row.unit })}
            decimalScale={2}
            value={value}
            onChange={setValue}
            onBlur={keep}
            onKeyDown={(event) => event.key === 'Enter' && keep()}
        />
    );
}

function nameOf({ name, variety, route }: BedYield): string {
    return say('worth.crop', { name: [name, variety].filter(Boolean).join(' '), route });
}

function rounded(value: number | null): number | null {
    return value === null ? null : Math.round(100 * value) / 100;
}

function told(value: number | null, digits = units() === 'us' ? 3 : 2): string {
    return value === null ? '' : say('number', { number: Number(value.toFixed(digits)) });
}
