import { useState } from 'react';
import { fromUnits, toUnits, type Measure } from '../words/units';
import { say, units } from '../words/words';

/** A label with the reader's unit: "Length, ft". */
export function labeled(label: string, measure: Measure): string {
    return say('measure.labeled', { label, unit: say(`unit.${measure}`) });
}

/** The content of a field: what was typed, as long as it still matches the value; otherwise the metric number in the person's units. */
export function useTyped(measure: Measure, metric: number | string) {
    const [last, setLast] = useState<{ typed: number | string; metric: number | '' }>();
    const isStill = last !== undefined && last.metric === metric;
    return {
        shown: isStill ? last.typed : metric === '' ? '' : toUnits(measure, Number(metric), units()),
        type: (typed: number | string): number | '' => {
            const meant = typed === '' || Number.isNaN(Number(typed)) ? '' : fromUnits(measure, Number(typed), units());
            setLast({ typed, metric: meant });
            return meant;
        },
    };
}
