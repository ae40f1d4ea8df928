import { useState } from 'react';
import type { Schema } from '../api/client';
import { inShort as dayInShort } from '../time/days';
import { Action } from '../ui/Action';
import { Problem } from '../ui/Problem';
import { say, usualDepth } from '../words/words';
import {
    cautionsFor,
    cropsFor,
    follows,
    isOfBed,
    isPicking,
    sowingsFor,
    type Act,
    type LogBook,
    type LoggedEntry,
    type Sowing,
} from './book';
import { Choices } from './Choices';
import { CropFields, Place, Picked, ReadingFields, WaterFields, When, type Fields } from './fields';
import { smaller } from './photo';
import type { WaitingLine } from './store';
import { Press } from './controls';

/** What is being written: a task, and what is known about it already. */
export type Draft = {
    act: Act;
    entry?: Partial<LoggedEntry>;
    /** key of the entry on the server that it replaces */
    corrects?: string;
    /** the waiting entry that is being edited */
    line?: WaitingLine;
    refused?: { field: string; message: string };
};

const CAUSES = ['cold', 'frost', 'heat', 'pests', 'drowned', 'dried-out', 'other'];

/** What a plot of a trial needs, as an entry. */
export function plotLine(plot: Schema['PlotDue']): Partial<LoggedEntry> {
    return {
        crop: plot.crop,
        variety: plot.variety,
        plot: plot.plot,
        garden: plot.bed?.garden ?? null,
        bed: plot.bed?.name ?? null,
    };
}

/** One entry: what and where, with likely answers first, in large type, for a thumb. */
export function Write({
    book,
    day,
    newer,
    draft,
    onKeep,
    onBack,
}: {
    book: LogBook;
    day: string;
    /** entries of the zone that its book does not have */
    newer: LoggedEntry[];
    draft: Draft;
    onKeep: (entry: LoggedEntry, photo: ArrayBuffer | null) => Promise<void>;
    onBack: () => void;
}) {
    const { act } = draft;
    const sowings = useSteady(
        sowingsFor(
            act,
            book,
            newer.filter((line) => line.key !== draft.line?.key),
            day,
        ),
    );
    const [fields, setFields] = useState<Fields>(() => begin(draft, book, sowings, day));
    const [photo, setPhoto] = useState<ArrayBuffer | null>(draft.line?.photo ?? null);
    const [problem, setProblem] = useState<string | null>(draft.refused?.message ?? null);
    const set = (part: Partial<Fields>) => setFields((before) => ({ ...before, ...part }));
    const missing = what(act, fields, draft.corrects !== undefined);
    const keep = async () => {
        try {
            await onKeep(lineOf(draft, fields), photo);
        } catch (error) {
            const full = error instanceof DOMException && error.name === 'QuotaExceededError';
            setProblem(say(full ? (photo ? 'log.no-room-for-photo' : 'log.no-room') : 'log.not-kept'));
        }
    };
    return (
        <form
            className="write"
            aria-label={say(`logged.${act}`)}
            onSubmit={(event) => {
                event.preventDefault();
                if (!missing) void keep();
            }}
        >
            <h2>
                {say(`logged.${act}`)} <Action onClick={onBack}>{say('log.back')}</Action>
            </h2>
            <Problem error={problem} />
            <Subject act={act} book={book} sowings={sowings} fields={fields} set={set} corrects={!!draft.corrects} />
            {act === 'sown' && fields.crop && <CropFields book={book} fields={fields} set={set} />}
            {isPicking(act) && <Picked fields={fields} set={set} />}
            {act === 'lost' && (
                <Choices
                    label={say('log.lost-to')}
                    chosen={fields.cause}
                    onChoose={(cause) => set({ cause })}
                    options={CAUSES.map((cause) => ({ value: cause, label: say(`cause.${cause}`) }))}
                />
            )}
            {act === 'reading' && <ReadingFields fields={fields} set={set} />}
            {isOfBed(act) && <WaterFields fields={fields} set={set} act={act} />}
            <Care act={act} codes={cautionsFor(act, cropOf(fields, sowings), book)} />
            {!follows(act) && act !== 'seen' && <Place book={book} fields={fields} set={set} />}
            <When day={day} fields={fields} set={set} act={act} />
            <Photo photo={photo} onPhoto={setPhoto} onProblem={setProblem} />
            <div className="keep">
                <Press type="submit" disabled={missing !== null}>
                    {missing ? say(missing) : say('log.keep', { what: inShort(act, book, sowings, fields) })}
                </Press>
            </div>
        </form>
    );
}

/** Cautions, where they matter: shown before the entry is saved. */
function Care({ act, codes }: { act: Act; codes: string[] }) {
    return (
        <>
            {act === 'amended' && <p className="hint">{say('log.manure-care')}</p>}
            {codes.map((code) => (
                <p key={code} className="hint">
                    {say(`caution.${code}`)}
                </p>
            ))}
        </>
    );
}

function cropOf(fields: Fields, sowings: Sowing[]): string | null {
    return fields.crop ?? sowings.find(({ key }) => key === fields.sowing)?.crop ?? null;
}

/**
 * Plantings in the order in which they first appeared: a book that arrives in the meantime moves nothing under a thumb, and its additions
 * come last.
 */
function useSteady(sowings: Sowing[]): Sowing[] {
    const [stood] = useState(() => new Map(sowings.map(({ key }, at) => [key, at])));
    const place = ({ key }: Sowing) => stood.get(key) ?? stood.size;
    return [...sowings].sort((a, b) => place(a) - place(b));
}

/** Which crop, which planting, or which plant it is about. */
function Subject({
    act,
    book,
    sowings,
    fields,
    set,
    corrects,
}: {
    act: Act;
    book: LogBook;
    sowings: Sowing[];
    fields: Fields;
    set: (part: Partial<Fields>) => void;
    corrects: boolean;
}) {
    if (corrects && act !== 'sown') return null;
    if (act === 'seen') {
        return (
            <Choices
                label={say('log.which-plant')}
                chosen={fields.cue === null ? null : String(fields.cue)}
                onChoose={(cue) => set({ cue: Number(cue) })}
                empty={say('log.no-plants')}
                options={book.cues.map((cue) => ({ value: String(cue.id), label: `${cue.plant}, ${cue.stage}` }))}
            />
        );
    }
    const ofSowings = (
        <Choices
            label={say('log.which-sowing')}
            chosen={fields.sowing}
            onChoose={(sowing) => set({ sowing, crop: null })}
            empty={say('log.no-sowing')}
            options={sowings.map((sowing) => ({ value: sowing.key, label: sowingInWords(sowing) }))}
        />
    );
    if (follows(act)) return ofSowings;
    if (act !== 'sown' && act !== 'set-out') return null;
    return (
        <>
            {act === 'set-out' && sowings.length > 0 && ofSowings}
            <Choices
                label={say(act === 'set-out' && sowings.length > 0 ? 'log.or-a-crop' : 'log.which-crop')}
                chosen={fields.crop}
                onChoose={(crop) => set({ crop, sowing: null, variety: '' })}
                find={say('log.find-a-crop')}
                options={cropsFor(book).map((crop) => ({
                    value: crop.slug,
                    label: crop.name,
                    names: crop.names,
                }))}
            />
        </>
    );
}

function Photo({
    photo,
    onPhoto,
    onProblem,
}: {
    photo: ArrayBuffer | null;
    onPhoto: (photo: ArrayBuffer | null) => void;
    onProblem: (problem: string | null) => void;
}) {
    const take = async (file: File | undefined) => {
        if (!file) return;
        try {
            onPhoto(await smaller(file));
            onProblem(null);
        } catch {
            onProblem(say('log.no-picture'));
        }
    };
    return (
        <p className="photo">
            <label>
                {photo ? say('log.photo-there', { kilobytes: Math.round(photo.byteLength / 1024) }) : say('log.photo')}
                <input
                    type="file"
                    accept="image/*"
                    capture="environment"
                    className="sr-only"
                    onChange={(event) => void take(event.currentTarget.files?.[0])}
                />
            </label>{' '}
            {photo && <Action onClick={() => onPhoto(null)}>{say('log.without-photo')}</Action>}
        </p>
    );
}

function begin({ act, entry, corrects }: Draft, book: LogBook, sowings: Sowing[], day: string): Fields {
    const first = book.beds[0];
    const fresh = entry === undefined;
    // If there is only one to choose from, it is chosen.
    const only = sowings.length === 1 && (follows(act) || act === 'set-out') ? sowings[0] : undefined;
    return {
        crop: entry?.crop ?? null,
        sowing: corrects ? null : (entry?.sowing ?? (fresh ? (only?.key ?? null) : null)),
        cue: entry?.cue ?? null,
        variety: entry?.variety ?? '',
        garden: entry?.garden ?? (fresh && !follows(act) ? (first?.garden ?? '') : ''),
        bed: entry?.bed ?? (fresh && !follows(act) ? (first?.name ?? '') : ''),
        on: entry?.on ?? day,
        under_cover: entry?.under_cover ?? false,
        lot: entry?.lot ?? '',
        metres: entry?.metres ?? '',
        plants: entry?.plants ?? '',
        kilograms: entry?.kilograms ?? '',
        stems: entry?.stems ?? '',
        quality: entry?.quality ? String(entry.quality) : null,
        cause: entry?.cause ?? null,
        celsius: entry?.celsius ?? '',
        depth: entry?.depth ? Math.round(entry.depth * 1e4) / 100 : usualDepth(),
        mm: entry?.mm ?? '',
        text: entry?.text ?? '',
        plot: entry?.plot ?? null,
    };
}

/** What is still missing, as a key of words; null: nothing. */
function what(act: Act, fields: Fields, corrects: boolean): string | null {
    if ((act === 'sown' || (act === 'set-out' && !fields.sowing && !corrects)) && !fields.crop)
        return 'log.choose-a-crop';
    if (follows(act) && !fields.sowing && !corrects) return 'log.choose-a-sowing';
    if (act === 'lost' && !fields.cause) return 'log.choose-a-cause';
    if (act === 'seen' && fields.cue === null) return 'log.choose-a-plant';
    if (isOfBed(act) && !fields.bed) return 'log.choose-a-bed';
    if (act === 'gauge' && fields.mm === '') return 'log.enter-what-it-caught';
    if (act === 'reading' && fields.celsius === '') return 'log.give-the-figure';
    if (act === 'note' && !fields.text.trim()) return 'log.write-the-note';
    return null;
}

function lineOf({ act, corrects, line }: Draft, fields: Fields): LoggedEntry {
    const number = (value: number | string) => (value === '' ? null : Number(value));
    const now = new Date();
    return {
        key: line?.key ?? crypto.randomUUID(),
        act,
        on: fields.on,
        written_at: line?.entry.written_at ?? now.getTime(),
        corrects: corrects ?? line?.entry.corrects ?? null,
        crop: fields.crop,
        sowing: fields.sowing,
        cue: fields.cue,
        variety: fields.variety || null,
        garden: fields.bed ? fields.garden : null,
        bed: fields.bed || null,
        under_cover: fields.under_cover,
        lot: fields.lot || null,
        metres: number(fields.metres),
        plants: number(fields.plants),
        kilograms: number(fields.kilograms),
        stems: number(fields.stems),
        quality: fields.quality ? Number(fields.quality) : null,
        cause: fields.cause,
        plot: fields.plot,
        text: fields.text.trim() || null,
        photo: line?.entry.photo ?? null,
        ...(isOfBed(act) && { mm: number(fields.mm) }),
        ...(act === 'reading' && {
            celsius: number(fields.celsius),
            depth: Number(fields.depth || 0) / 100,
            hour: now.getHours() + now.getMinutes() / 60,
        }),
    };
}

function inShort(act: Act, book: LogBook, sowings: Sowing[], fields: Fields): string {
    const sowing = sowings.find((one) => one.key === fields.sowing);
    const name = sowing?.name ?? book.crops.find((crop) => crop.slug === fields.crop)?.name;
    return [say(`logged.${act}`), name, fields.bed || sowing?.bed?.name].filter(Boolean).join(', ');
}

function sowingInWords({ name, variety, bed, days }: Sowing): string {
    return say('log.sowing', {
        crop: variety ? `${name} ${variety}` : name,
        bed: bed?.name ?? 'none',
        act: say(days.set_out ? 'logged.set-out' : 'logged.sown'),
        day:
            (days.set_out ?? days.sown)
                ? say('log.on', { day: dayInShort((days.set_out ?? days.sown ?? '').slice(5)) })
                : '',
    });
}
