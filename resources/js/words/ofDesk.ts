import { alsoIn, type Messages } from './words';

// What every screen says comes with the first load. What only gardeners read, or only the server says, never comes.
alsoIn(
    import.meta.glob<Messages>('../../../lang/en/{attention,common,core,home,login,shell,zones}.json', {
        eager: true,
        import: 'default',
    }),
);

let rest: Promise<void> | undefined;

/** Fetches what the other screens say, once: before they are, because some have words at their beginning. */
export function restOfWords(): Promise<void> {
    return (rest ??= import('./ofScreens').then(({ words }) => alsoIn(words)));
}
