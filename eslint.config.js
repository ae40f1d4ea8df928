import { readdirSync } from 'node:fs';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const IN_LANG = 'Words stand in lang/<language>/*.json; say their key.';

/** A room of the front end and those it may not know: one direction, and no screen knows another. */
const ROOMS = [
    { room: 'words', below: ['time', 'ui', 'access', 'charts', 'screens', 'shell', 'gardener'] },
    { room: 'time', below: ['charts', 'screens', 'shell', 'gardener'] },
    { room: 'api', below: ['time', 'ui', 'access', 'charts', 'screens', 'shell', 'gardener'] },
    { room: 'access', below: ['time', 'charts', 'screens', 'shell', 'gardener'] },
    { room: 'ui', below: ['time', 'charts', 'screens', 'shell', 'gardener'] },
    { room: 'charts', below: ['access', 'screens', 'shell', 'gardener'] },
    { room: 'gardener', below: ['ui', 'access', 'screens', 'shell'] },
    { room: 'screens', below: ['shell', 'gardener', 'log'] },
    { room: 'log', below: ['charts', 'screens', 'shell', 'gardener'] },
];
const SCREENS = readdirSync('resources/js/screens');

const forbid = (folders, message) => ({
    'no-restricted-imports': ['error', { patterns: [{ group: folders, message }] }],
});

export default tseslint.config(
    { ignores: ['resources/js/api/schema.ts'] },
    ...tseslint.configs.recommended,
    {
        plugins: { 'react-hooks': reactHooks },
        rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
    },
    {
        files: ['resources/js/**/*.{ts,tsx}'],
        ignores: ['**/*.test.*', 'resources/js/testing/*', 'resources/js/ui/theme.ts'],
        rules: {
            'max-lines-per-function': ['error', { max: 120 }],
            'no-restricted-syntax': [
                'error',
                { selector: 'JSXText[value=/[A-Za-z]{2}/]', message: IN_LANG },
                {
                    selector:
                        'JSXAttribute[name.name=/^(label|title|placeholder|description|alt|aria-label)$/] > Literal[value=/[A-Za-z]{2}/]',
                    message: IN_LANG,
                },
                {
                    selector:
                        'Literal[value=/[A-Za-z]{2,}[,;:.]? [A-Za-z]{2,}/]:not(JSXAttribute[name.name=/^(className|fill)$/] Literal):not(CallExpression[callee.property.name=/^(querySelector(All)?|closest)$/] Literal)',
                    message: IN_LANG,
                },
                {
                    selector:
                        'TemplateElement[value.raw=/[A-Za-z]{2,}[,;:.]? [A-Za-z]{2,}|[a-z]{3,} $/]:not(JSXAttribute[name.name="className"] TemplateElement)',
                    message: IN_LANG,
                },
            ],
        },
    },
    ...ROOMS.map(({ room, below }) => ({
        files: [`resources/js/${room}/**/*.{ts,tsx}`],
        ignores: ['**/*.test.*'],
        rules: forbid(
            below.map((other) => `**/${other}/**`),
            `${room} stands above it.`,
        ),
    })),
    ...SCREENS.map((screen) => ({
        files: [`resources/js/screens/${screen}/**/*.{ts,tsx}`],
        ignores: ['**/*.test.*'],
        rules: forbid(
            ['**/shell/**', '**/gardener/**', ...SCREENS.map((other) => `../${other}/**`)],
            'A screen knows no other; what both need stands above.',
        ),
    })),
);
