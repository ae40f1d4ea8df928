import { IntlMessageFormat } from 'intl-messageformat';

/** Something to be said: a key, and what fills it in. The core and the contract speak in these. */
export type Phrase = { key: string; with?: Values };

type Value = string | number | Phrase;

type Values = { [name: string]: Value };

/** What a component may hand over: a part that is not there is said as nothing. */
type Handed = { [name: string]: Value | null | undefined | false };

type Messages = Record<string, string>;

const FILES = import.meta.glob<Messages>('../../../lang/*/*.json', { eager: true, import: 'default' });

/** English made longer and accented, for looking at screens: what is not in brackets there is not from lang/. */
const PSEUDO = 'pseudo';

const ACCENTED = new Map(
    [...'aácçeéiînñoöuüyýAÅEÉIÎOØSŠUÛ'.matchAll(/(.)(.)/gu)].map(([, plain, accent]) => [plain, accent]),
);

const language = chosen();

const formats = new Map<string, IntlMessageFormat>();

/** The words for a key or a phrase, from the same ICU messages that the server reads; the key itself where there are none. */
export function say(what: string | Phrase, values: Handed = {}): string {
    if (typeof what !== 'string') return say(what.key, what.with);
    const message = messages(language).get(what);
    if (message === undefined) return what;
    if (!message.includes('{')) return message;
    const known = `${language} ${what}`;
    const format =
        formats.get(known) ??
        new IntlMessageFormat(message, language === PSEUDO ? 'en' : language, undefined, { ignoreTag: true });
    formats.set(known, format);
    const said = Object.fromEntries(
        Object.entries(values).map(([name, value]) => [
            name,
            value === null || value === undefined || value === false
                ? ''
                : typeof value === 'object'
                  ? say(value)
                  : value,
        ]),
    );
    return withMinus(format.format(said) as string);
}

/** "a", "a and b", "a, b, and c". */
export function listed(parts: string[]): string {
    return new Intl.ListFormat(language === PSEUDO ? 'en' : language, { type: 'conjunction' }).format(parts);
}

/** Whether there are words for a key. */
export function hasWords(key: string): boolean {
    return messages(language).has(key);
}

/** A minus sign is one, not a hyphen. */
export function withMinus(text: string): string {
    return text.replace(/(?<![\w.-])-(?=\d)/gu, '−');
}

const read = new Map<string, Map<string, string>>();

function messages(of: string): Map<string, string> {
    const known = read.get(of);
    if (known) return known;
    const own = new Map(
        Object.entries(FILES)
            .filter(([file]) => file.includes(`/lang/${of === PSEUDO ? 'en' : of}/`))
            .flatMap(([, file]) => Object.entries(file))
            .map(([key, message]) => [key, of === PSEUDO ? pseudo(message) : message]),
    );
    read.set(of, own);
    return own;
}

/** Accented outside of braces, and a third longer. */
function pseudo(message: string): string {
    let depth = 0;
    let letters = 0;
    const words = [...message].map((character) => {
        depth += character === '{' ? 1 : character === '}' ? -1 : 0;
        letters += depth === 0 ? 1 : 0;
        return depth === 0 ? (ACCENTED.get(character) ?? character) : character;
    });
    return `[${words.join('')}${'~'.repeat(Math.floor(letters / 3))}]`;
}

/** `?language=pseudo` in the desk's address switches over, `?language=en` back; it is kept by the browser. */
function chosen(): string {
    if (typeof window === 'undefined') return 'en';
    const asked = new URLSearchParams(window.location.search).get('language');
    try {
        if (asked !== null) window.localStorage.setItem('anthesis-language', asked);
        return window.localStorage.getItem('anthesis-language') === PSEUDO ? PSEUDO : 'en';
    } catch {
        return asked === PSEUDO ? PSEUDO : 'en';
    }
}
