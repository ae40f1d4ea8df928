import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { show } from '../testing';
import { useUndoable } from '../api/undoable';

/** A number that is set, and was another before. */
function open(answer: (value: number) => Promise<{ version: number }>) {
    let is = 3;
    const Setter = () => {
        const save = useUndoable({
            send: async (value: number) => {
                const saved = await answer(value);
                is = value;
                return saved;
            },
            saved: () => {},
            before: () => is,
            done: (value) => `It is ${value}.`,
            undo:
                ({ before }, again) =>
                () =>
                    again(before),
        });
        return <button onClick={() => save.mutate(is + 1)}>more</button>;
    };
    show(<Setter />);
    return () => is;
}

describe('A change that can be undone', () => {
    it('is told of, and undone from there', async () => {
        const is = open(async () => ({ version: 2 }));
        fireEvent.click(screen.getByRole('button', { name: 'more' }));
        expect(await screen.findByText('It is 4.')).toBeTruthy();
        expect(is()).toBe(4);
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        expect(await screen.findByText('Undone.')).toBeTruthy();
        expect(is()).toBe(3);
    });

    it('says why it could not be undone, and stacks with others', async () => {
        let refuses = false;
        const is = open(async () => {
            if (refuses) throw new Error('Tobias changed this.');
            return { version: 2 };
        });
        const more = screen.getByRole('button', { name: 'more' });
        fireEvent.click(more);
        await screen.findByText('It is 4.');
        fireEvent.click(more);
        await screen.findByText('It is 5.');
        expect(screen.getAllByRole('button', { name: 'Undo' })).toHaveLength(2);
        refuses = true;
        fireEvent.click(screen.getAllByRole('button', { name: 'Undo' })[1]!);
        await waitFor(() => expect(screen.getByText('Tobias changed this.')).toBeTruthy());
        expect(is()).toBe(5);
    });
});
