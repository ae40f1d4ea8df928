import { beforeEach, describe, expect, it, vi } from 'vitest';
import { keepReading } from './keptReading';
import { keepOwn } from './own';
import { offerPosition } from './position';

/** A window at an address, as far as these look at one. */
function at(path: string, referrer = '') {
    const [pathname, search] = path.split('?');
    const replace = vi.fn();
    const assign = vi.fn();
    Object.defineProperty(document, 'referrer', { value: referrer, configurable: true });
    const location = { pathname, search: search ? `?${search}` : '', origin: 'https://x.example', replace, assign };
    return { window: { document, localStorage, location, navigator } as unknown as Window, replace, assign };
}

beforeEach(() => {
    localStorage.clear();
    document.body.innerHTML = `<header class="top"><a class="zone">Lake</a>
        <a data-mine href="https://x.example/zones/lake/mine">My crops</a>
        <a data-reading="/es" href="https://x.example/es/zones/lake">Español</a></header>`;
});

describe('a reading', () => {
    it('that was chosen leads there who comes from outside to an address without one', () => {
        localStorage.setItem('anthesis-reading', '/es');
        const outside = at('/zones/lake');
        expect(keepReading(outside.window)).toBe(true);
        expect(outside.replace).toHaveBeenCalledWith('https://x.example/es/zones/lake');
        localStorage.setItem('anthesis-reading', '/es-f');
        const both = at('/zones/lake?x=1');
        keepReading(both.window);
        expect(both.replace).toHaveBeenCalledWith('/es-f/zones/lake?x=1');
    });

    it('leads nobody away from a link within, from another reading, or by what is not one', () => {
        localStorage.setItem('anthesis-reading', '/es');
        expect(keepReading(at('/zones/lake', 'https://x.example/zones/lake').window)).toBe(false);
        expect(keepReading(at('/en-f/zones/lake').window)).toBe(false);
        localStorage.setItem('anthesis-reading', '//evil.example');
        expect(keepReading(at('/zones/lake').window)).toBe(false);
    });

    it('is the one the browser asks for until one is chosen', () => {
        document.querySelector('[data-reading]')?.setAttribute('hreflang', 'es');
        const inSpanish = (path: string) => {
            const { window, replace } = at(path);
            return { window: { ...window, navigator: { languages: ['es-MX', 'en'] } } as unknown as Window, replace };
        };
        const { window, replace } = inSpanish('/zones/lake');
        expect(keepReading(window)).toBe(true);
        expect(replace).toHaveBeenCalledWith('https://x.example/es/zones/lake');
        expect(keepReading(at('/zones/lake').window)).toBe(false);
        localStorage.setItem('anthesis-reading', '');
        expect(keepReading(inSpanish('/zones/lake').window)).toBe(false);
    });

    it('is kept when a link to it is followed', () => {
        keepReading(at('/zones/lake').window);
        document.addEventListener('click', (event) => event.preventDefault(), { once: true });
        document.querySelector<HTMLElement>('[data-reading]')?.click();
        expect(localStorage.getItem('anthesis-reading')).toBe('/es');
    });
});

describe('crops and zone', () => {
    it('are kept by the browser and lead "My crops" to them', () => {
        keepOwn(at('/zones/lake/mine?crops=kale,radish').window);
        keepOwn(at('/zones/lake/this-week').window);
        expect(document.querySelector<HTMLAnchorElement>('[data-mine]')?.href).toContain('/mine?crops=kale,radish');
        document.body.innerHTML =
            '<p class="last-zone" hidden><a href="https://x.example/zones/~zone~/this-week">~</a></p>';
        keepOwn(at('/').window);
        const line = document.querySelector<HTMLElement>('.last-zone');
        expect([line?.hidden, line?.querySelector('a')?.textContent]).toEqual([false, 'Lake']);
        localStorage.setItem('anthesis-zone', '{"zone":"../x","name":"X"}');
        document.body.innerHTML = '<p class="last-zone" hidden><a href="/zones/~zone~">~</a></p>';
        keepOwn(at('/').window);
        expect(document.querySelector<HTMLElement>('.last-zone')?.hidden).toBe(true);
    });
});

describe('a position', () => {
    it('is asked for on a press, rounded, and sent nowhere when it is refused', () => {
        document.body.innerHTML =
            '<p class="position" hidden><button data-find="/es/find"></button><span data-refused="No."></span></p>';
        const getCurrentPosition = vi.fn();
        Object.defineProperty(navigator, 'geolocation', { value: { getCurrentPosition }, configurable: true });
        const { window, assign } = at('/es');
        offerPosition(window);
        expect(getCurrentPosition).not.toHaveBeenCalled();
        document.querySelector('button')?.click();
        const [given, refused] = getCurrentPosition.mock.calls[0] as [(at: object) => void, () => void];
        given({ coords: { latitude: 46.80456, longitude: -98.2049, altitude: 412.4 } });
        expect(assign).toHaveBeenCalledWith('/es/find?at=46.80,-98.20&height=412');
        refused();
        expect(document.querySelector('[data-refused]')?.textContent).toBe('No.');
    });
});
