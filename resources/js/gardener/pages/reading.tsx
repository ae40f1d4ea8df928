import { createContext, useContext, type ReactNode } from 'react';
import type { Units } from '../../words/units';
import { say } from '../../words/words';

/** A language and units that a page is available in, and the beginning of its addresses: "/es-f"; "" if none was chosen. */
export type ReadingName = { prefix: string; language: string; units: Units };

/** How this page is read, and its address without the reading ("/zones/lakeshore"), null if it has none. */
type Here = { reading: ReadingName; readings: ReadingName[]; path: string | null };

const Context = createContext<Here>({
    reading: { prefix: '', language: 'en', units: 'metric' },
    readings: [],
    path: '/',
});

export function ReadingHere({ here, children }: { here: Here; children: ReactNode }) {
    return <Context value={here}>{children}</Context>;
}

/** The address of a page, in this page's reading. */
export function useAddress(): (path: string) => string {
    const { reading } = useContext(Context);
    return (path) => (path === '/' ? reading.prefix || '/' : reading.prefix + path);
}

/** The units of this page. */
export function useUnits(): Units {
    return useContext(Context).reading.units;
}

/** An address without this page's reading, for what is in no language. */
export function useUnread(): (address: string) => string {
    const { reading } = useContext(Context);
    return (address) => (address.startsWith(`${reading.prefix}/`) ? address.slice(reading.prefix.length) : address);
}

/** The same page in the other languages, and in the other units. */
export function Readings() {
    const { reading, readings, path } = useContext(Context);
    const others = [
        ...readings.filter((r) => r.units === reading.units && r.language !== reading.language),
        ...readings.filter((r) => r.language === reading.language && r.units !== reading.units),
    ];
    if (path === null || others.length === 0) return null;
    return (
        <nav className="readings" aria-label={say('page.readings')}>
            {others.map((other) => {
                const otherLanguage = other.language !== reading.language;
                return (
                    <a
                        key={other.prefix}
                        href={path === '/' ? other.prefix || '/' : other.prefix + path}
                        data-reading={other.prefix}
                        lang={otherLanguage ? other.language : undefined}
                        hrefLang={other.language}
                        rel="alternate"
                    >
                        {otherLanguage ? nameOf(other.language) : say(`page.units.${other.units}`)}
                    </a>
                );
            })}
        </nav>
    );
}

/** A language by its own name: "Español". */
function nameOf(language: string): string {
    const name = new Intl.DisplayNames([language], { type: 'language' }).of(language) ?? language;
    return name.charAt(0).toLocaleUpperCase(language) + name.slice(1);
}
