import type { Schema } from '../../api/client';
import { asRead, inCentimetres, inKilograms, ofRain, ofRow } from '../../words/units';
import { say } from '../../words/words';

type Told = Schema['ToldOfLine'];

/** What an entry says besides its task, crop, and place: "4 m, 1.5 kg, good. Flea beetles." */
export function toldInWords(told: Told, cues: { id: number; plant: string; stage: string }[]): string {
    const cue = cues.find((one) => one.id === told.cue);
    const parts = [
        cue && say('log-screen.plant', { plant: cue.plant, stage: cue.stage }),
        told.under_cover && say('log.under-cover'),
        told.metres !== undefined && say(ofRow(told.metres)),
        told.plants !== undefined && say('log-screen.plants', { plants: told.plants }),
        told.kilograms !== undefined && say(inKilograms(told.kilograms)),
        told.stems !== undefined && say('log-screen.stems', { stems: told.stems }),
        told.quality !== undefined && say(`log.quality-${told.quality}`),
        told.cause !== undefined && say('log-screen.lost-to', { cause: say(`cause.${told.cause}`) }),
        told.celsius !== undefined &&
            say('log-screen.reading', {
                celsius: asRead(told.celsius),
                depth: inCentimetres(Math.round((told.depth ?? 0.05) * 100)),
            }),
        told.mm !== undefined && say(ofRain(told.mm)),
        told.lot && say('log-screen.lot', { lot: told.lot }),
        told.text,
    ];
    return parts.filter(Boolean).join(', ');
}
