import { fireEvent, render } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { switchKeys, useKeys, type Keys } from './keyboard';

function Listener({ keys }: { keys: Keys }) {
    useKeys(keys);
    return <input aria-label="field" />;
}

describe('keys', () => {
    it('act by name, one or two in a row', () => {
        const keys = { j: vi.fn(), 'g w': vi.fn(), w: vi.fn() };
        render(<Listener keys={keys} />);
        fireEvent.keyDown(window, { key: 'j' });
        fireEvent.keyDown(window, { key: 'g' });
        fireEvent.keyDown(window, { key: 'w' });
        expect(keys.j).toHaveBeenCalledTimes(1);
        expect(keys['g w']).toHaveBeenCalledTimes(1);
        expect(keys.w).not.toHaveBeenCalled();
    });

    it('keep still while someone types, but for Escape', () => {
        const keys = { j: vi.fn(), Escape: vi.fn() };
        const { getAllByLabelText } = render(<Listener keys={keys} />);
        const field = getAllByLabelText('field').at(-1) as HTMLElement;
        fireEvent.keyDown(field, { key: 'j' });
        fireEvent.keyDown(field, { key: 'Escape' });
        expect(keys.j).not.toHaveBeenCalled();
        expect(keys.Escape).toHaveBeenCalledTimes(1);
    });

    it('of one letter can be turned off, and Escape still works', () => {
        const keys = { j: vi.fn(), 'g w': vi.fn(), Escape: vi.fn() };
        render(<Listener keys={keys} />);
        switchKeys(false);
        for (const key of ['j', 'g', 'w', 'Escape']) fireEvent.keyDown(window, { key });
        switchKeys(true);
        expect(keys.j).not.toHaveBeenCalled();
        expect(keys['g w']).not.toHaveBeenCalled();
        expect(keys.Escape).toHaveBeenCalledTimes(1);
        fireEvent.keyDown(window, { key: 'j' });
        expect(keys.j).toHaveBeenCalledTimes(1);
    });

    it('leave shortcuts of the browser alone', () => {
        const keys = { t: vi.fn() };
        render(<Listener keys={keys} />);
        fireEvent.keyDown(window, { key: 't', ctrlKey: true });
        expect(keys.t).not.toHaveBeenCalled();
    });
});
