import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show } from '../testing';
import { Translated } from './Translated';

describe('what was written', () => {
    it('is told in the other languages, or as not translated', async () => {
        fakeServer({
            'GET /api/translations': {
                languages: ['es'],
                texts: [{ text: 'Radish', where: 'crop-name', of: 'Radish', translations: { es: 'Rábano' } }],
            },
        });
        show(<Translated texts={['Radish', '', 'Sow early.']} />);
        expect(await screen.findByText('Rábano · not translated')).toBeTruthy();
        expect(screen.getByText(/Spanish:/)).toBeTruthy();
    });
});
