import { Term } from '../../way/Term';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useCan, useSession } from '../../access/session';
import { useCues, useWriteLine } from '../../api/log';
import { useClimate } from '../../api/zones';
import { DataTable } from '../../charts/DataTable';
import { RuledChart } from '../../charts/RuledChart';
import { useDateCursor } from '../../time/cursor';
import { dateInWords, inShort, yearDayOfDate } from '../../time/days';
import { Action } from '../../ui/Action';
import { CollapsedList } from '../../ui/CollapsedList';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';
import { inCelsius, moreCelsius } from '../../words/units';
import { say, degreeDays } from '../../words/words';
import { cueDraft, useAddCue, useRemoveCue, type Cue } from './queries';

const ROW = 22;

/** Indicator plants: when they were seen, what soil and warmth they indicate, and what can be sown then. */
export function IndicatorPlants() {
    const { zone = '' } = useParams();
    const { data: cues, error } = useCues(zone);
    const { data: climate } = useClimate(zone);
    const { day, set } = useDateCursor();
    if (!cues) return <main className="page">{error && <Problem error={error} />}</main>;
    return (
        <div className="windows cues">
            <main className="sheet">
                <h2>
                    <Term of="indicator-plant">{say('indicator-plants.heading')}</Term>
                </h2>
                <p className="hint">{say('indicator-plants.how')}</p>
                {cues.length === 0 && <p>{say('indicator-plants.none-yet')}</p>}
                {climate && cues.length > 0 && (
                    <RuledChart
                        ruler={climate.ruler}
                        day={day}
                        onDay={set}
                        below={cues.length * ROW + 8}
                        label={say('indicator-plants.chart', { plants: cues.length })}
                    >
                        {(scale) =>
                            cues.map((cue, i) => {
                                const y = i * ROW + ROW / 2;
                                const [early, middle, late] = cue.expected ?? [];
                                const x = (date: string) => scale.x(yearDayOfDate(date));
                                return (
                                    <g key={cue.id}>
                                        <text className="quiet" x={-10} y={y + 4} textAnchor="end" fontSize="10.5">
                                            {cue.plant}
                                        </text>
                                        <line className="rule" x1={0} x2={scale.width} y1={y + 9} y2={y + 9} />
                                        {cue.years.map((year) => (
                                            <line
                                                key={year.on}
                                                className="ink"
                                                x1={x(year.on)}
                                                x2={x(year.on)}
                                                y1={y - 5}
                                                y2={y + 5}
                                            >
                                                <title>{dateInWords(year.on)}</title>
                                            </line>
                                        ))}
                                        {early && late && (
                                            <rect
                                                x={x(early)}
                                                width={Math.max(2, x(late) - x(early))}
                                                y={y - 3}
                                                height={6}
                                                fill="var(--leaf)"
                                                opacity="0.35"
                                            />
                                        )}
                                        {(cue.this_year ?? middle) && (
                                            <circle
                                                cx={x(cue.this_year ?? middle ?? '')}
                                                cy={y}
                                                r="4.5"
                                                fill={cue.this_year ? 'var(--leaf)' : 'var(--paper)'}
                                                stroke="var(--leaf)"
                                                strokeWidth="2"
                                            />
                                        )}
                                    </g>
                                );
                            })
                        }
                    </RuledChart>
                )}
                <p className="hint">{say('indicator-plants.legend')}</p>
                {cues.map((cue) => (
                    <OneCue key={cue.id} zone={zone} cue={cue} />
                ))}
                <DataTable
                    name={say('indicator-plants.sightings')}
                    file={`${zone}-plants`}
                    columns={[
                        say('indicator-plants.column-plant'),
                        say('indicator-plants.column-stage'),
                        say('indicator-plants.column-day'),
                        say('indicator-plants.column-sum'),
                        { name: say('indicator-plants.column-soil'), measure: 'celsius' },
                    ]}
                    rows={() =>
                        cues.flatMap((cue) =>
                            cue.years.map((year) => [cue.plant, cue.stage, year.on, degreeDays(year.sum), year.soil]),
                        )
                    }
                />
            </main>
            <aside aria-label={say('indicator-plants.write')}>
                <Seen zone={zone} cues={cues} />
                <AddCue zone={zone} />
            </aside>
        </div>
    );
}

function OneCue({ zone, cue }: { zone: string; cue: Cue }) {
    const remove = useRemoveCue(zone);
    const mayEdit = useCan('publish');
    return (
        <section className="cue">
            <h3>
                {say('log-screen.plant', { plant: cue.plant, stage: cue.stage })}
                {mayEdit && cue.sightings.length === 0 && (
                    <>
                        {' '}
                        <Action onClick={() => remove.mutate(cue)}>{say('common.take-out')}</Action>
                    </>
                )}
            </h3>
            <Problem error={remove.error} />
            <p>{when(cue)}</p>
            {cue.soil !== null && (
                <p>
                    {say('indicator-plants.stands-for', {
                        years: cue.years.length,
                        soil: inCelsius(cue.soil),
                        soilDeviation: moreCelsius(cue.soil_deviation ?? 0),
                        sum: Math.round(degreeDays(cue.sum ?? 0)),
                        sumDeviation: Math.round(degreeDays(cue.sum_deviation ?? 0)),
                    })}{' '}
                    {strength(cue)}
                </p>
            )}
            {cue.opens.length > 0 && (
                <p>
                    {say('indicator-plants.opens')}{' '}
                    <CollapsedList
                        items={cue.opens.map((crop) =>
                            say('soil.crop-asks', { crop: crop.name, soil: inCelsius(crop.soil_min) }),
                        )}
                    />
                </p>
            )}
            {!cue.used && cue.years.length > 0 && <p className="warning">{say('indicator-plants.few-years')}</p>}
        </section>
    );
}

/** When it was seen this year, or is expected. */
function when(cue: Cue): string {
    if (cue.this_year) return say('indicator-plants.seen-this-year', { day: dateInWords(cue.this_year) });
    const [early, middle, late] = cue.expected ?? [];
    if (!middle)
        return say(cue.sightings.length === 0 ? 'indicator-plants.never-seen' : 'indicator-plants.not-seen-yet');
    return say('indicator-plants.expected', {
        day: inShort(middle.slice(5)),
        early: early ? inShort(early.slice(5)) : 'none',
        late: late ? inShort(late.slice(5)) : 'none',
    });
}

function strength({ strength: times, used }: Cue): string {
    if (times === null || !used) return '';
    return say(times > 1 ? 'indicator-plants.stronger' : 'indicator-plants.weaker', { times });
}

function Seen({ zone, cues }: { zone: string; cues: Cue[] }) {
    const today = useSession().data?.today ?? '';
    const [cue, setCue] = useState<number>();
    const [on, setOn] = useState(today);
    const [place, setPlace] = useState('');
    const sighting = useWriteLine(zone);
    if (cues.length === 0) return null;
    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                sighting.mutate({
                    act: 'seen',
                    cue: cue ?? cues[0]?.id ?? 0,
                    on: on || today,
                    text: place.trim() || null,
                });
            }}
        >
            <h2>{say('indicator-plants.write')}</h2>
            <label className="field">
                {say('log.which-plant')}
                <select value={cue ?? cues[0]?.id} onChange={(event) => setCue(Number(event.currentTarget.value))}>
                    {cues.map((one) => (
                        <option key={one.id} value={one.id}>
                            {say('log-screen.plant', { plant: one.plant, stage: one.stage })}
                        </option>
                    ))}
                </select>
            </label>
            <TextInput
                size="xs"
                type="date"
                label={say('indicator-plants.day')}
                description={say('indicator-plants.old-years')}
                max={today}
                value={on || today}
                onChange={(event) => setOn(event.currentTarget.value)}
            />
            <TextInput
                size="xs"
                label={say('indicator-plants.place')}
                maxLength={200}
                value={place}
                onChange={(event) => setPlace(event.currentTarget.value)}
            />
            <Button size="xs" mt="xs" type="submit" loading={sighting.isPending}>
                {say('indicator-plants.keep')}
            </Button>
            <Problem error={sighting.error} />
            {sighting.isSuccess && <p role="status">{say('indicator-plants.kept')}</p>}
        </form>
    );
}

function AddCue({ zone }: { zone: string }) {
    const mayEdit = useCan('publish');
    const [{ plant, stage }, type, forget] = useKept(cueDraft(zone), { plant: '', stage: '' });
    const add = useAddCue(zone);
    if (!mayEdit) return null;
    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                add.mutate({ plant: plant.trim(), stage: stage.trim(), note: null }, { onSuccess: forget });
            }}
        >
            <h3>{say('indicator-plants.add')}</h3>
            <TextInput
                size="xs"
                label={say('indicator-plants.plant')}
                maxLength={80}
                value={plant}
                onChange={(event) => type({ plant: event.currentTarget.value, stage })}
            />
            <TextInput
                size="xs"
                label={say('indicator-plants.stage')}
                description={say('indicator-plants.stage-like')}
                maxLength={80}
                value={stage}
                onChange={(event) => type({ plant, stage: event.currentTarget.value })}
            />
            <Button
                size="xs"
                mt="xs"
                type="submit"
                variant="default"
                disabled={!plant.trim() || !stage.trim()}
                loading={add.isPending}
            >
                {say('indicator-plants.add-it')}
            </Button>
            <Problem error={add.error} />
        </form>
    );
}
