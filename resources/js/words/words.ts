import { IntlMessageFormat } from 'intl-messageformat';

type Values = Record<string, string | number>;

const FILES = import.meta.glob<Record<string, string>>('../../../lang/en/*.json', { eager: true, import: 'default' });

const MESSAGES = new Map(Object.values(FILES).flatMap((file) => Object.entries(file)));

const formats = new Map<string, IntlMessageFormat>();

/** The words for a key, from the same ICU messages that the server reads; the key itself where there are none. */
export function say(key: string, values?: Values): string {
    const message = MESSAGES.get(key);
    if (message === undefined) return key;
    if (!message.includes('{')) return message;
    const format = formats.get(key) ?? new IntlMessageFormat(message, 'en');
    formats.set(key, format);
    return format.format(values) as string;
}
