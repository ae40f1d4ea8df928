import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show, type AnswerTo } from '../../testing';
import { Languages } from './Languages';

const data: AnswerTo<'GET /api/translations'> = {
    languages: ['es'],
    texts: [
        { text: 'Radish', where: 'crop-name', of: 'Radish', translations: { es: 'Rábano' } },
        { text: 'Sow early.', where: 'crop-note', of: 'Radish', translations: { es: null } },
    ],
};
const answers = { 'GET /api/session': EDUCATOR, 'GET /api/translations': data };

describe('languages', () => {
    it('begin with what is not translated, and show all when asked', async () => {
        fakeServer(answers);
        show(<Languages />);
        expect(await screen.findByText('Sow early.')).toBeTruthy();
        expect(screen.getByText('not translated')).toBeTruthy();
        expect(screen.queryByText('Rábano')).toBeNull();
        fireEvent.click(screen.getByLabelText('Not translated yet (1)'));
        expect(screen.getByText('Rábano')).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'rába' } });
        expect(screen.queryByText('Sow early.')).toBeNull();
    });

    it('are saved with what the change was made on; a refusal keeps what was typed', async () => {
        const asked = fakeServer({
            ...answers,
            'PUT /api/translations': new Refused(422, { message: 'Somebody has translated this meanwhile.' }),
        });
        show(<Languages />);
        fireEvent.click(await screen.findByText('Translate'));
        fireEvent.change(screen.getByLabelText('Translation of “Sow early.”'), {
            target: { value: 'Siembre pronto.' },
        });
        fireEvent.click(screen.getByText('Save'));
        await waitFor(() =>
            expect(asked.find((a) => a.what === 'PUT /api/translations')?.body).toEqual({
                language: 'es',
                text: 'Sow early.',
                translation: 'Siembre pronto.',
                before: null,
            }),
        );
        expect(await screen.findByText('Somebody has translated this meanwhile.')).toBeTruthy();
        expect(screen.getByDisplayValue('Siembre pronto.')).toBeTruthy();
    });
});
