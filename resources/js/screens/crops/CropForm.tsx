import { Action } from '../../ui/Action';
import { Button, Checkbox, Group, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useWidth } from '../../charts/useWidth';
import { useState } from 'react';
import { Refusal, type Schema } from '../../api/client';
import { cropDraft, useCrop, useCropColumns, useCropTrial, useRevertCrop, useSaveCrop } from './queries';
import { useZoneToBegin } from '../../access/session';
import { useZones } from '../../api/zones';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';
import { Translated } from '../../ui/Translated';
import { dateInWords, spanInShort } from '../../time/days';
import { Hatches } from '../../charts/Hatches';
import { Brackets } from '../../charts/Brackets';
import { OutcomeRibbon } from '../../charts/OutcomeRibbon';
import { yearScale } from '../../time/yearScale';
import { asKept, asRead, changeInWords, labelOf, meaning, sections, type Column } from './columns';
import { say } from '../../words/words';
import { Varieties } from './Varieties';

type CropNumber = Schema['Crop']['numbers'][string];

const NOTHING = { changes: {} as Record<string, string>, note: '' };

/** A crop's numbers, with what a change would do to its ribbon in a zone before it is saved. */
export function CropForm({ slug, mayEdit }: { slug: string; mayEdit: boolean }) {
    const { data: crop, error } = useCrop(slug);
    const { data: columns } = useCropColumns();
    const { data: zones } = useZones();
    const [typed, type, forget] = useKept(cropDraft(slug), NOTHING);
    const { changes, note } = typed;
    const [zone, setZone] = useState('');
    const [onlyDifferent, setOnlyDifferent] = useState(false);
    const save = useSaveCrop(slug);
    const revert = useRevertCrop(slug);
    const [tried] = useDebouncedValue(changes, 300);
    const computed = (zones ?? []).filter((z) => z.record);
    const begin = useZoneToBegin(computed);
    const at = zone || begin || '';
    const trial = useCropTrial(slug, at, mayEdit ? tried : {});
    if (error) return <Problem error={error} />;
    if (!crop || !columns) return null;
    const errors = {
        ...(trial.error instanceof Refusal ? trial.error.errors : {}),
        ...(save.error instanceof Refusal ? save.error.errors : {}),
    };
    const different = new Set(
        Object.entries(crop.numbers)
            .filter(([, number]) => number.basis === 'office')
            .map(([column]) => column),
    );
    const isShown = (column: Column) => !onlyDifferent || different.has(column.column) || column.column in changes;
    const changed = Object.entries(changes).filter(([column, cell]) => crop.cells[column] !== cell);
    return (
        <>
            <h2>{crop.cells.name}</h2>
            <p className="hint">
                {crop.days
                    .map((d) =>
                        say('crop-form.days-to-harvest', {
                            value: d.route === 'direct' ? say('crop-form.sown') : say('crop-form.set-out'),
                            days: d.days,
                            words: say(d.phrase),
                        }),
                    )
                    .join('. ')}
                .
            </p>
            <Translated texts={[crop.cells.name, crop.cells.notes, crop.cells.also_called].map((text) => text ?? '')} />
            {mayEdit && trial.data && (
                <Trial trial={trial.data} zone={at} zones={computed} onZone={setZone} tried={changed.length > 0} />
            )}
            <form
                onSubmit={(event) => {
                    event.preventDefault();
                    save.mutate(
                        { cells: Object.fromEntries(changed), note, version: crop.version },
                        {
                            onSuccess: forget,
                        },
                    );
                }}
            >
                {changed.length > 0 && (
                    <Pending
                        changes={changed.map(([column, cell]) => changeInWords(column, crop.cells[column], cell))}
                        note={note}
                        error={errors.note?.[0]}
                        saving={save.isPending}
                        onNote={(text) => type({ ...typed, note: text })}
                        onCancel={forget}
                    />
                )}
                <Problem error={save.error ?? revert.error} />
                <Checkbox
                    mt="sm"
                    size="xs"
                    label={say('crop-form.only-different', { numbers: different.size })}
                    checked={onlyDifferent}
                    onChange={(event) => setOnlyDifferent(event.currentTarget.checked)}
                />
                {sections(columns.filter(isShown)).map((section) => (
                    <fieldset key={section.group}>
                        <legend>{section.title}</legend>
                        <p className="hint">{say(`crop-group.${section.group}.what`)}</p>
                        <div className="cells">
                            {section.columns.map((column) =>
                                mayEdit ? (
                                    <CellInput
                                        key={column.column}
                                        column={column}
                                        from={crop.numbers[column.column]}
                                        cell={changes[column.column] ?? crop.cells[column.column] ?? ''}
                                        error={errors[`cells.${column.column}`]?.[0]}
                                        onChange={(cell) =>
                                            type({ ...typed, changes: { ...changes, [column.column]: cell } })
                                        }
                                    />
                                ) : (
                                    <p key={column.column}>
                                        <strong>{labelOf(column.column)}</strong>{' '}
                                        {asRead(column.column, crop.cells[column.column] ?? '') || '–'}
                                        <br />
                                        <small className="hint">
                                            {meaning(column)}. {basisInWords(column, crop.numbers[column.column])}
                                        </small>
                                    </p>
                                ),
                            )}
                        </div>
                    </fieldset>
                ))}
            </form>
            <Varieties crop={crop} mayEdit={mayEdit} />
            <History crop={crop} mayEdit={mayEdit} revert={revert} />
        </>
    );
}

/** What is about to be saved, and why. */
function Pending({
    changes,
    note,
    error,
    saving,
    onNote,
    onCancel,
}: {
    changes: string[];
    note: string;
    error: string | undefined;
    saving: boolean;
    onNote: (note: string) => void;
    onCancel: () => void;
}) {
    return (
        <div className="pending">
            <p>{changes.join('; ')}</p>
            <Group align="end" gap="xs">
                <TextInput
                    size="xs"
                    label={say('crop-form.why-and-where-the-number')}
                    required
                    miw={340}
                    maxLength={500}
                    value={note}
                    error={error}
                    onChange={(event) => onNote(event.currentTarget.value)}
                />
                <Button size="xs" type="submit" loading={saving}>
                    {say('common.save')}
                </Button>
                <Button size="xs" variant="subtle" color="gray" onClick={onCancel}>
                    {say('common.cancel')}
                </Button>
            </Group>
        </div>
    );
}

/** How sure a number is and, for one the office changed, what the table that ships says. */
function basisInWords({ column }: Column, from: CropNumber | undefined): string {
    if (!from) return '';
    return from.basis === 'office' && from.shipped !== null
        ? say('basis.office-instead', { shipped: asRead(column, from.shipped) || say('crop-change.blank') })
        : say(`basis.${from.basis}`);
}

/** A cell, read and typed in the person's units. */
function CellInput({
    column,
    from,
    cell,
    error,
    onChange,
}: {
    column: Column;
    from: CropNumber | undefined;
    cell: string;
    error: string | undefined;
    onChange: (cell: string) => void;
}) {
    const [last, setLast] = useState<{ typed: string; cell: string }>();
    return (
        <TextInput
            size="xs"
            label={labelOf(column.column)}
            description={[meaning(column), basisInWords(column, from)].filter(Boolean).join('. ')}
            title={from?.source ?? undefined}
            inputWrapperOrder={['label', 'input', 'description', 'error']}
            value={last?.cell === cell ? last.typed : asRead(column.column, cell)}
            error={error}
            onChange={(event) => {
                const typed = event.currentTarget.value;
                setLast({ typed, cell: asKept(column.column, typed) });
                onChange(asKept(column.column, typed));
            }}
        />
    );
}

/** What was changed, by whom, and why; each version can be restored. */
function History({
    crop,
    mayEdit,
    revert,
}: {
    crop: Schema['Crop'];
    mayEdit: boolean;
    revert: ReturnType<typeof useRevertCrop>;
}) {
    return (
        <>
            <h3>{say('crop-form.history')}</h3>
            {crop.revisions.length === 0 && <p className="hint">{say('crop-form.it-has-never-been-changed')}</p>}
            {crop.revisions.length > 0 && (
                <table className="ruled">
                    <tbody>
                        {crop.revisions.map((revision) => (
                            <tr key={revision.id}>
                                <td>
                                    {dateInWords(revision.at.slice(0, 10))}, {revision.by}
                                </td>
                                <td>
                                    {revision.changed.map((c) => changeInWords(c.column, c.before, c.after)).join('; ')}
                                </td>
                                <td>{revision.note}</td>
                                <td>
                                    {mayEdit && (
                                        <Action
                                            onClick={() =>
                                                revert.mutate({ revision: revision.id, version: crop.version })
                                            }
                                        >
                                            {say('crop-form.restore')}
                                        </Action>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
        </>
    );
}

const HEIGHT = 34;

/** The ribbon as it is, and as it would be. */
function Trial({
    trial,
    zone,
    zones,
    onZone,
    tried,
}: {
    trial: Schema['CropTrial'];
    zone: string;
    zones: { slug: string; name: string }[];
    onZone: (zone: string) => void;
    tried: boolean;
}) {
    const { ref, width } = useWidth();
    const scale = yearScale(trial.starts, Math.max(300, (width || 700) - 112));
    const rows = trial.after.flatMap((after) => {
        const before = trial.before.find((b) => b.route === after.route);
        return tried && before
            ? [
                  { name: say('crop-form.now', { act: say(`act.${before.act}`) }), route: before },
                  { name: say('crop-form.then', { act: say(`act.${after.act}`) }), route: after },
              ]
            : [{ name: say(`act.${after.act}`), route: after }];
    });
    return (
        <div ref={ref}>
            <Hatches />
            <p className="hint">
                {say('common.in')}{' '}
                <select
                    aria-label={say('common.zone')}
                    value={zone}
                    onChange={(event) => onZone(event.currentTarget.value)}
                >
                    {zones.map((z) => (
                        <option key={z.slug} value={z.slug}>
                            {z.name}
                        </option>
                    ))}
                </select>
                {tried ? say('crop-form.as-it-is-now-and') : ''}:
            </p>
            <svg
                className="chart"
                width="100%"
                height={16 + rows.length * (HEIGHT + 14)}
                role="img"
                aria-label={say('crop-form.outcome-ribbons')}
            >
                <g transform="translate(106 0)">
                    {scale.months.map((month) => (
                        <g key={month.name}>
                            <line
                                className="rule"
                                x1={month.x}
                                x2={month.x}
                                y1={0}
                                y2={rows.length * (HEIGHT + 14) + 12}
                            />
                            <text className="quiet" x={month.x + 3} y={9} fontSize="10">
                                {month.short}
                            </text>
                        </g>
                    ))}
                    {rows.map(({ name, route }, i) => (
                        <g key={name} transform={`translate(0 ${16 + i * (HEIGHT + 14)})`}>
                            <text className="quiet" x={-10} y={24} textAnchor="end">
                                {name}
                            </text>
                            <OutcomeRibbon
                                scale={scale}
                                ribbon={route.ribbon}
                                starts={trial.starts}
                                top={8}
                                height={HEIGHT}
                                step={1}
                            />
                            <Brackets
                                scale={scale}
                                spans={route.windows}
                                at={2}
                                drop={7}
                                name="bracket"
                                act={say(`act.${route.act}`)}
                            />
                            <title>{`${name}: ${route.windows.map(spanInShort).join(', ') || say('common.no-window')}`}</title>
                        </g>
                    ))}
                </g>
            </svg>
        </div>
    );
}
