import type { Messages } from './words';

/** What all screens but the first say. */
export const words = import.meta.glob<Messages>(
    [
        '../../../lang/en/*.json',
        '!../../../lang/en/{attention,common,core,login,mail,shell,zones,pages,sheets,letters,office,errors}.json',
    ],
    { eager: true, import: 'default' },
);
