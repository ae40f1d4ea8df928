import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { say } from '../../words/words';

const SHEETS = ['strips', 'a4-24', 'letter-30'];

/** Labels for what is growing: crop, variety, day, and when to expect emergence, thinning, and harvest. */
export function Labels({ zone }: { zone: string }) {
    const [sheet, setSheet] = useState('strips');
    return (
        <section>
            <h3>{say('labels.heading')}</h3>
            <NativeSelect
                size="xs"
                aria-label={say('labels.paper')}
                value={sheet}
                onChange={(event) => setSheet(event.currentTarget.value)}
                data={SHEETS.map((value) => ({ value, label: say(`labels.${value}`) }))}
            />
            <p>
                <a href={`/desk-files/zones/${zone}/labels.pdf?sheet=${sheet}`}>{say('labels.take')}</a>
            </p>
        </section>
    );
}
