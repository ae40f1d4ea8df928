import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { expect, it } from 'vitest';
import { show } from '../testing';
import { useKeptFocus } from './focus';

function Screen() {
    useKeptFocus();
    const [open, setOpen] = useState(true);
    return (
        <main>
            {open && <button onClick={() => setOpen(false)}>Save</button>}
            <Link to="/other">Other</Link>
        </main>
    );
}

it('goes to the screen where the button it was on has gone, and where a screen has come', async () => {
    show(<Screen />, '/here', '/*');
    await waitFor(() => expect(document.activeElement?.tagName).toBe('MAIN'));
    const save = screen.getByText('Save');
    act(() => save.focus());
    expect(document.activeElement).toBe(save);
    fireEvent.click(save);
    await waitFor(() => expect(document.activeElement?.tagName).toBe('MAIN'));
});
