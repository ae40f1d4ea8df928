import { inShort } from '../../time/days';
import { say } from '../../words/words';
import type { LabelsProps } from './props';

/** Labels to stick on or cut out: a line to identify the plant, and the dates to check it again. */
export function Labels({ sheet, labels }: LabelsProps) {
    return (
        <main className={`labels ${sheet}`}>
            <h1 className="sr-only">{say('labels.sheet')}</h1>
            {labels.map((label, i) => (
                <section key={i}>
                    <h2>{[label.crop, label.variety].filter(Boolean).join(' ')}</h2>
                    <p>
                        {say('labels.in', {
                            act: say(`act.${label.act}`),
                            day: label.on ? day(label.on) : 'none',
                            bed: label.bed ?? 'none',
                        })}
                    </p>
                    <p>
                        {(['up', 'thin', 'pick'] as const)
                            .filter((what) => label[what])
                            .map((what) => say(`labels.${what}`, { day: day(label[what] ?? '') }))
                            .join(' · ')}
                    </p>
                </section>
            ))}
        </main>
    );
}

const day = (date: string) => inShort(date.slice(5));
