import type { Schema } from '../api/client';
import { inShort, inWords } from './days';
import { inCelsius, moreCelsius } from '../words/units';
import { say } from '../words/words';

/** Sentences about a season's progress, for the desk and the public pages alike. */

export type Position = NonNullable<Schema['Today']['position']>;
export type Ready = NonNullable<Schema['Today']['soil']>['ready'][number];
export type FreezeNow = { side: 'to-come' | 'has-come'; of: number; members: number };

/** How the season is going: its soil, whether it is ahead, and the freezes still ahead. */
export function standing(at: Position, freezes: FreezeNow | null, on: string): string {
    const parts: string[] = [];
    if (at.soil !== null && at.soil_above !== null) {
        parts.push(
            say(`season.soil-${at.soil_above < 0 ? 'below' : 'above'}`, {
                soil: inCelsius(at.soil),
                by: moreCelsius(Math.abs(at.soil_above)),
            }),
        );
    }
    if (at.days_ahead !== null)
        parts.push(say(`season.warmth-${at.days_ahead < 0 ? 'behind' : 'ahead'}`, { days: Math.abs(at.days_ahead) }));
    if (freezes) {
        parts.push(
            say(`season.freeze-${freezes.side}`, {
                years: freezes.members === freezes.of ? 'all' : freezes.members === 0 ? 'none' : 'some',
                members: freezes.members,
                of: freezes.of,
                day: inWords(on.slice(5)),
            }),
        );
    }
    return parts.join(' ');
}

/** When soil is warm enough: "Soil of 10 °C: Apr 27 (Apr 25 to May 7)." */
export function readiness(ready: Ready): string {
    if (ready.now) return say('season.soil-is-ready', { soil: inCelsius(ready.celsius) });
    const [early, usual, late] = ready.dates;
    const range = early === late ? 'on' : late ? 'between' : 'from';
    return say(`season.soil-ready-${range}`, {
        soil: inCelsius(ready.celsius),
        usual: inSight(usual),
        early: inSight(early),
        late: inSight(late),
    });
}

function inSight(iso: string | null | undefined): string {
    return iso ? inShort(iso.slice(5)) : say('season.not-in-sight');
}
