import type { Schema } from '../../api/client';
import type { MonthDay } from '../../time/days';
import type { FreezeNow, Position, Ready } from '../../time/season';
import type { Phrase } from '../../words/words';

/** What a page is made from: parts of the edition, as in the contract. */

type Edition = Schema['EditionDocument'];
type Sheet = Schema['CropSheet'];
export type Route = Sheet['routes'][number];
export type Variety = NonNullable<Sheet['varieties']>[number];
export type Task = Schema['Task'];

/** An office as everybody may know it, and the color of its mark. */
export type PublicOffice = Pick<
    Schema['Office'],
    'slug' | 'name' | 'mark' | 'mail' | 'phone' | 'address' | 'hours' | 'licence'
>;
export type OfficeMark = Pick<PublicOffice, 'slug' | 'name' | 'mark'>;

export type Common = {
    base: string;
    zone: Pick<Edition['zone'], 'slug' | 'name' | 'district' | 'hemisphere' | 'height_m'>;
    edition: Edition['edition'] & { checksum: string };
    /** of the method by which the dates were reached */
    method_edition: number;
    /** address of the edition by its number, with the host, for citing it */
    lasting: string;
    /** who publishes it, if several offices publish side by side */
    office?: OfficeMark | null;
    guidance: Phrase[];
    /** shown above everything else if the edition was withdrawn */
    withdrawn?: { on: string; reason: string } | null;
    /** shown if the record is short */
    first_guess: Phrase | null;
};

export type HomeProps = {
    /** whose front page it is; null: for all that publish here */
    office: PublicOffice | null;
    asked: boolean;
    found: boolean;
    zones: (Pick<
        Edition['zone'],
        'slug' | 'name' | 'district' | 'height_m' | 'settlements' | 'latitude' | 'longitude'
    > & {
        /** who publishes it; null if there is only one office */
        office: OfficeMark | null;
        /** of its boundary, longitude and latitude; empty if it has none */
        rings: [number, number][][];
    })[];
};

/** A crop of the calendar: its windows without the evidence behind them. */
export type CalendarCrop = Pick<Sheet, 'slug' | 'name' | 'kind' | 'family' | 'also_called'> & {
    routes: Omit<Route, 'reasons' | 'derivation' | 'evidence' | 'no_window' | 'again'>[];
};

export type CalendarProps = Common &
    Pick<Edition, 'ruler' | 'record'> & {
        crops: CalendarCrop[];
        /** whether windows wait for each crop's own minimum soil temperature */
        waits_for_soil?: boolean;
        waits_for_ground?: boolean;
        track_record?: { standard: string; promised: number; kept: number } | null;
        /** what differs from the edition before, largest first */
        changes?: { against: number; phrases: Phrase[] } | null;
    };

/** This season on a day: what is known about it, and what it means for each task of a crop, by "crop.act". */
export type SeasonNow = {
    on: string;
    record_ends: string;
    outlook: string | null;
    members: number;
    position: Position;
    freezes: FreezeNow | null;
    ready: Ready[];
    nights: Schema['Today']['nights'];
    /** whether loam can be worked, and by when in half of the years; null without rain on record */
    ground?: { fit: boolean; half: string | null } | null;
    /** mm of rain in a mean week at this time of year, and what the air takes; null without rain on record */
    water?: { rain: number; et0: number } | null;
    /** of the district, as the office wrote them; null: none apply */
    water_rules?: string | null;
    acts: Record<string, Pick<Schema['SeasonAct'], 'pile' | 'until' | 'harvests' | 'of'>>;
};

export type WeekProps = Common & {
    week: Schema['Week'];
    /** by crop */
    cautions: Record<string, Phrase[]>;
    /** what opens in the next week in which something does, if there is nothing to do in this one */
    opens_next: (Pick<Task, 'crop' | 'name' | 'act' | 'opens'> & { week: number })[];
    previous: number;
    next: number;
    /** the day it was made for, if it is today's week: what closed before that is over */
    on?: string;
    /** how this season is going, if known */
    season?: SeasonNow | null;
    /** advisories to gardeners */
    advisories?: Pick<Schema['Advisory'], 'text' | 'author' | 'published_on' | 'until' | 'withdrawn'>[];
    /** on the week's first day: seasons with another freeze, or with one by then */
    freezes: { starts: MonthDay; seasons: number; to_come: number; has_come: number };
};

export type CropProps = Common & Pick<Edition, 'ruler'> & { crop: Sheet };

export type MineProps = Common & {
    starts: MonthDay;
    /** slugs, in the order of the calendar */
    chosen: string[];
    /** the chosen ones, and all there are */
    crops: CalendarCrop[];
    all: Pick<Sheet, 'slug' | 'name'>[];
    /** this week, for the chosen ones */
    week: Schema['Week'];
    /** where this is served from: "https://calendar.example" */
    host: string;
    papers: PaperSize[];
};

export type PaperSize = 'a4' | 'letter' | 'a3' | 'tabloid';

export type PaperProps = Common &
    Pick<Edition, 'ruler'> & {
        sheet: 'year' | 'wall' | 'week' | 'crop' | 'leaflet';
        size: PaperSize;
        crops: CalendarCrop[];
        week: Schema['Week'];
        crop: Sheet | null;
        /** where to read the same */
        url: string;
    };

export type OfficeProps = {
    which: 'about' | 'method' | 'glossary' | 'contact' | 'privacy' | 'accessibility';
    /** those with calendars, by name */
    offices: PublicOffice[];
};

export type SearchProps = {
    asked: string;
    crops: (Pick<Sheet, 'slug' | 'name'> & { zones: Pick<Edition['zone'], 'slug' | 'name'>[] })[];
    zones: Pick<Edition['zone'], 'slug' | 'name' | 'district'>[];
    pages: { path: string; title: string }[];
};

export type LetterProps = {
    state: 'asked' | 'not-an-address' | 'confirm' | 'confirmed' | 'leave' | 'left' | 'unknown';
    zone: Pick<Edition['zone'], 'slug' | 'name'> | null;
    /** what was typed */
    mail: string;
    /** slugs with commas between them */
    crops: string;
};

/** Instead of a page that cannot be shown. */
export type ErrorProps = { status: number };

export type FindProps = {
    known: boolean;
    at: string;
    /** of the place; null: not given */
    height_m: number | null;
    between: boolean;
    /** best first; height: how much higher the place is than the zone */
    near: { slug: string; name: string; inside: boolean; km: number; height_m: number | null }[];
};

export type EmbedProps = Common & { week: Schema['Week'] };

/** Labels for what is growing; dates, null if there is none. */
export type LabelsProps = {
    sheet: 'strips' | 'a4-24' | 'letter-30';
    printed: string;
    labels: {
        crop: string;
        variety: string | null;
        bed: string | null;
        on: string | null;
        act: string;
        up: string | null;
        thin: string | null;
        pick: string | null;
    }[];
};

export type PageData =
    | { page: 'home'; props: HomeProps }
    | { page: 'calendar'; props: CalendarProps }
    | { page: 'week'; props: WeekProps }
    | { page: 'crop'; props: CropProps }
    | { page: 'mine'; props: MineProps }
    | { page: 'paper'; props: PaperProps }
    | { page: 'office'; props: OfficeProps }
    | { page: 'search'; props: SearchProps }
    | { page: 'letter'; props: LetterProps }
    | { page: 'find'; props: FindProps }
    | { page: 'labels'; props: LabelsProps }
    | { page: 'embed'; props: EmbedProps }
    | { page: 'error'; props: ErrorProps };
