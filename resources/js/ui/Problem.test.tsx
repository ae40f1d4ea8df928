import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../api/client';
import { show } from '../testing';
import { Problem } from './Problem';

describe('a problem', () => {
    it('is said in the server’s words', () => {
        show(<Problem error={new Refusal('A latitude lies between −90 and 90 degrees; 95 does not.', 422)} />);
        expect(screen.getByRole('alert').textContent).toBe('A latitude lies between −90 and 90 degrees; 95 does not.');
    });

    it('without an answer says so, and what to do, instead of the browser’s words', () => {
        show(<Problem error={new TypeError('Failed to fetch')} unanswered="Nothing was published; try again." />);
        expect(screen.getByRole('alert').textContent).toBe('Nothing was published; try again.');
    });

    it('is not there while all is well', () => {
        show(<Problem error={null} />);
        expect(screen.queryByRole('alert')).toBeNull();
    });
});
