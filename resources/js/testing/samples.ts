import type { Schema } from '../api/client';
import type { AnswerTo } from './contract';

/** Whole things as the server sends them, from which a test changes what it is about. */

export const EDUCATOR = {
    today: '2026-04-20',
    demonstration: null,
    waits_for_code: false,
    user: {
        name: 'Wren',
        email: 'wren@kestrel.example',
        role: 'educator',
        units: 'metric',
        dates: 'day',
        chosen: { units: null, dates: null, language: null },
        languages: ['en', 'es'],
        home_zone: null,
        digest: false,
        must_set_second_factor: false,
        office: { slug: 'kestrel-basin', name: 'Kestrel Basin Extension' },
        offices: [
            {
                slug: 'kestrel-basin',
                name: 'Kestrel Basin Extension',
                role: 'educator',
                zones: [{ slug: 'basin-floor', name: 'Basin Floor' }],
            },
        ],
        can: ['edit-zones', 'edit-sites', 'edit-crops', 'publish', 'sign', 'edit-office', 'read-mail'],
    },
} satisfies Schema['Session'];

export const ADMINISTRATOR = {
    ...EDUCATOR,
    user: {
        ...EDUCATOR.user,
        name: 'Ines',
        email: 'ines@kestrel.example',
        role: 'administrator',
        offices: [{ slug: 'kestrel-basin', name: 'Kestrel Basin Extension', role: 'administrator', zones: [] }],
        can: ['edit-office', 'change-signature', 'read-mail', 'manage-people'],
    },
} satisfies Schema['Session'];

export const COMPUTATION: Schema['Computation'] = {
    id: 5,
    state: 'queued',
    step: 'waiting',
    done: 0,
    total: 0,
    error: null,
    finished_at: null,
};

export const ZONE: Schema['Zone'] = {
    slug: 'bench',
    version: 1,
    name: 'Bench',
    district: 'Kestrel Basin',
    latitude: 46.9,
    longitude: -97.9,
    height_m: 620,
    time_zone: null,
    hemisphere: 'north',
    stale: false,
    cold_seasons: 29,
    short_record: false,
    years: null,
    standard: 'reliable',
    light: 'radiation',
    waits_for_soil: false,
    waits_for_ground: false,
    settlements: [],
    record: null,
    edition: null,
    computation: null,
};

export const RECORD: NonNullable<Schema['Zone']['record']> = {
    station: 'Bench station',
    first: '1995-01-01',
    last: '2026-04-17',
    checksum: 'ab'.repeat(32),
};

export const CROP: AnswerTo<'GET /api/crops'>[number] = {
    slug: 'radish',
    name: 'Radish',
    family: 'Brassicaceae',
    kind: 'vegetable',
    names: [],
};

export const LOG_BOOK: Schema['LogBook'] = {
    today: '2026-04-20',
    zone: { slug: 'bench', name: 'Bench' },
    user: 'Wren',
    crops: [],
    likely: [],
    cautions: {},
    usual_days: {},
    beds: [],
    sowings: [],
    due: [],
    cues: [],
};

export const OFFICE: Schema['Office'] = {
    slug: 'kestrel-basin',
    mark: 'leaf',
    standard: 'reliable',
    languages: null,
    languages_there: ['es'],
    name: 'Kestrel Basin Extension',
    mail: 'garden@kestrel.example',
    phone: null,
    address: null,
    hours: null,
    licence: 'CC BY 4.0',
    water_rules: null,
    water_rules_from: null,
    water_rules_until: null,
    second_signature: false,
    second_factor: false,
    units: 'metric',
    dates: 'day',
    version: 3,
    signature_changed: null,
};

export const METHOD: Schema['Method'] = {
    school: 'replay',
    standard: 'reliable',
    light: 'radiation',
    spring_risk: 0.5,
    autumn_risk: 0.5,
    hold_for_soil: true,
    short_day_allowance: 14,
    site: 'open ground',
};

const everyDay = (value: number) => Array.from({ length: 365 }, () => value);

export const RULER: Schema['Ruler'] = {
    starts: '01-01',
    seasons: 29,
    short_record: false,
    freeze_chance: everyDay(0.1),
    hot_chance: everyDay(0),
    soil: everyDay(10),
    day_length: everyDay(12),
    freeze_to_come: everyDay(12),
    freeze_has_come: everyDay(3),
    freezes: [],
};

/** Of a radish, counted back. */
export const ROUTE: Schema['RouteSheet'] = {
    route: 'direct',
    act: 'sow-outdoors',
    windows: [],
    fair: [],
    under_cover: [],
    harvests: [],
    reasons: [],
    derivation: [],
};

export const CROP_SHEET: Schema['CropSheet'] = {
    slug: 'radish',
    name: 'Radish',
    latin: 'Raphanus sativus',
    family: 'Brassicaceae',
    kind: 'cool',
    start: 'seed',
    depth_cm: 1,
    spacing_cm: 5,
    row_cm: 20,
    notes: null,
    cautions: [],
    school: 'replay',
    routes: [],
};

/** Nothing is sown yet. */
export const TRIAL: Schema['Trial'] = {
    id: 4,
    crop: 'radish',
    name: 'Radish',
    route: 'direct',
    question: 'Is early worth it?',
    author: 'Wren',
    closed: null,
    plots: [],
    verdict: { measured_in: 'kilograms', by_metre: true, open: 0, one_seasons_word: true, waves: [] },
};

export const STATION: Schema['Station'] = {
    id: 4,
    name: 'Upper mast',
    height_m: null,
    lapse: -0.0065,
    matched: false,
    first: null,
    last: null,
    fit: null,
};

export const SITE: Schema['Site'] = {
    id: 2,
    version: 1,
    name: 'Raised bed',
    zone: null,
    preset: false,
    note: '',
    ground: 'loam',
    first_numbers: null,
    air: 0,
    sun: 0,
    rate: 1,
    protection: 0,
    offset: 0,
};
