import type { Messages } from './words';

/** The words of all screens but the first. */
export const words = import.meta.glob<Messages>(
    [
        '../../../lang/en/*.json',
        '!../../../lang/en/{attention,common,core,login,mail,shell,zones,pages,sheets,letters,office,errors}.json',
    ],
    { eager: true, import: 'default' },
);
