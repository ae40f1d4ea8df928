import { alsoIn, type Messages } from './words';

// The words of the phone's log; there are few, because it loads over a slow connection.
alsoIn(
    import.meta.glob<Messages>('../../../lang/en/{common,core,log,login,shell}.json', {
        eager: true,
        import: 'default',
    }),
);
