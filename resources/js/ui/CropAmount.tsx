import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { useCrops } from '../api/crops';
import type { Measure } from '../words/units';
import { say } from '../words/words';
import { MeasureInput } from './MeasureInput';

/** A crop and an amount of it, added to a list. */
export function CropAmount({
    label,
    measure,
    first,
    onAdd,
}: {
    /** name of the amount */
    label: string;
    measure: Measure;
    /** the initial amount */
    first: number;
    onAdd: (crop: string, amount: number) => void;
}) {
    const { data: crops } = useCrops();
    const [crop, setCrop] = useState('');
    const [amount, setAmount] = useState<number | string>(first);
    return (
        <form
            className="inline"
            onSubmit={(event) => {
                event.preventDefault();
                onAdd(crop, Number(amount));
                setCrop('');
            }}
        >
            <NativeSelect
                size="xs"
                w={150}
                label={say('ground.crop')}
                value={crop}
                onChange={(event) => setCrop(event.currentTarget.value)}
                data={[
                    { value: '', label: say('ground.choose') },
                    ...(crops ?? []).map((one) => ({ value: one.slug, label: one.name })),
                ]}
            />
            <MeasureInput
                measure={measure}
                size="xs"
                w={120}
                label={label}
                decimalScale={2}
                value={amount}
                onChange={setAmount}
            />
            <Button size="xs" type="submit" variant="default" disabled={!crop || !(Number(amount) > 0)}>
                {say('ground.add-wish')}
            </Button>
        </form>
    );
}
