import { say } from '../../words/words';
import { Group, NativeSelect } from '@mantine/core';
import type { ReadingChoices, Schema } from '../../api/client';

const UNITS = [
    { value: '', label: say('layout.as-found') },
    { value: 'celsius', label: '°C' },
    { value: 'fahrenheit', label: '°F' },
    { value: 'tenths-celsius', label: say('common.tenths-of-c') },
];

const ORDERS = [
    { value: '', label: say('layout.as-found') },
    { value: 'year-first', label: say('common.year-first') },
    { value: 'day-first', label: say('common.day-first') },
    { value: 'month-first', label: say('common.month-first') },
];

const WATER = ['rain', 'snow'] as const;

const DEPTHS = [
    { value: '', label: say('layout.as-found') },
    ...(['mm', 'tenths-mm', 'cm', 'in'] as const).map((unit) => ({ value: unit, label: say(`depth-unit.${unit}`) })),
];

const COLUMNS = ['date', 'minimum', 'maximum'] as const;

/** Columns to choose from if the file could not be read far enough to name them. */
const UNNAMED = Array.from({ length: 12 }, (_, i) => say('layout.column', { i: i + 1 }));

/** For when a person knows better than the file: units, order of dates, columns. */
export function Layout({
    names,
    stations,
    station,
    depths,
    hasRecord,
    choices,
    onChange,
}: {
    names: string[];
    /** those in the file, if it has several to choose from */
    stations: { station: string; first: string; last: string }[];
    station: string | null;
    /** rain and snow, if the file has them */
    depths: Schema['RecordPreview']['depths'];
    hasRecord: boolean;
    choices: ReadingChoices;
    onChange: (choices: ReadingChoices) => void;
}) {
    const columns = (names.length > 0 ? names : UNNAMED).map((name, i) => ({ value: String(i), label: name }));
    const chosen = choices.columns;
    const choose = (what: (typeof COLUMNS)[number], value: string) => {
        if (value === '') {
            onChange({ ...choices, columns: undefined });
            return;
        }
        // Three columns are chosen together; the others start with the first ones still free.
        const next = { ...(chosen ?? free(Number(value), what)), [what]: Number(value) };
        onChange({ ...choices, columns: next });
    };
    return (
        <Group mt="xs" gap="sm" align="end" aria-label={say('layout.layout-of-the-file')} role="group">
            {stations.length > 1 && (
                <NativeSelect
                    size="xs"
                    label={say('layout.station-one-of-in-the', { stations: stations.length })}
                    value={station ?? ''}
                    onChange={(event) => onChange({ ...choices, station: event.currentTarget.value })}
                    data={stations.map((s) => ({
                        value: s.station,
                        label: say('layout.to', {
                            station: s.station,
                            first: s.first.slice(0, 4),
                            last: s.last.slice(0, 4),
                        }),
                    }))}
                />
            )}
            {hasRecord && (
                <NativeSelect
                    size="xs"
                    label={say('layout.record-in-use')}
                    data={[
                        { value: '', label: say('layout.is-updated') },
                        { value: 'replace', label: say('layout.is-replaced') },
                    ]}
                    value={choices.replace ? 'replace' : ''}
                    onChange={(event) => onChange({ ...choices, replace: event.currentTarget.value === 'replace' })}
                />
            )}
            <NativeSelect
                size="xs"
                label={say('common.unit')}
                data={UNITS}
                value={choices.unit ?? ''}
                onChange={(event) =>
                    onChange({ ...choices, unit: (event.currentTarget.value || undefined) as ReadingChoices['unit'] })
                }
            />
            <NativeSelect
                size="xs"
                label={say('common.dates')}
                data={ORDERS}
                value={choices.date_order ?? ''}
                onChange={(event) =>
                    onChange({
                        ...choices,
                        date_order: (event.currentTarget.value || undefined) as ReadingChoices['date_order'],
                    })
                }
            />
            <NativeSelect
                size="xs"
                label={say('layout.column-places')}
                data={[{ value: '', label: say('layout.as-found') }, { value: '-1', label: 'none' }, ...columns]}
                value={choices.places === undefined ? '' : String(choices.places)}
                onChange={(event) =>
                    onChange({
                        ...choices,
                        station: undefined,
                        places: event.currentTarget.value === '' ? undefined : Number(event.currentTarget.value),
                    })
                }
            />
            <Depths depths={depths} choices={choices} onChange={onChange} />
            {COLUMNS.map((what) => (
                <NativeSelect
                    key={what}
                    size="xs"
                    label={say('layout.column-2', { what })}
                    data={[{ value: '', label: say('layout.as-found') }, ...columns]}
                    value={chosen ? String(chosen[what]) : ''}
                    onChange={(event) => choose(what, event.currentTarget.value)}
                />
            ))}
        </Group>
    );
}

/** The units of rain and snow, if the file has them; without one in the heading, they follow from the temperatures'. */
function Depths({
    depths,
    choices,
    onChange,
}: {
    depths: Schema['RecordPreview']['depths'];
    choices: ReadingChoices;
    onChange: (choices: ReadingChoices) => void;
}) {
    return WATER.filter((what) => depths[what]).map((what) => (
        <NativeSelect
            key={what}
            size="xs"
            label={say(`layout.unit-of-${what}`)}
            data={DEPTHS}
            value={choices[`${what}_unit`] ?? ''}
            onChange={(event) => onChange({ ...choices, [`${what}_unit`]: event.currentTarget.value || undefined })}
        />
    ));
}

function free(taken: number, what: (typeof COLUMNS)[number]): { date: number; minimum: number; maximum: number } {
    const others = [0, 1, 2, 3].filter((column) => column !== taken);
    const columns = { date: 0, minimum: 0, maximum: 0 };
    for (const other of COLUMNS) columns[other] = other === what ? taken : (others.shift() ?? 0);
    return columns;
}
