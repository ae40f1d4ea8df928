import { Button, Textarea } from '@mantine/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useCan } from '../../access/session';
import { useTrials } from '../../api/log';
import { useClimate } from '../../api/zones';
import { PLOT_HEIGHT, PlotLines, type Plot } from '../../charts/PlotLines';
import { RuledChart } from '../../charts/RuledChart';
import { useDateCursor } from '../../time/cursor';
import { dateInShort, dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { LocalDaysTable } from './LocalDaysTable';
import { PlanTrial } from './PlanTrial';
import { useCloseTrial, useReopenTrial, type Trial } from './queries';
import { Verdict } from './Verdict';

/** Trials and their results; and the days crops take here according to the log. */
export function Trials() {
    const { zone = '' } = useParams();
    const { data: trials, error } = useTrials(zone);
    const [planning, setPlanning] = useState(false);
    return (
        <main className="page trials">
            <div className="record-head">
                <h2>{say('trials.trials')}</h2>
                {!planning && (
                    <Button size="xs" variant="default" onClick={() => setPlanning(true)}>
                        {say('trials.plan-one')}
                    </Button>
                )}
            </div>
            {planning && <PlanTrial zone={zone} onDone={() => setPlanning(false)} />}
            <Problem error={error} />
            {trials?.length === 0 && <p>{say('trials.none-yet')}</p>}
            {trials?.map((trial) => (
                <OneTrial key={trial.id} zone={zone} trial={trial} />
            ))}
            <LocalDaysTable zone={zone} />
        </main>
    );
}

function OneTrial({ zone, trial }: { zone: string; trial: Trial }) {
    const { data: climate } = useClimate(zone);
    const { day, set } = useDateCursor(trial.plots[0]?.on.slice(5));
    const plots = trial.plots.map((plot, i) => drawn(trial, plot, plot.wave !== trial.plots[i - 1]?.wave));
    return (
        <section className="trial">
            <h3>
                {trial.question}{' '}
                <small className="hint">
                    {say('trials.of', { crop: trial.name, author: trial.author ?? say('log-screen.somebody') })}
                </small>
            </h3>
            {trial.closed && (
                <p className="own-hand">
                    {say('trials.closed', {
                        conclusion: trial.closed.conclusion,
                        by: trial.closed.by,
                        day: dateInWords(trial.closed.on),
                    })}
                </p>
            )}
            {climate && (
                <RuledChart
                    ruler={climate.ruler}
                    day={day}
                    onDay={set}
                    below={plots.length * PLOT_HEIGHT + 16}
                    label={say('trials.chart', { plots: plots.length })}
                >
                    {(scale) => (
                        <g transform="translate(0 8)">
                            <PlotLines scale={scale} plots={plots} />
                        </g>
                    )}
                </RuledChart>
            )}
            <Verdict trial={trial} />
            <Close zone={zone} trial={trial} />
        </section>
    );
}

function Close({ zone, trial }: { zone: string; trial: Trial }) {
    const mayClose = useCan('publish');
    const close = useCloseTrial(zone);
    const reopen = useReopenTrial(zone);
    const [conclusion, setConclusion] = useState('');
    if (!mayClose) return null;
    if (trial.closed) {
        return (
            <p>
                <Action onClick={() => reopen.mutate(trial)}>{say('trials.reopen')}</Action>
                <Problem error={reopen.error} />
            </p>
        );
    }
    return (
        <form
            className="inline"
            onSubmit={(event) => {
                event.preventDefault();
                close.mutate({ trial, conclusion });
            }}
        >
            <Textarea
                size="xs"
                w={440}
                autosize
                label={say('trials.what-was-learnt')}
                description={say('trials.learned-where')}
                maxLength={600}
                value={conclusion}
                onChange={(event) => setConclusion(event.currentTarget.value)}
            />
            <Button size="xs" type="submit" variant="default" disabled={!conclusion.trim()} loading={close.isPending}>
                {say('trials.close')}
            </Button>
            <Problem error={close.error} />
        </form>
    );
}

/** A plot for the chart, with its words. */
function drawn(trial: Trial, plot: Trial['plots'][number], isFirst: boolean): Plot {
    const days = plot.sowing?.days;
    const sown = (trial.route === 'transplant' ? days?.set_out : days?.sown) ?? days?.sown ?? null;
    const ended = days?.lost ?? days?.last_picked ?? null;
    return {
        key: String(plot.plot),
        label: say('trials.plot', { variety: plot.variety ?? 'none', repeat: plot.repeat }),
        wave: isFirst ? plot.wave : null,
        planned: plot.on,
        expected: plot.expected?.first ?? null,
        sown,
        up: trial.route === 'transplant' ? sown : (days?.up ?? null),
        picked: days?.first_picked ?? null,
        ended,
        lost: Boolean(days?.lost),
        words: say('trials.plot-in-words', {
            wave: plot.wave,
            variety: plot.variety ?? 'none',
            repeat: plot.repeat,
            sown: sown ? dateInShort(sown) : 'none',
            expected: plot.expected?.first?.[1] ? dateInShort(plot.expected.first[1]) : 'none',
            picked: days?.first_picked ? dateInShort(days.first_picked) : 'none',
            lost: days?.lost ? dateInShort(days.lost) : 'none',
        }),
    };
}
