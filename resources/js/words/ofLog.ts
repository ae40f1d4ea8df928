import { alsoIn, type Messages } from './words';

// What the log on a phone says: little, because it is loaded over a slow line.
alsoIn(
    import.meta.glob<Messages>('../../../lang/en/{common,core,log,login,shell}.json', {
        eager: true,
        import: 'default',
    }),
);
