import { say } from '../words/words';
import createClient, { type Middleware } from 'openapi-fetch';
import { sent, withToken } from './again';
import type { components, paths } from './schema';

/** The only way to the server; its types come from docs/openapi.yaml. */
export const api = createClient<paths>({
    baseUrl: window.location.origin,
    headers: { Accept: 'application/json' },
    fetch: sent,
});

const token: Middleware = {
    onRequest: ({ request }) => withToken(request),
};
api.use(token);

export type Schema = components['schemas'];
export type Zone = Schema['Zone'];
export type CropSheet = Schema['CropSheet'];
export type RecordPreview = Schema['RecordPreview'];
export type Computation = Schema['Computation'];

export type Change = { field: string; was: unknown; is: unknown; by: string; at: string };

/** The server's refusal, in its own words. */
export class Refusal extends Error {
    constructor(
        message: string,
        readonly status: number,
        readonly errors: Record<string, string[]> = {},
        /** for a station file: its columns, as far as they were recognized */
        readonly columns: string[] = [],
        /** what somebody else has changed since the version this was made on */
        readonly changed: Change[] = [],
    ) {
        super(message);
    }
}

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer; a refusal is thrown. */
export async function unwrap<T>(answer: Promise<Answer<{ data: T }>>): Promise<T> {
    const { data, error, response } = await answer;
    if (data !== undefined) return data.data;
    throw refusal(error, response);
}

/** For requests without data in the answer: nothing; a refusal is thrown. */
export async function done(answer: Promise<Answer<unknown>>): Promise<void> {
    const { error, response } = await answer;
    if (!response.ok) throw refusal(error, response);
}

function refusal(error: unknown, response: Response): Refusal {
    const body = (typeof error === 'object' && error !== null ? error : {}) as {
        message?: string;
        errors?: Record<string, string[]>;
        columns?: string[];
        changed?: Change[];
    };
    const words = response.status === 419 ? say('client.the-page-was-open-too') : body.message;
    return new Refusal(
        words || say('client.the-server-answered-try-again', { status: response.status }),
        response.status,
        body.errors,
        body.columns,
        body.changed,
    );
}

/** A person's corrections to what a file seems to say; left out: as found. */
export type ReadingChoices = {
    unit?: Schema['Unit'];
    date_order?: Schema['DateOrder'];
    station?: string;
    /** the zone's station the file belongs to: its id, or “new”; left out: the primary one */
    to_station?: string;
    station_name?: string;
    station_height_m?: number;
    /** whether the file replaces the record in use; otherwise it updates it */
    replace?: boolean;
    columns?: { date: number; minimum: number; maximum: number };
    rain_unit?: Schema['DepthUnit'];
    snow_unit?: Schema['DepthUnit'];
    /** the column that names places; −1: none does; left out: as found */
    places?: number;
    /** import it even though most of it contradicts itself or the record in use */
    confirmed?: boolean;
    /** the same request sent again with this key is carried out once */
    key?: string;
};

/** A file in a request; openapi-fetch has no types for multipart bodies. */
export const asForm = (body: FormData) => ({ body: body as never, bodySerializer: () => body });

/** A station's file as it was chosen, with a person's corrections. */
export function stationFile(file: File, choices: ReadingChoices): FormData {
    const form = new FormData();
    form.set('file', file);
    if (choices.unit) form.set('unit', choices.unit);
    if (choices.date_order) form.set('date_order', choices.date_order);
    if (choices.rain_unit) form.set('rain_unit', choices.rain_unit);
    if (choices.snow_unit) form.set('snow_unit', choices.snow_unit);
    if (choices.station) form.set('station', choices.station);
    if (choices.to_station) form.set('to_station', choices.to_station);
    if (choices.to_station === 'new') {
        if (choices.station_name) form.set('station_name', choices.station_name);
        if (choices.station_height_m !== undefined) form.set('station_height_m', String(choices.station_height_m));
    }
    if (choices.replace) form.set('replace', '1');
    if (choices.places !== undefined) form.set('places', String(choices.places));
    if (choices.confirmed) form.set('confirmed', '1');
    if (choices.key) form.set('key', choices.key);
    for (const [what, column] of Object.entries(choices.columns ?? {})) form.set(`columns[${what}]`, String(column));
    return form;
}
