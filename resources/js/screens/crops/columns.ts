/** The columns of the crop table as a person reads them: a label that stands by itself, unit, range, what each means. The server checks them. */
export type Column = { column: string; label: string; unit: string; help: string };

export type Section = { title: string; columns: Column[] };

const c = (column: string, label: string, unit: string, help: string): Column => ({ column, label, unit, help });

export const SECTIONS: Section[] = [
    {
        title: 'Days',
        columns: [
            c('maturity_days', 'Days to maturity', '1 to 400 days', 'packet days to first harvest'),
            c(
                'maturity_basis',
                'Days counted from',
                'sowing, emergence or transplant',
                'what the packet’s days count from',
            ),
            c('harvest_days', 'Harvest lasts', '1 to 365 days', 'from one sowing'),
            c('min_harvest_days', 'Shortest worth having', '1 to 365 days', 'a shorter harvest counts as none'),
            c('succession_days', 'Sow again after', 'days, or blank', 'for a steady supply'),
            c('max_emerge_days', 'Lost if not up in', '1 to 400 days', 'seed rots or is eaten by then'),
        ],
    },
    {
        title: 'Days to come up, by soil temperature',
        columns: [0, 5, 10, 15, 20, 25, 30, 35, 40].map((celsius) =>
            c(`em_${celsius}`, `In soil of ${celsius} °C`, '0.5 to 400 days', 'blank: it does not come up'),
        ),
    },
    {
        title: 'Warmth',
        columns: [
            c('base_c', 'Grows from', '°C', 'below it nothing grows'),
            c('opt_low_c', 'Best from', '°C', 'mean of day and night'),
            c('opt_high_c', 'Best to', '°C', 'mean of day and night'),
            c('ceiling_c', 'Stops at', '°C', 'three weeks of it end the crop'),
            c('ref_c', 'Packet days hold at', '°C', 'mean temperature the packet’s days were counted at'),
            c('soil_min_sow_c', 'Soil to sow in', '°C, or blank', 'asked for when counting back'),
            c('soil_min_setout_c', 'Soil to set out in', '°C, or blank', 'asked for when counting back'),
        ],
    },
    {
        title: 'Cold and heat',
        columns: [
            c('kill_young_c', 'Kills young plants', '°C', 'screen minimum'),
            c('kill_c', 'Kills grown plants', '°C', 'screen minimum'),
            c('young_share', 'Young for', '0 to 1 of its growth', 'how long it is as tender as when young'),
            c('heat_c', 'Heat', '°C, daily maximum', 'bolts, turns bitter or drops its flowers'),
            c('heat_days', 'Days of heat', '1 to 365 days', 'so many end the crop'),
            c('heat_from', 'Heat counted from', '0 to 1 of its growth', 'earlier heat does no harm'),
            c('bolt_chill_days', 'Runs to seed after', 'cold days, or blank', 'days of 0 to 10 °C, then long days'),
            c('chill_days', 'Needs cold', 'days, or blank', 'days of 0 to 10 °C before it crops'),
            c('critical_day_hours', 'Bulbs from', 'hours of day, or blank', 'day length that starts bulbing'),
            c('juvenile_days', 'Full-sized after', 'days, or blank', 'growth before bulbing gives a full bulb'),
        ],
    },
    {
        title: 'Starting and spacing',
        columns: [
            c(
                'routes',
                'Ways of growing',
                'direct, transplant or both',
                'sown in place, raised under cover, or either',
            ),
            c('seedling_weeks_min', 'Under cover, at least', 'weeks, or blank', ''),
            c('seedling_weeks', 'Under cover, usually', 'weeks, or blank', 'blank: never set out'),
            c('seedling_weeks_max', 'Under cover, at most', 'weeks, or blank', ''),
            c('indoor_c', 'Soil under cover', '°C', ''),
            c('transplant_check_days', 'Check at setting out', 'days', 'growth lost while roots take hold'),
            c(
                'spring_sow_weeks',
                'Sow, by convention',
                'weeks after last freeze',
                'negative: before it; for counting back',
            ),
            c(
                'spring_setout_weeks',
                'Set out, by convention',
                'weeks after last freeze',
                'negative: before it; for counting back',
            ),
            c('depth_cm', 'Depth', 'cm', ''),
            c('spacing_cm', 'In the row', 'cm', ''),
            c('row_cm', 'Between rows', 'cm', ''),
        ],
    },
    {
        title: 'What it is',
        columns: [
            c('name', 'Name', '', ''),
            c('latin', 'Latin name', '', ''),
            c('family', 'Family', '', 'families do not follow themselves'),
            c('feeder', 'Feeds', 'light, medium, heavy or fixes', 'what it takes from the soil'),
            c('cautions', 'Cautions', 'codes, parted by |', 'what can hurt people about it'),
            c('notes', 'Note', '', 'a sentence for gardeners'),
        ],
    },
];

const LABELS = new Map(SECTIONS.flatMap((section) => section.columns.map((column) => [column.column, column.label])));

/** "Days to maturity: 54 to 70". */
export function changeInWords(column: string, before: string | undefined, after: string): string {
    return `${LABELS.get(column) ?? column}: ${before || 'blank'} to ${after || 'blank'}`;
}
