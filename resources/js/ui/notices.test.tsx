import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show, SITE } from '../testing';
import { tellDone } from './notices';
import { useSaveSite } from '../api/sites';
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

    it('takes the place of an earlier one of its name, and of no other', async () => {
        show(<p>here</p>);
        const names = ['beds', 'beds', 'plan'];
        act(() => names.forEach((name, i) => tellDone(`Change ${i}.`, async () => {}, name)));
        expect(await screen.findByText('Change 2.')).toBeTruthy();
        expect(screen.getByText('Change 1.')).toBeTruthy();
        expect(screen.queryByText('Change 0.')).toBeNull();
    });

    it('deletes by undoing only what was added, never what was edited', async () => {
        const site = { name: 'Wall', zone: null, note: '', air: 1, sun: 1, rate: 1, protection: 1, offset: 0 };
        const asked = fakeServer({
            'POST /api/sites': { ...SITE, ...site, id: 7 },
            'PATCH /api/sites/7': { ...SITE, ...site, id: 7, version: 2 },
            'DELETE /api/sites/7': null,
        });
        const Both = () => {
            const save = useSaveSite();
            return (
                <>
                    <button onClick={() => save.mutate(site)}>add</button>
                    <button onClick={() => save.mutate({ ...site, id: 7, version: 1 })}>edit</button>
                </>
            );
        };
        show(<Both />);
        // What it was before is not known here.
        fireEvent.click(screen.getByRole('button', { name: 'edit' }));
        await screen.findByText('Saved: Wall.');
        expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'add' }));
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await screen.findByText('Undone.');
        expect(asked.map(({ what }) => what)).toEqual(['PATCH /api/sites/7', 'POST /api/sites', 'DELETE /api/sites/7']);
    });
});
