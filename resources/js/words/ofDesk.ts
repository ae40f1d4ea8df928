import { alsoIn, type Messages } from './words';

// Words that every screen uses come with the first load. Those that only gardeners read, or only the server uses, never load.
alsoIn(
    import.meta.glob<Messages>('../../../lang/en/{attention,common,core,home,login,shell,zones}.json', {
        eager: true,
        import: 'default',
    }),
);

let rest: Promise<void> | undefined;

/** Loads the words of the other screens, once, before the screens, because some use words while they load. */
export function restOfWords(): Promise<void> {
    return (rest ??= import('./ofScreens').then(({ words }) => alsoIn(words)));
}
