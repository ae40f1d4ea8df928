/** Decimals of a position that is sent: about a kilometer, which tells the zone but not the house. */
const DIGITS = 2;

/** Shows the button that asks for the reader's position, and leads to its zone once it is known. */
export function offerPosition({ document, navigator, location }: Window) {
    const line = document.querySelector<HTMLElement>('.position');
    const button = line?.querySelector<HTMLButtonElement>('button[data-find]');
    const refused = line?.querySelector<HTMLElement>('[data-refused]');
    if (!line || !button || !refused || !('geolocation' in navigator)) return;
    line.hidden = false;
    button.addEventListener('click', () =>
        navigator.geolocation.getCurrentPosition(
            ({ coords }) => {
                const at = `${coords.latitude.toFixed(DIGITS)},${coords.longitude.toFixed(DIGITS)}`;
                const height = coords.altitude === null ? '' : `&height=${Math.round(coords.altitude)}`;
                location.assign(`${button.dataset.find ?? '/find'}?at=${at}${height}`);
            },
            () => (refused.textContent = refused.dataset.refused ?? ''),
            { maximumAge: 600_000, timeout: 20_000 },
        ),
    );
}
