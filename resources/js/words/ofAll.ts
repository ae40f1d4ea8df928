import { alsoIn, type Messages } from './words';

// All words in every language: for the pages, and for tests.
alsoIn(import.meta.glob<Messages>('../../../lang/*/*.json', { eager: true, import: 'default' }));
