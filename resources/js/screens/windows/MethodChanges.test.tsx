import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show, type AnswerTo } from '../../testing';
import { MethodChanges } from './MethodChanges';

const change: AnswerTo<'GET /api/zones/bench/method-changes'>[number] = {
    crop: 'spinach',
    name: 'Spinach',
    route: 'direct',
    act: 'sow-outdoors',
    before: [{ first: '03-12', last: '04-16', days: 36 }],
    now: [],
    rules: ['frozen-ground', 'long-day-bolting'],
    phrase: { key: 'difference.no-window' },
};
const at = ['/desk/zones/bench/method', '/desk/zones/:zone/method'] as const;

describe('what the latest edition of the method moved', () => {
    it('is told crop by crop, with the rules that did it', async () => {
        fakeServer({ 'GET /api/zones/bench/method-changes': [change, { ...change, name: 'Dill', rules: [] }] });
        show(<MethodChanges />, ...at);
        const row = (await screen.findByText('Spinach')).closest('tr');
        expect([...(row?.querySelectorAll('td') ?? [])].map((cell) => cell.textContent)).toEqual([
            'sow outdoors',
            '12 Mar to 16 Apr',
            'no window',
            'no window',
            'frozen ground; bolting in long days',
        ]);
        expect(screen.getByText('Dill').closest('tr')?.textContent).toContain('several together');
    });

    it('says so where nothing moved', async () => {
        fakeServer({ 'GET /api/zones/bench/method-changes': [] });
        show(<MethodChanges />, ...at);
        expect(await screen.findByText('Nothing changed: every window is the same.')).toBeTruthy();
    });
});
