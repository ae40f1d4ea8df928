import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { IndicatorPlants } from '../screens/indicator-plants/IndicatorPlants';
import { BedForm } from '../screens/ground/BedForm';
import { OfficeSettings } from '../screens/office/OfficeSettings';
import { PlanTrial } from '../screens/trials/PlanTrial';
import { EDUCATOR, fakeServer, LOG_BOOK, OFFICE, Refused, show, TRIAL } from '../testing';

const BOOK = {
    ...LOG_BOOK,
    crops: [{ slug: 'radish', name: 'Radish', names: [], start: 'seed', cautions: [], varieties: [] }],
};

const reads = {
    'GET /api/session': EDUCATOR,
    'GET /api/office': OFFICE,
    'GET /api/outbox': { simulated: true, readers: 0, mails: [] },
    'GET /api/sites': [],
    'GET /api/zones/bench/log-book': BOOK,
};

const span = { from: '2026-01-01', to: '2026-12-31' };

/** Each form: how it is shown, a field of it, what is typed there, the button that saves it, and a server that answers to that. */
const FORMS: {
    name: string;
    form: () => unknown;
    field: string;
    typed: string;
    save: string | RegExp;
    serve: (answer?: Refused) => unknown;
    first?: () => void;
}[] = [
    {
        name: 'the office',
        form: () => show(<OfficeSettings />),
        field: 'E-mail address',
        typed: 'plots@kestrel.example',
        save: 'Save',
        serve: (answer) => fakeServer({ ...reads, 'PUT /api/office': answer ?? { ...OFFICE, version: 4 } }),
    },
    {
        name: 'a bed',
        form: () => show(<BedForm zone="bench" span={span} bed={undefined} garden="School" onDone={() => {}} />),
        field: 'Name of the bed',
        typed: 'North bed',
        save: 'Save',
        serve: (answer) =>
            fakeServer({
                ...reads,
                'POST /api/zones/bench/beds': answer ?? { today: '2026-04-20', ...span, beds: [] },
            }),
    },
    {
        name: 'a trial',
        form: () => show(<PlanTrial zone="bench" onDone={() => {}} />),
        field: 'Question to answer',
        typed: 'Is early worth it?',
        save: /plots/,
        serve: (answer) => fakeServer({ ...reads, 'POST /api/zones/bench/trials': answer ?? TRIAL }),
        first: () => fireEvent.change(screen.getByLabelText('Crop'), { target: { value: 'radish' } }),
    },
];

const text = async (label: string) => ((await screen.findByLabelText(label)) as HTMLInputElement).value;

beforeEach(() => sessionStorage.clear());

describe.each(FORMS)('what is typed of $name', ({ form, field, typed, save, serve, first }) => {
    it('is there again after another screen', async () => {
        fakeServer(reads);
        form();
        const before = await text(field);
        fireEvent.change(screen.getByLabelText(field), { target: { value: typed } });
        cleanup();
        form();
        expect(before).not.toBe(typed);
        expect(await text(field)).toBe(typed);
    });

    it('stays when it is refused, and is gone as soon as it is saved', async () => {
        serve(new Refused(422, { message: 'Not so.' }));
        form();
        await screen.findByLabelText(field);
        fireEvent.change(screen.getByLabelText(field), { target: { value: typed } });
        await waitFor(() => first?.());
        await waitFor(() =>
            expect((screen.getByRole('button', { name: save }) as HTMLButtonElement).disabled).toBe(false),
        );
        fireEvent.click(screen.getByRole('button', { name: save }));
        await screen.findByText('Not so.');
        cleanup();

        serve();
        form();
        expect(await text(field)).toBe(typed);
        await waitFor(() =>
            expect((screen.getByRole('button', { name: save }) as HTMLButtonElement).disabled).toBe(false),
        );
        fireEvent.click(screen.getByRole('button', { name: save }));
        await waitFor(() => expect(Object.keys(sessionStorage)).toEqual([]));
        cleanup();
        form();
        expect(await text(field)).not.toBe(typed);
    });
});

describe('what is typed of an indicator plant', () => {
    it('is there again after another screen', async () => {
        fakeServer({
            ...reads,
            'GET /api/zones/bench/cues': [],
            'GET /api/zones/bench/climate': new Refused(404, { message: '' }),
        });
        const at = '/desk/zones/bench/indicator-plants';
        show(<IndicatorPlants />, at, '/desk/zones/:zone/indicator-plants');
        fireEvent.change(await screen.findByLabelText('Plant'), { target: { value: 'Lilac' } });
        cleanup();
        show(<IndicatorPlants />, at, '/desk/zones/:zone/indicator-plants');
        expect(await text('Plant')).toBe('Lilac');
    });
});
