/** A rule of the linter: what people read is said by its key, and stands in lang. */

const MESSAGE = 'Words stand in lang/<language>/*.json; say their key.';

const TEXT = 'JSXText[value=/[A-Za-z]{2}/]';
const ATTRIBUTE =
    'JSXAttribute[name.name=/^(label|title|placeholder|description|alt|aria-label)$/] > Literal[value=/[A-Za-z]{2}/]';
/** Names of classes and selectors are not for people. */
const LITERAL = [
    'Literal[value=/[A-Za-z]{2,}[,;:.]? [A-Za-z]{2,}/]',
    ':not(JSXAttribute[name.name=/^(className|fill)$/] Literal)',
    ':not(CallExpression[callee.property.name=/^(querySelector(All)?|closest)$/] Literal)',
].join('');
const TEMPLATE = [
    'TemplateElement[value.raw=/[A-Za-z]{2,}[,;:.]? [A-Za-z]{2,}|[a-z]{3,} $/]',
    ':not(JSXAttribute[name.name="className"] TemplateElement)',
].join('');

export default {
    meta: { name: 'words' },
    rules: {
        'in-lang': {
            create(context) {
                const report = (node) => context.report({ node, message: MESSAGE });
                return { [TEXT]: report, [ATTRIBUTE]: report, [LITERAL]: report, [TEMPLATE]: report };
            },
        },
    },
};
