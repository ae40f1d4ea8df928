import { Button, Checkbox, Group } from '@mantine/core';
import { ofRow } from '../../words/units';
import { useState } from 'react';
import { useCrops } from '../../api/crops';
import { inShort } from '../../time/days';
import { Action } from '../../ui/Action';
import { CropAmount } from '../../ui/CropAmount';
import { Problem } from '../../ui/Problem';
import { say, usualRow } from '../../words/words';
import { useProposeSeason, type GroundBed, type SeasonPlan, type Span, type usePlantings, type Wish } from './queries';

/**
 * A season's plan proposed for the beds and the crops to fit in. What is locked stays, and the rest can be proposed again as often as you
 * like.
 */
export function FillBeds({
    zone,
    beds,
    year,
    plantings,
    onDone,
}: {
    zone: string;
    beds: GroundBed[];
    year: Span;
    plantings: ReturnType<typeof usePlantings>;
    onDone: () => void;
}) {
    const { data: crops } = useCrops();
    const [chosen, setChosen] = useState<number[]>(beds.map((bed) => bed.id));
    const [wishes, setWishes] = useState<Wish[]>([]);
    const propose = useProposeSeason(zone, year);
    const plan = propose.data;
    const add = (crop: string, metres: number) => {
        setWishes([...wishes, { key: crypto.randomUUID(), crop, variety: null, metres }]);
        propose.reset();
    };
    const take = () =>
        plan &&
        plantings.change(
            {
                add: plan.placed.map(({ bed, crop: slug, variety, route, on, metres: length }) => ({
                    key: crypto.randomUUID(),
                    crop: slug,
                    variety,
                    route,
                    bed,
                    on,
                    metres: length,
                    pinned: false,
                })),
                remove: plan.replaces,
            },
            onDone,
        );
    const name = (slug: string) => crops?.find((one) => one.slug === slug)?.name ?? slug;
    return (
        <>
            <h2>{say('ground.fill')}</h2>
            <p className="hint">{say('ground.fill-how')}</p>
            <Checkbox.Group
                size="xs"
                label={say('ground.beds')}
                value={chosen.map(String)}
                onChange={(ids) => setChosen(ids.map(Number))}
            >
                <Group gap="sm">
                    {beds.map((bed) => (
                        <Checkbox key={bed.id} size="xs" value={String(bed.id)} label={bed.name} />
                    ))}
                </Group>
            </Checkbox.Group>
            <h3>{say('ground.wishes')}</h3>
            <ul className="wishes">
                {wishes.map((wish) => (
                    <li key={wish.key}>
                        {say('ground.wish', { crop: name(wish.crop), length: ofRow(wish.metres) })}{' '}
                        <Action onClick={() => setWishes(wishes.filter((one) => one.key !== wish.key))}>
                            {say('common.take-out')}
                        </Action>
                    </li>
                ))}
            </ul>
            <CropAmount label={say('ground.metres')} measure="m" first={usualRow()} onAdd={add} />
            <Group gap="md" mt="sm">
                <Button
                    size="xs"
                    disabled={wishes.length === 0 || chosen.length === 0}
                    loading={propose.isPending}
                    onClick={() => propose.mutate({ beds: chosen, wishes })}
                >
                    {say(plan ? 'ground.propose-anew' : 'ground.propose')}
                </Button>
                <Action onClick={onDone}>{say('common.cancel')}</Action>
            </Group>
            <Problem error={propose.error} />
            {plan && <Proposal plan={plan} beds={beds} wishes={wishes} name={name} onTake={take} />}
        </>
    );
}

function Proposal({
    plan,
    beds,
    wishes,
    name,
    onTake,
}: {
    plan: SeasonPlan;
    beds: GroundBed[];
    wishes: Wish[];
    name: (slug: string) => string;
    onTake: () => void;
}) {
    const bedName = (id: number) => beds.find((bed) => bed.id === id)?.name ?? '';
    return (
        <section aria-live="polite">
            <h3>{say('ground.proposal')}</h3>
            {plan.placed.map((one) => (
                <p key={one.key}>
                    {say('ground.placed', {
                        crop: [one.name, one.variety].filter(Boolean).join(' '),
                        bed: bedName(one.bed),
                        on: inShort(one.on.slice(5)),
                        first: one.first ? inShort(one.first.slice(5)) : 'none',
                        why: say(`placement.${one.reason}`),
                    })}
                </p>
            ))}
            {plan.not_placed.map((one) => (
                <p key={one.key} className="warning">
                    {say('ground.not-placed', {
                        crop: name(wishes.find((wish) => wish.key === one.key)?.crop ?? ''),
                        why: say(`placement.${one.reason}`),
                    })}
                </p>
            ))}
            {plan.replaces.length > 0 && (
                <p className="hint">{say('ground.replaces', { plantings: plan.replaces.length })}</p>
            )}
            {plan.placed.length > 0 && (
                <Button size="xs" onClick={onTake}>
                    {say('ground.take-plan')}
                </Button>
            )}
        </section>
    );
}
