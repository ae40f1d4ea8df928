import { readdirSync } from 'node:fs';

/** A room of the front end and those it may not know: one direction, and no screen knows another. */
const ROOMS = [
    { room: 'words', below: ['time', 'ui', 'access', 'charts', 'screens', 'shell', 'gardener'] },
    { room: 'time', below: ['charts', 'screens', 'shell', 'gardener'] },
    { room: 'api', below: ['time', 'ui', 'access', 'charts', 'screens', 'shell', 'gardener'] },
    { room: 'access', below: ['time', 'charts', 'screens', 'shell', 'gardener'] },
    { room: 'ui', below: ['time', 'charts', 'screens', 'shell', 'gardener'] },
    { room: 'charts', below: ['access', 'screens', 'shell', 'gardener'] },
    { room: 'gardener', below: ['ui', 'access', 'screens', 'shell'] },
    { room: 'log', below: ['charts', 'screens', 'shell', 'gardener'] },
];
const SCREENS = readdirSync('resources/js/screens');

/** Beside what is plainly wrong ("correctness"). */
const STRICT = [
    'no-var',
    'prefer-const',
    'prefer-rest-params',
    'prefer-spread',
    'no-array-constructor',
    'no-unused-expressions',
    'typescript/ban-ts-comment',
    'typescript/no-empty-object-type',
    'typescript/no-explicit-any',
    'typescript/no-namespace',
    'typescript/no-require-imports',
    'typescript/no-unnecessary-type-constraint',
    'typescript/no-unsafe-function-type',
    'react/rules-of-hooks',
    'react/exhaustive-deps',
];

const knowsNot = (folder, others, message) => ({
    files: [`resources/js/${folder}/**/*.{ts,tsx}`],
    excludeFiles: ['**/*.test.*'],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ group: others, message }] }] },
});

export default {
    plugins: ['eslint', 'typescript', 'react', 'oxc'],
    jsPlugins: ['./resources/lint/words.js'],
    ignorePatterns: ['resources/js/api/schema.ts'],
    categories: { correctness: 'error' },
    rules: {
        ...Object.fromEntries(STRICT.map((rule) => [rule, 'error'])),
        // These two are about React's compiler, which does not compile this program.
        'react/purity': 'off',
        'react/immutability': 'off',
    },
    overrides: [
        // What is undefined there makes a test fail, as it should.
        { files: ['**/*.test.*'], rules: { 'no-unsafe-optional-chaining': 'off' } },
        {
            files: ['resources/js/**/*.{ts,tsx}'],
            excludeFiles: ['**/*.test.*', 'resources/js/testing/*', 'resources/js/ui/theme.ts'],
            rules: { 'max-lines-per-function': ['error', { max: 120 }], 'words/in-lang': 'error' },
        },
        ...ROOMS.map(({ room, below }) =>
            knowsNot(
                room,
                below.map((other) => `**/${other}/**`),
                `${room} stands above it.`,
            ),
        ),
        ...SCREENS.map((screen) =>
            knowsNot(
                `screens/${screen}`,
                ['**/shell/**', '**/gardener/**', '../../log/**', ...SCREENS.map((other) => `../${other}/**`)],
                'A screen knows no other; what both need stands above.',
            ),
        ),
    ],
};
