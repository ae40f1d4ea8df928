import { useState } from 'react';
import { Action } from '../ui/Action';
import { say } from '../words/words';
import type { Act, LogBook } from './book';
import { Choices } from './Choices';
import { Field, Figure, Measured, Pair, Tick, Words } from './controls';

/** The fields of an entry, as typed. */
export type Fields = {
    crop: string | null;
    sowing: string | null;
    cue: number | null;
    variety: string;
    garden: string;
    bed: string;
    on: string;
    under_cover: boolean;
    lot: string;
    metres: number | string;
    plants: number | string;
    kilograms: number | string;
    stems: number | string;
    quality: string | null;
    cause: string | null;
    celsius: number | string;
    depth: number | string;
    mm: number | string;
    text: string;
    plot: number | null;
};

type Part = { fields: Fields; set: (part: Partial<Fields>) => void };

const QUALITIES = ['3', '2', '1'];

/** How much was sown, of which variety and seed. */
export function CropFields({ book, fields, set }: Part & { book: LogBook }) {
    const varieties = book.crops.find((crop) => crop.slug === fields.crop)?.varieties ?? [];
    const [more, setMore] = useState(!!fields.lot || (!!fields.variety && !varieties.includes(fields.variety)));
    return (
        <>
            {varieties.length > 0 && (
                <Choices
                    label={say('log.variety')}
                    chosen={fields.variety || null}
                    onChoose={(variety) => set({ variety: variety === fields.variety ? '' : variety })}
                    options={varieties.map((name) => ({ value: name, label: name }))}
                />
            )}
            <Pair>
                <Measured
                    measure="m"
                    label={say('log.metres')}
                    value={fields.metres}
                    onChange={(metres) => set({ metres })}
                />
                <Tick
                    label={say('log.under-cover')}
                    checked={fields.under_cover}
                    onChange={(event) => set({ under_cover: event.currentTarget.checked })}
                />
            </Pair>
            {more ? (
                <Pair>
                    <Field
                        label={say('log.other-variety')}
                        maxLength={80}
                        value={fields.variety}
                        onChange={(event) => set({ variety: event.currentTarget.value })}
                    />
                    <Field
                        label={say('log.lot')}
                        maxLength={80}
                        value={fields.lot}
                        onChange={(event) => set({ lot: event.currentTarget.value })}
                    />
                </Pair>
            ) : (
                <Action onClick={() => setMore(true)}>{say('log.other-variety-or-lot')}</Action>
            )}
        </>
    );
}

/** What a harvest yielded, and how good it was. */
export function Picked({ fields, set }: Part) {
    return (
        <>
            <Pair>
                <Measured
                    measure="kg"
                    label={say('log.kilograms')}
                    value={fields.kilograms}
                    onChange={(kilograms) => set({ kilograms })}
                />
                <Figure
                    label={say('log.stems')}
                    value={fields.stems}
                    min={0}
                    step={1}
                    onChange={(stems) => set({ stems })}
                />
            </Pair>
            <Choices
                label={say('log.quality')}
                chosen={fields.quality}
                onChoose={(quality) => set({ quality: quality === fields.quality ? null : quality })}
                options={QUALITIES.map((quality) => ({ value: quality, label: say(`log.quality-${quality}`) }))}
            />
        </>
    );
}

/** A thermometer that has settled, and its depth. */
export function ReadingFields({ fields, set }: Part) {
    return (
        <>
            <p className="hint">{say('log.wait-until-it-settles')}</p>
            <Pair>
                <Measured
                    measure="celsius"
                    label={say('log.celsius')}
                    value={fields.celsius}
                    step={0.1}
                    onChange={(celsius) => set({ celsius })}
                />
                <Measured
                    measure="cm"
                    label={say('log.depth')}
                    value={fields.depth}
                    onChange={(depth) => set({ depth })}
                />
            </Pair>
        </>
    );
}

/** Water that was given, or that a gauge caught. */
export function WaterFields({ fields, set, act }: Part & { act: Act }) {
    return (
        <>
            <Measured
                measure="mm"
                label={say(act === 'gauge' ? 'log.caught' : 'log.water-given')}
                value={fields.mm}
                onChange={(mm) => set({ mm })}
            />
            <p className="hint">{say(act === 'gauge' ? 'log.empty-the-gauge' : 'log.water-care')}</p>
        </>
    );
}

/** Where it was: a known bed, or a new one by name. */
export function Place({ book, fields, set }: Part & { book: LogBook }) {
    const known = book.beds.some((bed) => bed.garden === fields.garden && bed.name === fields.bed);
    const gardens = new Set(book.beds.map((bed) => bed.garden));
    const [naming, setNaming] = useState(book.beds.length === 0 || (fields.bed !== '' && !known));
    return (
        <>
            {book.beds.length > 0 && (
                <Choices
                    label={gardens.size === 1 ? say('log.where-in', { garden: [...gardens][0] }) : say('log.where')}
                    chosen={known ? `${fields.garden}\n${fields.bed}` : null}
                    onChoose={(chosen) => {
                        const [garden = '', bed = ''] = chosen.split('\n');
                        set({ garden, bed });
                        setNaming(false);
                    }}
                    options={book.beds.map((bed) => ({
                        value: `${bed.garden}\n${bed.name}`,
                        label: gardens.size === 1 ? bed.name : `${bed.name}, ${bed.garden}`,
                    }))}
                />
            )}
            {naming ? (
                <Pair>
                    <Field
                        label={say('log.garden')}
                        maxLength={80}
                        value={fields.garden}
                        onChange={(event) => set({ garden: event.currentTarget.value })}
                    />
                    <Field
                        label={say('log.bed')}
                        maxLength={80}
                        value={fields.bed}
                        onChange={(event) => set({ bed: event.currentTarget.value })}
                    />
                </Pair>
            ) : (
                <Action onClick={() => setNaming(true)}>{say('log.another-bed')}</Action>
            )}
        </>
    );
}

/** When it was, if not today, and any notes. */
export function When({ day, fields, set, act }: Part & { day: string; act: Act }) {
    const [open, setOpen] = useState(fields.on !== day || fields.text !== '' || act === 'note');
    if (!open) {
        return (
            <p>
                <Action onClick={() => setOpen(true)}>{say('log.another-day-or-words')}</Action>
            </p>
        );
    }
    return (
        <>
            <Field
                type="date"
                label={say('log.day')}
                value={fields.on}
                max={day}
                onChange={(event) => set({ on: event.currentTarget.value })}
            />
            <Words
                label={say('log.words')}
                maxLength={2000}
                value={fields.text}
                onChange={(event) => set({ text: event.currentTarget.value })}
            />
        </>
    );
}
